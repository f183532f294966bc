import { keepPreviousData, useQueryClient } from '@tanstack/react-query'
import { query } from '../../api/client'
import { notesPaths, refresh, shelfPaths } from '../../api/keys'

/** useNotes is the record, its batches narrowed to those that hold what is looked for. */
export const useNotes = (find: string) =>
  query.useQuery('get', '/api/notes', { params: { query: { find } } }, { placeholderData: keepPreviousData })

/** useRecordChanged reads anew whatever hangs on the record, once something of it was changed. */
export function useRecordChanged() {
  const client = useQueryClient()
  return () => refresh(client, ...notesPaths, ...shelfPaths, '/api/drinks', '/api/drinks/{id}')
}
