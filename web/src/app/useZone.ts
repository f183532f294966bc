import { useQueryClient } from '@tanstack/react-query'
import { useEffect } from 'react'
import { answer, api } from '../api/client'
import { setZone } from '../ui/format'

/** useZone writes times by the kitchen's clock, wherever the browser stands. A kitchen that has no time zone yet gets the first browser's. */
export function useZone(timeZone: string | undefined) {
  const client = useQueryClient()
  setZone(timeZone)
  useEffect(() => {
    if (timeZone !== '') return
    const mine = Intl.DateTimeFormat().resolvedOptions().timeZone
    answer(api.PUT('/api/kitchen/time-zone', { body: { timeZone: mine } })).then(
      () => client.invalidateQueries(),
      () => undefined, // a zone the kitchen does not know leaves it the machine's
    )
  }, [timeZone, client])
}
