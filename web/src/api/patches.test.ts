import { describe, expect, it } from 'vitest'
import { withBottle, withWeighed } from './patches'
import type { Bottle, Plan, Shelf, WeighedChange } from './schema'

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
