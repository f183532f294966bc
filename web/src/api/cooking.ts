import { type QueryClient, useMutation, useQueryClient } from '@tanstack/react-query'
import { useEffect } from 'react'
import { query } from './client'
import { keyOf, refresh } from './keys'
import { withWeighed } from './patches'
import type { Plan, ScaleNow, Timers, WeighedChange } from './schema'

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
