import {
  keepPreviousData,
  type QueryClient,
  replaceEqualDeep,
  useMutation,
  useQuery,
  useQueryClient,
} from '@tanstack/react-query'
import { useEffect, useRef } from 'react'
import { answer, api } from './client'
import { withBottle, withWeighed } from './patches'
import type {
  Bottle,
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
} from './schema'

export const useKitchen = () => useQuery({ queryKey: ['kitchen'], queryFn: () => answer(api.GET('/api/kitchen')) })

export const useDrinks = () => useQuery({ queryKey: ['drinks'], queryFn: () => answer(api.GET('/api/drinks')) })

const everyMinute = 60_000

export const useShelf = () =>
  useQuery({ queryKey: ['shelf'], queryFn: () => answer(api.GET('/api/shelf')), refetchInterval: everyMinute })

/** A change of the kitchen's settings: some of them, or what they become of what they are. */
type KitchenChange = Partial<Settings> | ((now: Settings) => Partial<Settings>)

/** useSetKitchen changes settings, one change after the other, each from what the one before came to. */
export function useSetKitchen() {
  const client = useQueryClient()
  return useMutation({
    scope: { id: 'kitchen' },
    mutationFn: async (change: KitchenChange) => {
      const { today: _, ...now } =
        client.getQueryData<SettingsNow>(['kitchen']) ?? (await answer(api.GET('/api/kitchen')))
      const set = await answer(
        api.PUT('/api/kitchen', { body: { ...now, ...(typeof change === 'function' ? change(now) : change) } }),
      )
      client.setQueryData(['kitchen'], set)
      return set
    },
    onSuccess: () => client.invalidateQueries(),
    // what was changed elsewhere is read, so that saving again is meant
    onError: () => client.invalidateQueries({ queryKey: ['kitchen'] }),
  })
}

/** useReckoning reckons the recipe anew whenever it changes, and shows the last figures until the new ones are there. What did not change stays the same object, so that only what did is drawn anew. */
export function useReckoning(name: string, recipe: Recipe, madeOn = '') {
  const last = useRef<Reckoning>(undefined)
  const query = useQuery({
    queryKey: ['reckoning', recipe, madeOn],
    queryFn: ({ signal }) => answer(api.POST('/api/reckonings', { body: { name, recipe, madeOn }, signal })),
    placeholderData: keepPreviousData,
    gcTime: 10_000,
  })
  if (query.data) last.current = replaceEqualDeep(last.current, query.data)
  return { data: query.data && last.current, error: query.error }
}

/** useSuggestions are the ingredients that fit what is typed. Until they are there the last ones stay that fit it too: what no longer does cannot be picked by a key pressed a moment too soon. */
export function useSuggestions(typed: string) {
  const lastWord = (/\S+\s*$/.exec(typed)?.[0] ?? '').trim().toLowerCase()
  return useQuery({
    queryKey: ['ingredients', typed],
    queryFn: ({ signal }) => answer(api.GET('/api/ingredients', { params: { query: { typed } }, signal })),
    placeholderData: (last) => last?.filter((s) => s.line.toLowerCase().includes(lastWord)),
    enabled: typed.trim() !== '',
  })
}

export function useStartDrink() {
  const client = useQueryClient()
  return useMutation({
    mutationFn: (name: string) => answer(api.POST('/api/drinks', { body: { name } })),
    onSuccess: () => client.invalidateQueries({ queryKey: ['drinks'] }),
  })
}

export function useRemoveDrink() {
  const client = useQueryClient()
  return useMutation({
    mutationFn: (id: number) => answer(api.DELETE('/api/drinks/{id}', { params: { path: { id } } })),
    onSuccess: () => client.invalidateQueries({ queryKey: ['drinks'] }),
  })
}

export function useMakeBatch(id: number) {
  const client = useQueryClient()
  return useMutation({
    mutationFn: (body: NewBatch) => answer(api.POST('/api/drinks/{id}/batches', { params: { path: { id } }, body })),
    onSuccess: () => client.invalidateQueries({ queryKey: ['shelf'] }),
  })
}

/** useBottle are the things done with a bottle. A pour answers with all that it changed of the shelf; after anything else the shelf is read anew. */
export function useBottle(id: number) {
  const client = useQueryClient()
  const path = { params: { path: { id } } }
  const onSettled = () => client.invalidateQueries({ queryKey: ['shelf'] })
  const onSuccess = (bottle: Bottle) => {
    client.setQueryData<Shelf>(['shelf'], (shelf) => shelf && withBottle(shelf, bottle))
    // what else hangs on it is read when it is looked at next
    client.invalidateQueries({
      predicate: (q) => q.queryKey[0] === 'shelf' && q.queryKey.length > 1,
      refetchType: 'none',
    })
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
      mutationFn: (why: string) => answer(api.POST('/api/bottles/{id}/throw-out', { ...path, body: { why } })),
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
    onSettled: () => client.invalidateQueries({ queryKey: ['shelf'] }),
  })
}

export const useRhythm = () =>
  useQuery({
    queryKey: ['shelf', 'rhythm'],
    queryFn: () => answer(api.GET('/api/rhythm')),
    refetchInterval: everyMinute,
  })

export const usePantry = () => useQuery({ queryKey: ['pantry'], queryFn: () => answer(api.GET('/api/pantry')) })

/** usePantryChange makes one change to the pantry; all figures are reckoned anew after it. */
export function usePantryChange<In>(change: (input: In) => Promise<Pantry>) {
  const client = useQueryClient()
  return useMutation({
    mutationFn: change,
    onError: () => client.invalidateQueries({ queryKey: ['pantry'] }),
    onSuccess: (pantry) => {
      client.setQueryData(['pantry'], pantry)
      client.invalidateQueries({ predicate: (q) => q.queryKey[0] !== 'pantry' && q.queryKey[0] !== 'drink' })
    },
  })
}

/** usePlan is asked for every minute, and soon again where it could not be had. */
export const usePlan = () =>
  useQuery({
    queryKey: ['plan'],
    queryFn: () => answer(api.GET('/api/plan')),
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
      changes.onmessage = () => {
        client.invalidateQueries({ queryKey: ['plan'] })
        client.invalidateQueries({ queryKey: ['timers'] })
      }
      changes.onerror = () => {
        if (changes.readyState === EventSource.CLOSED) again = setTimeout(open, openAgainMS)
      }
      changes.addEventListener('weighed', (e) => putWeighed(client, JSON.parse(e.data) as WeighedChange))
      changes.addEventListener('scale', (e) => client.setQueryData(['scale'], JSON.parse(e.data) as ScaleNow))
    }
    open()
    return () => {
      clearTimeout(again)
      changes.close()
    }
  }, [client])
}

/** useScale is what the scale shows; it is told of by useFollow from then on. */
export const useScale = () => useQuery({ queryKey: ['scale'], queryFn: () => answer(api.GET('/api/scale')) })

/** useScaleChange does something to the scale. */
export function useScaleChange<In>(change: (input: In) => Promise<ScaleNow>) {
  const client = useQueryClient()
  return useMutation({
    mutationFn: change,
    onSuccess: (scale) => client.setQueryData(['scale'], scale),
  })
}

export const useStory = (id: number) =>
  useQuery({
    queryKey: ['shelf', 'story', id],
    queryFn: () => answer(api.GET('/api/bottles/{id}/story', { params: { path: { id } } })),
  })

export const useThermo = () =>
  useQuery({
    queryKey: ['thermometer'],
    queryFn: () => answer(api.GET('/api/thermometer')),
    refetchInterval: everyMinute,
  })

/** useShelfChange does something that shows on the Shelf: to the thermometer, whose record dates follow, or to pulp. */
export function useShelfChange<In, Out>(change: (input: In) => Promise<Out>) {
  const client = useQueryClient()
  return useMutation({
    mutationFn: change,
    onSuccess: () => {
      for (const key of ['thermometer', 'shelf']) client.invalidateQueries({ queryKey: [key] })
    },
  })
}

export const useBatch = (id: number) =>
  useQuery({
    queryKey: ['batch', id],
    queryFn: () => answer(api.GET('/api/batches/{id}', { params: { path: { id } } })),
  })

/** useTimers asks for the timers again and again: soon where one is about to ring. */
export const useTimers = () =>
  useQuery({
    queryKey: ['timers'],
    queryFn: () => answer(api.GET('/api/timers')),
    refetchInterval: (q) => (q.state.data?.timers.some((t) => t.state !== 'held' && t.leftS <= 10) ? 1_000 : 5_000),
  })

/** useTimerChange makes one change to the timers. */
export function useTimerChange<In>(change: (input: In) => Promise<Timers>) {
  const client = useQueryClient()
  return useMutation({
    mutationFn: change,
    onSuccess: (timers) => client.setQueryData(['timers'], timers),
  })
}

/** putWeighed puts what one weighing changed into the plan that is there. */
function putWeighed(client: QueryClient, change: WeighedChange) {
  client.setQueryData<Plan>(['plan'], (plan) => plan && withWeighed(plan, change))
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
      client.setQueryData(['plan'], plan)
      for (const key of ['pantry', 'shelf']) client.invalidateQueries({ queryKey: [key] })
    },
  })
}
