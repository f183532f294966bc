import { describe, expect, it } from 'vitest'
import type { Plan, WeighedChange } from './schema'
import { withWeighed } from './weighed'

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
