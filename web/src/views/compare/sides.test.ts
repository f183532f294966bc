import { expect, test } from 'vitest'
import type { History } from '../../api/schema'
import { cameOf, sideOf, sidesOf } from './sides'

const history = {
  currency: 'GBP',
  kept: [2, 1],
  versions: [
    { version: 2, yieldML: 820, stars: 4.5, perL: 0 },
    { version: 1, yieldML: 0, stars: 3, perL: 2.5 },
  ],
  points: [
    { id: 7, madeOn: '2026-11-01', version: 1, stars: 2, perL: 3 },
    { id: 9, madeOn: '2026-11-08', version: 2, measuredML: 812, stars: 0, perL: 0 },
  ],
} as unknown as History

test('as it is now, then the versions, then the batches with the newest first', () => {
  expect(sidesOf(history).map((s) => s.value)).toEqual(['now', 'v2', 'v1', 'b9', 'b7'])
  expect(sideOf('b7', history)?.version).toBe(1)
  expect([sideOf('v3', history), sideOf('now', undefined)]).toEqual([undefined, undefined])
})

test('a batch brings its own figures, a version those of all its batches, and what nobody measured is no row', () => {
  const of = (a: string, b: string) => {
    const [x, y] = [sideOf(a, history), sideOf(b, history)]
    if (!x || !y) throw new Error('no such side')
    return cameOf(history, x, history, y).map((r) => [r.key, r.strong, r.cells[1], r.cells[2]])
  }
  expect(of('v2', 'v1')).toEqual([
    ['yield', true, '820 mL', '–'],
    ['stars', true, '4.5', '3.0'],
    ['cost', true, '–', '£2.50'],
  ])
  expect(of('b9', 'b9')).toEqual([['yield', false, '812 mL', '812 mL']])
  expect(of('now', 'now')).toEqual([])
})
