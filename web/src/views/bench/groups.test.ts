import { expect, test } from 'vitest'
import type { Line, LineFigure, Reckoning } from '../../api/schema'
import { groupLines } from './groups'

const line = (key: string, more: Partial<Line> = {}): Line => ({
  key,
  ingredient: key,
  amount: '1 cup',
  stage: '',
  note: '',
  unsoaked: false,
  soakedCup: false,
  locked: false,
  ...more,
})

const reckoned = (figures: Partial<LineFigure>[]) => ({ reckoned: false, lines: figures }) as unknown as Reckoning

test('what needs a decision comes first, notes last, and a line just typed waits at the end', () => {
  const lines = [line('almonds'), line('moon dust'), line('a thought', { isNote: true }), line('typed')]
  const r = reckoned([{ key: 'almonds', role: 'base' }, { key: 'moon dust' }, { key: 'a thought' }])
  expect(groupLines(lines, r, new Map()).map((g) => [g.name, ...g.rows.map((row) => row.line.key)])).toEqual([
    ['Needs attention', 'moon dust'],
    ['Base', 'almonds'],
    ['New', 'typed'],
    ['Notes', 'a thought'],
  ])
})
