import { useMutation, useQueryClient } from '@tanstack/react-query'
import { useEffect } from 'react'
import { answer, api } from '../api/client'
import { kitchenChanges } from '../api/hooks'
import { keyOf } from '../api/keys'
import { setZone } from '../ui/format'

/** useZone writes times by the kitchen's clock, wherever the browser stands. A kitchen that has no time zone yet gets the first browser's, before any other change of its settings. */
export function useZone(timeZone: string | undefined) {
  const client = useQueryClient()
  setZone(timeZone)
  const { mutate } = useMutation({
    scope: kitchenChanges,
    // a zone the kitchen does not know leaves it the machine's
    mutationFn: async (mine: string) => {
      const set = await answer(api.PUT('/api/kitchen/time-zone', { body: { timeZone: mine } }))
      client.setQueryData(keyOf('/api/kitchen'), set)
    },
    onSuccess: () => client.invalidateQueries(),
  })
  useEffect(() => {
    if (timeZone === '') mutate(Intl.DateTimeFormat().resolvedOptions().timeZone)
  }, [timeZone, mutate])
}
