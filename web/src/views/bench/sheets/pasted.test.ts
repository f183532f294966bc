import { expect, test } from 'vitest'
import type { Line, Offer, PastedLine, Recipe } from '../../../api/schema'
import { linesOf, needsSettling, offered, toSettle } from './pasted'

const line = (ingredient: string): Line => ({
  key: 'k',
  ingredient,
  amount: '1 cup',
  stage: '',
  note: '',
  unsoaked: false,
  soakedCup: false,
  locked: false,
})

const pasted = (text: string, more: Partial<PastedLine> = {}): PastedLine => ({
  kind: 'ingredient',
  text,
  problem: '',
  lines: [line(text)],
  understood: true,
  question: '',
  choices: [],
  words: [],
  told: text,
  teach: '',
  mended: '',
  ...more,
})

test('a line that is sure asks for nothing; one with a question does until it is settled', () => {
  const sure = pasted('almonds')
  const asks = pasted('chilled oaty', { understood: false, question: 'Is it one of these?' })
  expect(needsSettling(sure)).toBe(false)
  expect(needsSettling(asks)).toBe(true)
  expect(toSettle(asks, { 'chilled oaty': { lines: [], told: '' } })).toBe(false)
})

test('what was settled takes the place of what was read, and every line has a key of its own', () => {
  const lines = [pasted('almonds'), pasted('moon dust', { understood: false })]
  const out = linesOf(lines, { 'moon dust': { lines: [line('Water'), line('Honey')], told: '' } })
  expect(out.map((l) => l.ingredient)).toEqual(['almonds', 'Water', 'Honey'])
  expect(new Set(out.map((l) => l.key)).size).toBe(3)
  expect(out.map((l) => l.settled)).toEqual([false, true, true])
})

test('what the method says becomes changes of the recipe', () => {
  const offer = (o: Partial<Offer>): Offer => ({ kind: 'blend', words: '', sentence: '', ...o })
  const soak = { at: { kind: 'soak', n: 1 }, do: 'set' as const, params: { hours: 8 } }
  expect(offered([offer({ blendS: 90 }), offer({ strainer: 'cloth' }), offer({ change: soak })], {} as Recipe)).toEqual(
    {
      blendS: 90,
      strainer: 'cloth',
      process: [soak],
    },
  )
})
