import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { useEffect, useState } from 'react'
import { Refused } from '../../../api/client'
import { useIsRight } from '../../../ui/Typing'

/** Half-typed words are not asked about. */
const pauseMs = 180

/**
 * useAsk asks the kitchen when what is asked has changed and typing pauses, and says what was refused. Nothing is asked, and nothing there to act on, while a field beside it is wrong. `data` is the
 * last answer, to be shown until the next is there; `now` is the answer to what stands there at this moment, and the
 * only one to act on.
 */
export function useAsk<T>(key: string, body: unknown, ask: () => Promise<T>, enabled = true) {
  const isRight = useIsRight()
  const text = JSON.stringify(body)
  const [settled, setSettled] = useState(text)
  useEffect(() => {
    const timer = setTimeout(() => setSettled(text), pauseMs)
    return () => clearTimeout(timer)
  }, [text])
  const asked = useQuery({
    queryKey: [key, settled],
    queryFn: ask,
    placeholderData: keepPreviousData,
    enabled: enabled && isRight && settled === text,
    gcTime: 10_000,
  })
  const refused = asked.error instanceof Refused ? asked.error : undefined
  const data = asked.error || !isRight ? undefined : asked.data
  const now = settled === text && !asked.isPlaceholderData ? data : undefined
  return { data, now, refused, fields: refused?.fields ?? {} }
}
