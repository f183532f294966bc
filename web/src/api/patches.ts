import type { Bottle, Plan, Shelf, WeighedChange } from './schema'

/** withWeighed is the plan with what one weighing changed put into it; what it does not touch stays the same object. */
export function withWeighed(plan: Plan, change: WeighedChange): Plan {
  return {
    ...plan,
    items: plan.items.map((item) => {
      if (item.id !== change.itemID) return item
      const steps = item.steps.map((step) => {
        if (!step.amounts.some((a) => a.key === change.key)) return step
        const amounts = step.amounts.map((a) => (a.key === change.key ? { ...a, used: change.used } : a))
        return { ...step, amounts }
      })
      return { ...item, steps, front: change.front }
    }),
  }
}

/** withBottle is the shelf with a bottle as it is after a pour; one that is used up is gone from it. */
export function withBottle(shelf: Shelf, bottle: Bottle): Shelf {
  const bottles = shelf.bottles
    .map((b) => (b.id === bottle.id ? bottle : b))
    .filter((b) => b.id !== bottle.id || bottle.state === 'in use')
  return { ...shelf, bottles, totalML: bottle.shelfML ?? shelf.totalML }
}
