import { keepPreviousData } from '@tanstack/react-query'
import { useEffect, useState } from 'react'
import { query } from '../../api/client'
import type { Taste } from '../../api/schema'
import type { Said } from './TastingTray'
import { useRecordChanged } from './useNotes'

const settlesMS = 250

/** useSettled is a value once it has not changed for a moment. */
function useSettled<T>(value: T): T {
  const [settled, setSettled] = useState(value)
  useEffect(() => {
    const timer = setTimeout(() => setSettled(value), settlesMS)
    return () => clearTimeout(timer)
  }, [value])
  return settled
}

/** useTasting is what a tasting asks of the next batch while it is told, and the two ways of keeping it. */
export function useTasting(batchID: number, taste: Taste) {
  const path = { path: { id: batchID } }
  const changed = useRecordChanged()
  const { who: _, words: __, ...tasted } = taste // what is written moves no figure
  const settled = useSettled(JSON.stringify(tasted))
  const next = query.useQuery(
    'post',
    '/api/batches/{id}/proposals',
    { params: path, body: JSON.parse(settled) as Taste },
    { placeholderData: keepPreviousData },
  )
  const keep = query.useMutation('post', '/api/batches/{id}/tastings', { onSuccess: changed })
  const improve = query.useMutation('post', '/api/batches/{id}/next-version', { onSuccess: changed })
  return {
    next: next.data,
    problem: (keep.error ?? improve.error ?? next.error)?.detail,
    busy: keep.isPending || improve.isPending,
    keep: (onSaid: (said: Said) => void) => keep.mutate({ params: path, body: taste }, { onSuccess: () => onSaid({}) }),
    improve: (accept: string[], onSaid: (said: Said) => void) =>
      improve.mutate(
        { params: path, body: { taste, accept } },
        { onSuccess: (made) => onSaid({ version: made.version }) },
      ),
  }
}
