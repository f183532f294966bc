import { describe, expect, it } from 'vitest'
import { withBottle, withMark, withWeighed } from './patches'
import type { Bottle, ItemStep, Plan, Shelf, WeighedChange } from './schema'

const amount = (key: string) => ({ key, name: key })
const plan = {
  visits: 2,
  items: [
    { id: 1, front: { step: 0 }, steps: [{ amounts: [amount('a'), amount('b')] }, { amounts: [amount('c')] }] },
    { id: 2, steps: [{ amounts: [amount('a')] }] },
  ],
} as unknown as Plan

describe('withWeighed', () => {
  const change = { itemID: 1, key: 'b', used: { massG: 12 }, front: { step: 1 } } as unknown as WeighedChange

  it('puts what was weighed into its amount, and the step that is in front', () => {
    const now = withWeighed(plan, change)
    expect(now.items[0]?.steps[0]?.amounts[1]).toEqual({ key: 'b', name: 'b', used: { massG: 12 } })
    expect(now.items[0]?.front).toEqual({ step: 1 })
  })
  it('leaves the rest as it is, and takes a weighing back', () => {
    const now = withWeighed(plan, change)
    expect(now.items[1]).toBe(plan.items[1])
    expect(now.items[0]?.steps[1]).toBe(plan.items[0]?.steps[1])
    expect(plan.items[0]?.steps[0]?.amounts[1]).toEqual({ key: 'b', name: 'b' })
    const back = withWeighed(now, { ...change, used: undefined })
    expect(back.items[0]?.steps[0]?.amounts[1]?.used).toBeUndefined()
  })
})

describe('withBottle', () => {
  const bottle = (id: number, leftML: number, state = 'in use') =>
    ({ id, leftML, state, shelfML: 900 }) as unknown as Bottle
  const shelf = { bottles: [bottle(1, 400), bottle(2, 700)], totalML: 1100 } as unknown as Shelf

  it('shows what is left, in the bottle and on the shelf', () => {
    const now = withBottle(shelf, bottle(1, 200))
    expect(now.bottles.map((b) => b.leftML)).toEqual([200, 700])
    expect(now.totalML).toBe(900)
  })
  it('takes away what is used up', () => {
    expect(withBottle(shelf, bottle(2, 0, 'finished')).bottles.map((b) => b.id)).toEqual([1])
  })
})

it('a mark that is not sent yet moves the work on, and back again', () => {
  const step = (kind: string, handsOn: boolean) => ({ kind, handsOn, skipped: false }) as ItemStep
  const plan = {
    items: [
      {
        id: 3,
        steps: [step('soak', false), step('drain', true), step('grind', true)],
        front: { step: 1, place: 1, of: 2, undo: -1, wait: 'Soak' },
      },
      { id: 4, steps: [], front: { step: 0 } },
    ],
  } as unknown as Plan
  const done = withMark(plan, 3, { step: 1, undo: false }, '2026-11-28T16:00:00Z')
  expect(done.items[0]?.steps.map((s) => s.doneAt)).toEqual(['2026-11-28T16:00:00Z', '2026-11-28T16:00:00Z', undefined])
  expect(done.items[0]?.front).toMatchObject({ step: 2, place: 2, of: 2, undo: 1, wait: '' })
  expect(done.items[1]).toBe(plan.items[1])
  const all = withMark(done, 3, { step: 2, undo: false }, '2026-11-28T16:05:00Z')
  expect(all.items[0]?.front?.step).toBe(-1)
  const back = withMark(all, 3, { step: 2, undo: true }, '2026-11-28T16:06:00Z')
  expect(back.items[0]?.front).toMatchObject({ step: 2, place: 2, undo: -1 })
})
