import { useMutation, useQueryClient } from '@tanstack/react-query'
import { answer, api } from '../../api/client'
import { refresh } from '../../api/keys'
import type { LibraryDrink } from '../../api/schema'
import { copy } from '../../copy/more'
import { Button } from '../../ui/Button'

/** useArchive puts a drink away, or brings it back. */
function useArchive(id: number) {
  const client = useQueryClient()
  return useMutation({
    mutationFn: (archived: boolean) =>
      answer(api.PUT('/api/drinks/{id}/archived', { params: { path: { id } }, body: { archived } })),
    onSuccess: () => refresh(client, '/api/library', '/api/drinks'),
  })
}

/** ArchiveButton puts a drink away, or brings it back. */
export function ArchiveButton({ d }: { d: LibraryDrink }) {
  const archive = useArchive(d.id)
  return (
    <Button
      size="small"
      aria-label={d.archived ? copy.drinks.unarchiveOf(d.name) : copy.drinks.archiveOf(d.name)}
      disabled={archive.isPending}
      onClick={() => archive.mutate(!d.archived)}
    >
      {d.archived ? copy.drinks.unarchive : copy.drinks.archive}
    </Button>
  )
}
