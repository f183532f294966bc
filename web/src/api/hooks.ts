import {
  keepPreviousData,
  type QueryClient,
  queryOptions,
  replaceEqualDeep,
  useMutation,
  useQuery,
  useQueryClient,
} from '@tanstack/react-query'
import { useRef } from 'react'
import { withChanged } from './changed'
import { answer, api, query } from './client'
import { keyOf, refresh, shelfPaths } from './keys'
import type { Drink, NewBatch, Pantry, Plan, Recipe, Reckoning, Settings, SettingsNow } from './schema'

export const useKitchen = () => query.useQuery('get', '/api/kitchen')

export const useDrinks = () => query.useQuery('get', '/api/drinks')

/** How often what changes by itself is read anew. */
export const everyMinute = 60_000

/** A change of the kitchen's settings: some of them, or what they become of what they are. */
type KitchenChange = Partial<Settings> | ((now: Settings) => Partial<Settings>)

/** Changes of the settings go one after the other, whoever makes them. */
export const kitchenChanges = { id: 'kitchen' }

/** useSetKitchen changes settings, each from what the change before came to. */
export function useSetKitchen() {
  const client = useQueryClient()
  return useMutation({
    scope: kitchenChanges,
    mutationFn: async (change: KitchenChange) => {
      const { today: _, ...now } =
        client.getQueryData<SettingsNow>(keyOf('/api/kitchen')) ?? (await answer(api.GET('/api/kitchen')))
      const set = await answer(
        api.PUT('/api/kitchen', { body: { ...now, ...(typeof change === 'function' ? change(now) : change) } }),
      )
      client.setQueryData(keyOf('/api/kitchen'), set)
      return set
    },
    onSuccess: () => client.invalidateQueries(),
    // what was changed elsewhere is read, so that saving again is meant
    onError: () => refresh(client, '/api/kitchen'),
  })
}

const toReckon = (name: string, recipe: Recipe, madeOn = '') => ({ name, recipe, madeOn })

/** keepFigures keeps the figures that a drink was opened with, so that they are not asked for once more. */
export function keepFigures(client: QueryClient, { name, draft, figures }: Drink) {
  if (figures) client.setQueryData(['post', '/api/reckonings', { body: toReckon(name, draft) }], figures)
}

/** How long figures are kept that nothing shows any more: as long as a step back may want them. */
const figuresKeptMS = 10_000

/** What the kitchen told last of a drink's figures. The next are told as what changed since. */
let told: { answer: string; figures?: Reckoning } = { answer: '' }

async function reckon(body: ReturnType<typeof toReckon>, signal: AbortSignal): Promise<Reckoning> {
  const { answer: since, figures: was } = told
  const {
    answer: name,
    whole,
    changed,
  } = await answer(api.POST('/api/reckonings/since', { body: { ...body, since: was ? since : '' }, signal }))
  const figures = whole ?? (withChanged(was, changed ?? {}) as Reckoning)
  told = { answer: name, figures }
  return figures
}

const reckonOptions = (name: string, recipe: Recipe, madeOn?: string) => {
  const body = toReckon(name, recipe, madeOn)
  return queryOptions({
    queryKey: ['post', '/api/reckonings', { body }],
    queryFn: ({ signal }) => reckon(body, signal),
    gcTime: figuresKeptMS,
  })
}

/** askAhead asks for the figures of a draft before what shows them is drawn anew. */
export function askAhead(client: QueryClient, draft: { name: string; recipe: Recipe }) {
  client.prefetchQuery(reckonOptions(draft.name, draft.recipe))
}

/** useReckoning reckons the recipe anew whenever it changes, and shows the last figures until the new ones are there; they stay where a change is refused. What did not change stays the same object, so that only what did is drawn anew. */
export function useReckoning(name: string, recipe: Recipe, madeOn = '') {
  const last = useRef<Reckoning>(undefined)
  const answered = useRef<Reckoning>(undefined)
  const reckoned = useQuery({ ...reckonOptions(name, recipe, madeOn), placeholderData: keepPreviousData })
  if (reckoned.data && reckoned.data !== answered.current) {
    answered.current = reckoned.data
    last.current = replaceEqualDeep(last.current, reckoned.data)
  }
  return { data: last.current, error: reckoned.error }
}

/** useSuggestions are the ingredients that fit what is typed. Until they are there the last ones stay that fit it too: what no longer does cannot be picked by a key pressed a moment too soon. */
export function useSuggestions(typed: string) {
  const lastWord = (/\S+\s*$/.exec(typed)?.[0] ?? '').trim().toLowerCase()
  return query.useQuery(
    'get',
    '/api/ingredients',
    { params: { query: { typed } } },
    {
      placeholderData: (last) => last?.filter((s) => s.line.toLowerCase().includes(lastWord)),
      enabled: typed.trim() !== '',
    },
  )
}

export function useRemoveDrink() {
  const client = useQueryClient()
  return useMutation({
    mutationFn: (id: number) => answer(api.DELETE('/api/drinks/{id}', { params: { path: { id } } })),
    onSuccess: () => refresh(client, '/api/drinks'),
  })
}

export function useMakeBatch(id: number) {
  const client = useQueryClient()
  return useMutation({
    mutationFn: (body: NewBatch) => answer(api.POST('/api/drinks/{id}/batches', { params: { path: { id } }, body })),
    onSuccess: () => refresh(client, ...shelfPaths),
  })
}

export const usePantry = () => query.useQuery('get', '/api/pantry')

/** usePantryChange makes one change to the pantry; all figures are reckoned anew after it. */
export function usePantryChange<In>(change: (input: In) => Promise<Pantry>) {
  const client = useQueryClient()
  return useMutation({
    mutationFn: change,
    onError: () => refresh(client, '/api/pantry'),
    onSuccess: (pantry) => {
      client.setQueryData(keyOf('/api/pantry'), pantry)
      // all but the pantry itself, and the drink that is being worked on
      client.invalidateQueries({ predicate: (q) => q.queryKey[1] !== '/api/pantry' && q.queryKey[0] !== 'drink' })
    },
  })
}

/** usePlan is asked for every minute, and soon again where it could not be had. */
export const usePlan = () =>
  query.useQuery('get', '/api/plan', undefined, {
    retry: false,
    refetchInterval: (q) => (q.state.status === 'error' || q.state.fetchFailureCount > 0 ? 2_000 : everyMinute),
  })

/** usePlanChange makes one change to the plan. */
export function usePlanChange<In>(change: (input: In) => Promise<Plan>) {
  const client = useQueryClient()
  return useMutation({
    mutationFn: change,
    onSuccess: (plan) => {
      client.setQueryData(keyOf('/api/plan'), plan)
      refresh(client, '/api/pantry', ...shelfPaths)
    },
  })
}
