import { useSyncExternalStore } from 'react'

/** Done is what was done, in words, and where the page goes once it is taken back. */
export type Done = { words: string }

export type Offer = Done & { id: string }

/** What is offered to be taken back, by how it was asked for. What is undone where it stands is not in the list. */
const undoable: [method: string, path: RegExp, words: string][] = [
  ['DELETE', /^\/api\/drinks\/\d+$/, 'Drink removed.'],
  ['DELETE', /^\/api\/plan\/items\/\d+$/, 'Taken off the plan.'],
  ['POST', /^\/api\/plan\/items\/\d+\/done$/, 'Marked.'],
  ['POST', /^\/api\/plan\/items\/\d+\/batch$/, 'Bottled.'],
  ['POST', /^\/api\/plan\/bought$/, 'Put into the pantry.'],
  ['POST', /^\/api\/plan\/anew$/, 'Planned from now.'],
  ['POST', /^\/api\/bottles\/\d+\/finish$/, 'Bottle finished.'],
  ['POST', /^\/api\/bottles\/\d+\/throw-out$/, 'Bottle thrown away.'],
  ['POST', /^\/api\/bottles\/\d+\/merge$/, 'Poured together.'],
  ['POST', /^\/api\/bottles\/\d+\/move$/, 'Bottle moved.'],
  ['POST', /^\/api\/drinks\/\d+\/batches$/, 'Batch bottled.'],
  ['POST', /^\/api\/pulps\/\d+\/(end|freeze)$/, 'Pulp marked.'],
  ['POST', /^\/api\/packs\/\d+\/(end|use)$/, 'Pack marked.'],
  ['DELETE', /^\/api\/bowls\/\d+$/, 'Bowl taken away.'],
  ['DELETE', /^\/api\/pantry\/ingredients\/\d+$/, 'Ingredient removed.'],
  ['DELETE', /^\/api\/pantry\/prices\//, 'Price removed.'],
  ['DELETE', /^\/api\/pantry\/measures\//, 'Measure removed.'],
  ['DELETE', /^\/api\/pantry\/names\//, 'Name forgotten.'],
  ['DELETE', /^\/api\/pantry\/drinkers\/\d+$/, 'Taken off the list.'],
  ['POST', /^\/api\/thermometer\/readings$/, 'Readings imported.'],
]

export function doneOf(method: string, path: string): Done | undefined {
  const found = undoable.find(([m, p]) => m === method && p.test(path))
  return found && { words: found[2] }
}

let offered: Offer | undefined
const listeners = new Set<() => void>()

/** offerUndo offers to take back what was done last; undefined withdraws the offer. */
export function offerUndo(offer: Offer | undefined) {
  offered = offer
  for (const tell of listeners) tell()
}

/** useOffer is what can be taken back now. */
export const useOffer = () =>
  useSyncExternalStore(
    (tell) => {
      listeners.add(tell)
      return () => listeners.delete(tell)
    },
    () => offered,
  )
