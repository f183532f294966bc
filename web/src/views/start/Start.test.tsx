// @vitest-environment jsdom
import { screen, waitFor } from '@testing-library/react'
import { expect, test } from 'vitest'
import type { Designed, Wish } from '../../api/schema'
import { shown } from '../../testing'
import { Start } from './Start'

const base = (code: string, name: string) => ({ code, name, stockG: 0 })
const choices = {
  kinds: [{ code: 'creamer', name: 'Coffee creamer' }],
  bases: [base('almond', 'Almonds'), base('pecan', 'Pecans'), base('oats', 'Oats')],
  flavours: [{ code: 'vanilla', name: 'Vanilla' }],
  sweeteners: [{ code: 'maple-syrup', name: 'Maple syrup' }],
  drinkers: [],
  basics: [],
}

const idea = (n: number): Partial<Designed> => ({
  name: `Idea ${n}`,
  cost: { known: false } as Designed['cost'],
  lines: [],
  method: [],
  lasting: [],
  notFor: [],
  why: [],
  buy: [],
  ideas: 3,
})

const opened = () => {
  const at = shown(<Start />, {
    'GET /api/wishes/choices': () => choices,
    'GET /api/drinks': () => [],
    'GET /api/allergens': () => [],
    'POST /api/wishes': (body) => idea((body as Wish).idea),
  })
  const wishes = () => at.changes().map(([, body]) => body as Wish)
  return { ...at, wishes }
}

test('a different idea is the next one, and another answer begins with the first again', async () => {
  const { hands, wishes } = opened()
  await hands.click(await screen.findByRole('button', { name: 'Another idea' }))
  expect(await screen.findByText('Idea 1')).toBeTruthy()
  await hands.click(screen.getByText('Vanilla'))
  expect(await screen.findByText('Idea 0')).toBeTruthy()
  expect(wishes().map((w) => [w.idea, w.flavour])).toEqual([
    [0, ''],
    [1, ''],
    [0, 'vanilla'],
  ])
})

test('a drink has two bases at the most: a third takes the place of the second', async () => {
  const { hands, wishes } = opened()
  for (const name of ['Almonds', 'Pecans', 'Oats']) await hands.click(await screen.findByText(name))
  await waitFor(() => expect(wishes().at(-1)?.bases).toEqual(['almond', 'oats']))
  await hands.click(screen.getByText('Almonds'))
  await waitFor(() => expect(wishes().at(-1)?.bases).toEqual(['oats']))
})
