import { useEffect, useState } from 'react'

/** What takes no longer than this is there before one would read of it. */
const saidAfterMS = 1_000

/** Busy says what is going on where it takes over a second, and how far it is where that is known. */
export function Busy({ on, words, share }: { on: boolean; words: string; share?: number }) {
  const [long, setLong] = useState(false)
  useEffect(() => {
    setLong(false)
    if (!on) return
    const timer = setTimeout(() => setLong(true), saidAfterMS)
    return () => clearTimeout(timer)
  }, [on])
  if (!on || !long) return null
  return (
    <p role="status" className="flex items-center gap-3">
      <progress aria-label={words} value={share} className="h-2 w-40 accent-rim" />
      {words}
    </p>
  )
}
