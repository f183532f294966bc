import type { Bottle, Front, ItemStep, Plan, Shelf, WeighedChange } from './schema'

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

/**
 * withMark is the plan with a step marked that could not be told to the kitchen yet: it and those before it are done,
 * or it is undone, and the next that needs hands is to do. Times and waits stay as they were; the kitchen plans them
 * anew once it is told.
 */
export function withMark(
  plan: Plan,
  id: number,
  mark: { step: number; undo: boolean; skip?: boolean },
  at: string,
): Plan {
  return {
    ...plan,
    items: plan.items.map((item) => {
      if (item.id !== id || !item.front) return item
      const steps = item.steps.map((step, n) => marked(step, n, mark, at))
      return { ...item, steps, front: frontOf(item.front, steps, mark) }
    }),
  }
}

function marked(
  step: ItemStep,
  n: number,
  mark: { step: number; undo: boolean; skip?: boolean },
  at: string,
): ItemStep {
  if (mark.undo) return n === mark.step ? { ...step, doneAt: undefined, skipped: false } : step
  if (n === mark.step) return { ...step, doneAt: at, skipped: mark.skip ?? false }
  return n < mark.step && !step.doneAt && !mark.skip ? { ...step, doneAt: at } : step
}

function frontOf(front: Front, steps: ItemStep[], mark: { step: number; undo: boolean }): Front {
  const step = steps.findIndex((s) => s.handsOn && !s.doneAt)
  const place = steps.filter((s, n) => s.handsOn && n <= (step < 0 ? steps.length : step)).length
  const { waitUntil: _, ...rest } = front
  return { ...rest, step, place, undo: mark.undo ? -1 : mark.step, amount: -1, wait: '', waitS: 0, cools: false }
}
