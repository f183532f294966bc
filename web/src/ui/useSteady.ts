import { useCallback, useLayoutEffect, useRef } from 'react'

/**
 * useSteady is a function that stays the same while what it does may change: what takes it is not drawn anew for it.
 * It is for what hands do, and not for what is called while drawing.
 */
export function useSteady<Args extends unknown[], Out>(act: (...args: Args) => Out) {
  const latest = useRef(act)
  useLayoutEffect(() => {
    latest.current = act
  })
  return useCallback((...args: Args) => latest.current(...args), [])
}
