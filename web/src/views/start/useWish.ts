import { keepPreviousData, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { useLocation } from 'wouter'
import { answer, api, query } from '../../api/client'
import { refresh } from '../../api/keys'
import type { Designed, Wish } from '../../api/schema'
import { copy } from '../../copy/more'

/** What is asked for where nothing is said yet. */
const first: Wish = {
  kind: 'creamer',
  bases: [],
  richness: 'usual',
  whole: false,
  flavour: '',
  sweetness: 1,
  sweetener: 'maple-syrup',
  people: 2,
  days: 3,
  servingsDay: 2,
  suits: [],
  without: [],
  idea: 0,
}

/** useWish is what is wished for, the answers there are, and the drink for it. Another answer begins with the first idea again. */
export function useWish() {
  const [wish, setWish] = useState(first)
  const change = (part: Partial<Wish>) => setWish({ ...wish, idea: 0, ...part })
  const choices = query.useQuery(
    'get',
    '/api/wishes/choices',
    { params: { query: { kind: wish.kind } } },
    { placeholderData: keepPreviousData },
  )
  const designed = query.useQuery(
    'post',
    '/api/wishes',
    { body: wish },
    { placeholderData: keepPreviousData, retry: false },
  )
  return {
    wish,
    change,
    choices: choices.data,
    designed: designed.error ? undefined : designed.data,
    error: designed.error,
  }
}

/** useDuplicate begins a drink of its own from another as it stands now. */
export function useDuplicate() {
  const begin = useBegin()
  return async (id: number) => {
    const d = await answer(api.GET('/api/drinks/{id}', { params: { path: { id } } }))
    await begin(copy.start.copyOf(d.name), d.draft)
  }
}

/** useBegin puts a drink on the Bench as one of the kitchen's own. */
export function useBegin() {
  const client = useQueryClient()
  const [, go] = useLocation()
  return async (name: string, recipe?: Designed['recipe'], then = '') => {
    const begun = await answer(api.POST('/api/drinks', { body: { name } }))
    if (recipe) {
      const body = { name, recipe, revision: begun.revision }
      await answer(api.PUT('/api/drinks/{id}/draft', { params: { path: { id: begun.id } }, body }))
    }
    await refresh(client, '/api/drinks', '/api/library')
    go(`/bench/${begun.id}${then}`)
  }
}
