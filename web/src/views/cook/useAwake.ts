import { useEffect } from 'react'

/** useAwake keeps the screen on while the view is open, where the browser can. It is asked for anew when the page is seen again. */
export function useAwake() {
  useEffect(() => {
    let lock: WakeLockSentinel | undefined
    let left = false
    const ask = async () => {
      if (document.visibilityState !== 'visible' || !navigator.wakeLock) return
      try {
        const got = await navigator.wakeLock.request('screen')
        if (left) got.release()
        else lock = got
      } catch {
        // The browser keeps its own ways, as when the battery is low.
      }
    }
    ask()
    document.addEventListener('visibilitychange', ask)
    return () => {
      left = true
      document.removeEventListener('visibilitychange', ask)
      lock?.release()
    }
  }, [])
}
