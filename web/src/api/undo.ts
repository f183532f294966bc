import { useSyncExternalStore } from 'react'
import { copy } from '../copy'

/** Done is what was done, in words, and where the page goes once it is taken back. */
export type Done = { words: string }

export type Offer = Done & { id: string }

/** What is offered to be taken back, by how it was asked for. What is undone where it stands is not in the list. */
const undoable: [method: string, path: RegExp, words: string][] = [
  ['DELETE', /^\/api\/drinks\/\d+$/, copy.api.drinkDeleted],
  ['DELETE', /^\/api\/plan\/items\/\d+$/, copy.api.removedFromThePlan],
  ['POST', /^\/api\/plan\/items\/\d+\/done$/, copy.api.stepMarkedDone],
  ['POST', /^\/api\/plan\/items\/\d+\/batch$/, copy.api.bottled],
  ['POST', /^\/api\/plan\/bought$/, copy.api.addedToThePantry],
  ['POST', /^\/api\/plan\/anew$/, copy.api.plannedAgainFromNow],
  ['POST', /^\/api\/bottles\/\d+\/finish$/, copy.api.bottleFinished],
  ['POST', /^\/api\/bottles\/\d+\/throw-out$/, copy.api.bottleThrownAway],
  ['POST', /^\/api\/bottles\/\d+\/merge$/, copy.api.bottlesCombined],
  ['POST', /^\/api\/bottles\/\d+\/move$/, copy.api.bottleMoved],
  ['POST', /^\/api\/drinks\/\d+\/batches$/, copy.api.batchBottled],
  ['POST', /^\/api\/pulps\/\d+\/(end|freeze)$/, copy.api.pulpUpdated],
  ['POST', /^\/api\/packs\/\d+\/(end|use)$/, copy.api.packUpdated],
  ['DELETE', /^\/api\/bowls\/\d+$/, copy.api.bowlRemoved],
  ['DELETE', /^\/api\/pantry\/ingredients\/\d+$/, copy.api.ingredientDeleted],
  ['POST', /^\/api\/pantry\/stock\/[^/]+\/lots$/, copy.api.addedToThePantry],
  ['DELETE', /^\/api\/pantry\/(lots|packs)\/\d+$/, copy.api.removedFromTheList],
  ['DELETE', /^\/api\/pantry\/prices\//, copy.api.priceDeleted],
  ['DELETE', /^\/api\/pantry\/measures\//, copy.api.measureDeleted],
  ['DELETE', /^\/api\/pantry\/names\//, copy.api.wordDeleted],
  ['DELETE', /^\/api\/pantry\/drinkers\/\d+$/, copy.api.removedFromTheList],
  ['DELETE', /^\/api\/batches\/\d+$/, copy.api.batchDeleted],
  ['PUT', /^\/api\/batches\/\d+$/, copy.api.batchCorrected],
  ['DELETE', /^\/api\/tastings\/\d+$/, copy.api.tastingDeleted],
  ['DELETE', /^\/api\/photos\/\d+$/, copy.api.photoDeleted],
  ['DELETE', /^\/api\/trials\/\d+$/, copy.api.trialDeleted],
  ['POST', /^\/api\/batches\/\d+\/next-version$/, copy.api.nextVersionSaved],
  ['POST', /^\/api\/import\//, copy.api.tableImported],
]

/** Cook has an Undo of its own beside Done, which an offer over it would cover. */
const hasItsOwn = (path: string, view: string) => path.endsWith('/done') && view.startsWith('/cook')

export function doneOf(method: string, path: string, view = '/'): Done | undefined {
  if (hasItsOwn(path, view)) return undefined
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
