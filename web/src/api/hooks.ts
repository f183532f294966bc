import {
  keepPreviousData,
  type QueryClient,
  queryOptions,
  replaceEqualDeep,
  useMutation,
  useQuery,
  useQueryClient,
} from '@tanstack/react-query'
import { useEffect, useRef } from 'react'
import { answer, api, query } from './client'
import { keyOf, refresh, shelfPaths } from './keys'
import { withBottle, withChanged, withWeighed } from './patches'
import type {
  Bottle,
  Drink,
  Moved,
  NewBatch,
  Pantry,
  Plan,
  Poured,
  Recipe,
  Reckoning,
  ScaleNow,
  Settings,
  SettingsNow,
  Shelf,
  Timers,
  WeighedChange,
  Why,
} from './schema'

export const useKitchen = () => query.useQuery('get', '/api/kitchen')

export const useDrinks = () => query.useQuery('get', '/api/drinks')

const everyMinute = 60_000

export const useShelf = () => query.useQuery('get', '/api/shelf', undefined, { refetchInterval: everyMinute })

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
  const since = told
  const {
    answer: name,
    whole,
    changed,
  } = await answer(api.POST('/api/reckonings/since', { body: { ...body, since: since.answer }, signal }))
  const figures = whole ?? (withChanged(since.figures, changed) as Reckoning)
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

/** useBottle are the things done with a bottle. A pour answers with all that it changed of the shelf; after anything else the shelf is read anew. */
export function useBottle(id: number) {
  const client = useQueryClient()
  const path = { params: { path: { id } } }
  const onSettled = () => refresh(client, ...shelfPaths)
  const onSuccess = (bottle: Bottle) => {
    client.setQueryData<Shelf>(keyOf('/api/shelf'), (shelf) => shelf && withBottle(shelf, bottle))
    // what else hangs on it is read when it is looked at next
    const others: unknown[] = shelfPaths.filter((path) => path !== '/api/shelf')
    client.invalidateQueries({ predicate: (q) => others.includes(q.queryKey[1]), refetchType: 'none' })
  }
  return {
    pour: useMutation({
      mutationFn: (body: Poured) => answer(api.POST('/api/bottles/{id}/pours', { ...path, body })),
      onSuccess,
      onError: onSettled,
    }),
    merge: useMutation({
      mutationFn: (other: number) => answer(api.POST('/api/bottles/{id}/merge', { ...path, body: { other } })),
      onSettled,
    }),
    undo: useMutation({
      mutationFn: () => answer(api.POST('/api/bottles/{id}/undo-pour', path)),
      onSuccess,
      onError: onSettled,
    }),
    move: useMutation({
      mutationFn: (place: Moved['place']) => answer(api.POST('/api/bottles/{id}/move', { ...path, body: { place } })),
      onSettled,
    }),
    finish: useMutation({ mutationFn: () => answer(api.POST('/api/bottles/{id}/finish', path)), onSettled }),
    throwOut: useMutation({
      mutationFn: (body: Why) => answer(api.POST('/api/bottles/{id}/throw-out', { ...path, body })),
      onSettled,
    }),
  }
}

/** useMoveBottle puts any bottle elsewhere. */
export function useMoveBottle() {
  const client = useQueryClient()
  return useMutation({
    mutationFn: ({ id, place }: { id: number; place: Moved['place'] }) =>
      answer(api.POST('/api/bottles/{id}/move', { params: { path: { id } }, body: { place } })),
    onSettled: () => refresh(client, ...shelfPaths),
  })
}

export const useRhythm = () => query.useQuery('get', '/api/rhythm', undefined, { refetchInterval: everyMinute })

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

/** How long after the stream was given up it is opened anew. */
const openAgainMS = 1_000

/** useFollow shows at once what another device changes: a step done, a timer held. A stream that ends is opened again, also where the browser gave it up; what was missed meanwhile is told at its start. */
export function useFollow() {
  const client = useQueryClient()
  useEffect(() => {
    let changes: EventSource
    let again: ReturnType<typeof setTimeout>
    const open = () => {
      changes = new EventSource('/api/changes')
      changes.onopen = () => {
        refresh(client, '/api/scale')
      }
      changes.onmessage = () => {
        refresh(client, '/api/plan', '/api/timers')
      }
      changes.onerror = () => {
        if (changes.readyState === EventSource.CLOSED) again = setTimeout(open, openAgainMS)
      }
      changes.addEventListener('weighed', (e) => putWeighed(client, JSON.parse(e.data) as WeighedChange))
      changes.addEventListener('scale', (e) => client.setQueryData(keyOf('/api/scale'), JSON.parse(e.data) as ScaleNow))
    }
    open()
    return () => {
      clearTimeout(again)
      changes.close()
    }
  }, [client])
}

const everyFewSeconds = 4_000

/** useScale is what the scale shows; while it is connected useFollow tells of it. Until then it is asked for, so that a scale that begins to send is seen. */
export const useScale = () =>
  query.useQuery('get', '/api/scale', undefined, {
    refetchInterval: (q) => (q.state.data?.connected ? false : everyFewSeconds),
  })

/** useScaleChange does something to the scale. */
export function useScaleChange<In>(change: (input: In) => Promise<ScaleNow>) {
  const client = useQueryClient()
  return useMutation({
    mutationFn: change,
    onSuccess: (scale) => client.setQueryData(keyOf('/api/scale'), scale),
  })
}

export const useStory = (id: number) => query.useQuery('get', '/api/bottles/{id}/story', { params: { path: { id } } })

export const useThermo = () => query.useQuery('get', '/api/thermometer', undefined, { refetchInterval: everyMinute })

/** useShelfChange does something that shows on the Shelf: to the thermometer, whose record dates follow, or to pulp. */
export function useShelfChange<In, Out>(change: (input: In) => Promise<Out>) {
  const client = useQueryClient()
  return useMutation({
    mutationFn: change,
    onSuccess: () => refresh(client, '/api/thermometer', ...shelfPaths),
  })
}

/** useTimers asks for the timers again and again: soon where one is about to ring. */
export const useTimers = () =>
  query.useQuery('get', '/api/timers', undefined, {
    refetchInterval: (q) => (q.state.data?.timers.some((t) => t.state !== 'held' && t.leftS <= 10) ? 1_000 : 5_000),
  })

/** useTimerChange makes one change to the timers. */
export function useTimerChange<In>(change: (input: In) => Promise<Timers>) {
  const client = useQueryClient()
  return useMutation({
    mutationFn: change,
    onSuccess: (timers) => client.setQueryData(keyOf('/api/timers'), timers),
  })
}

/** putWeighed puts what one weighing changed into the plan that is there. */
function putWeighed(client: QueryClient, change: WeighedChange) {
  client.setQueryData<Plan>(keyOf('/api/plan'), (plan) => plan && withWeighed(plan, change))
}

/** useWeighing takes down, or forgets, what really went in. Only what changed is sent and put into the plan. */
export function useWeighing<In>(change: (input: In) => Promise<WeighedChange>) {
  const client = useQueryClient()
  return useMutation({ mutationFn: change, onSuccess: (weighed) => putWeighed(client, weighed) })
}

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
