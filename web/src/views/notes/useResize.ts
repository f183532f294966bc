import { useMutation, useQueryClient } from '@tanstack/react-query'
import { useLocation } from 'wouter'
import { answer, api } from '../../api/client'
import { refresh } from '../../api/keys'

/** useResize sizes a drink's draft to what is said, in mL, and shows it on the Bench. */
export function useResize(drinkID: number) {
  const client = useQueryClient()
  const [, go] = useLocation()
  const path = { params: { path: { id: drinkID } } }
  return useMutation({
    mutationFn: async (ml: number) => {
      const drink = await answer(api.GET('/api/drinks/{id}', path))
      const recipe = { ...drink.draft, sizeBy: 'volume' as const, sizeValue: ml, sizeEach: 0, perDay: 0 }
      return answer(
        api.PUT('/api/drinks/{id}/draft', { ...path, body: { name: drink.name, recipe, revision: drink.revision } }),
      )
    },
    onSuccess: async () => {
      await refresh(client, '/api/drinks', '/api/drinks/{id}')
      go(`/bench/${drinkID}`)
    },
  })
}
