import { useMutation, useQueryClient } from '@tanstack/react-query'
import { answer, api, query } from './client'
import { everyMinute } from './hooks'
import { keyOf, refresh, shelfPaths } from './keys'
import { withBottle } from './patches'
import type { Bottle, Moved, Poured, Shelf, Why } from './schema'

export const useShelf = () => query.useQuery('get', '/api/shelf', undefined, { refetchInterval: everyMinute })

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
