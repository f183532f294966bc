import { useQueryClient } from '@tanstack/react-query'
import { useRef, useState } from 'react'
import { answer, api, Refused } from '../../api/client'
import type { Formula, Turn } from '../../api/schema'
import type { BenchDraft } from './useDraft'

export type DialName = Turn['dial']

/** useTurn sets a dial: while it is dragged every step is solved from the amounts it began with, the newest step winning. */
export function useTurn(bench: BenchDraft, dial: DialName, give: string) {
  const client = useQueryClient()
  const begun = useRef<Formula>(undefined)
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
    const { name, formula } = bench.draft
    begun.current ??= formula
    try {
      const body = { name, formula: begun.current, dial, position, give }
      const turned = await answer(api.POST('/api/turns', { body }))
      client.setQueryData(['reckoning', turned.formula, ''], turned.reckoning)
      bench.setFormula(turned.formula, `dial-${dial}`)
      setSaid(turned.said)
      setProblem(undefined)
    } catch (e) {
      setProblem(e instanceof Refused ? e.message : 'The dial could not be set.')
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
