import { useQueryClient } from '@tanstack/react-query'
import { type RefObject, startTransition, useRef, useState } from 'react'
import { answer, api, Refused } from '../../api/client'
import type { Recipe, Turn } from '../../api/schema'
import { copy } from '../../copy'
import type { Draft } from './history'
import type { Edits } from './useDraft'

export type DialName = Turn['dial']

/** Turnable is what a dial needs of the Bench: the draft as it is now, and the way to change it. It stays the same object. */
export type Turnable = { draft: RefObject<Draft>; edits: Edits }

/** useTurn sets a dial: while it is dragged every step is solved from the amounts it began with, the newest step winning. */
export function useTurn({ draft, edits }: Turnable, dial: DialName, give: string) {
  const client = useQueryClient()
  const begun = useRef<Recipe>(undefined)
  const waiting = useRef<number>(undefined)
  const busy = useRef(false)
  const [said, setSaid] = useState<string[]>([])
  const [problem, setProblem] = useState<string>()

  const ask = async (position: number) => {
    if (busy.current) {
      waiting.current = position
      return
    }
    busy.current = true
    const { name, recipe } = draft.current
    begun.current ??= recipe
    try {
      const body = { name, recipe: begun.current, dial, position, give }
      const turned = await answer(api.POST('/api/turns', { body }))
      client.setQueryData(['reckoning', turned.recipe, ''], turned.reckoning)
      startTransition(() => {
        // drawn between frames, so that the marker keeps up with the hand
        edits.setRecipe(turned.recipe, `dial-${dial}`)
        setSaid(turned.said)
        setProblem(undefined)
      })
    } catch (e) {
      setProblem(e instanceof Refused ? e.message : copy.bench.theDialCouldNotBe)
    } finally {
      busy.current = false
    }
    const next = waiting.current
    waiting.current = undefined
    if (next !== undefined) await ask(next)
  }
  const settle = () => {
    if (!busy.current) begun.current = undefined
    else setTimeout(settle, 20)
  }
  return { ask, settle, said, problem }
}
