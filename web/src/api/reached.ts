import { useSyncExternalStore } from 'react'

let reached = true
const listeners = new Set<() => void>()

/** setReached says whether the kitchen answered by itself. */
export function setReached(now: boolean) {
  if (now === reached) return
  reached = now
  for (const told of listeners) told()
}

const subscribe = (told: () => void) => {
  listeners.add(told)
  return () => listeners.delete(told)
}

/** useReached is whether the kitchen answered last time it was asked. */
export const useReached = () => useSyncExternalStore(subscribe, () => reached)
