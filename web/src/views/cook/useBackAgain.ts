import { useEffect, useRef, useState } from 'react'
import type { ScaleNow } from '../../api/schema'

/** How long without a word from the scale until what it said last is not shown any more. */
export const silentForMS = 3_000

/** useIsSilent is whether a connected scale has not been heard of for a while: the page, or the kitchen, is cut off from it. */
export function useIsSilent(heardAt: number, connected: boolean) {
  const [now, setNow] = useState(Date.now)
  useEffect(() => {
    if (!connected) return
    const timer = setInterval(() => setNow(Date.now()), 500)
    return () => clearInterval(timer)
  }, [connected])
  return connected && now - heardAt > silentForMS
}

/**
 * useBackAgain connects the scale again by itself after the kitchen was started anew, for the drink it weighed for.
 * It answers whether that happened: what lay on the scale then was not recorded.
 */
export function useBackAgain(scale: ScaleNow | undefined, itemID: number, connect: (own: boolean) => void) {
  const before = useRef<{ station: string; own: boolean }>(undefined)
  const [again, setAgain] = useState(false)
  useEffect(() => {
    if (!scale) return
    if (scale.connected && scale.itemID === itemID) {
      before.current = { station: scale.station, own: scale.own }
      return
    }
    const was = before.current
    if (!was || scale.connected || was.station === scale.station) return
    before.current = undefined
    setAgain(true)
    connect(was.own)
  }, [scale, itemID, connect])
  return { again, forget: () => setAgain(false) }
}
