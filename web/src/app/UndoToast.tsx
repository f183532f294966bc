import { useMutation, useQueryClient } from '@tanstack/react-query'
import { Toast } from 'radix-ui'
import { useEffect } from 'react'
import { answer, api } from '../api/client'
import { offerUndo, useOffer } from '../api/undo'
import { copy } from '../copy/more'
import { Button } from '../ui/Button'

/** How long an act can be taken back from the page that did it. */
const offeredForMS = 20_000

/** UndoToast offers to take back what was done last, for a while. */
export function UndoToast() {
  const offer = useOffer()
  const client = useQueryClient()
  const undo = useMutation({
    mutationFn: (id: string) => answer(api.POST('/api/undo/{id}', { params: { path: { id: Number(id) } } })),
    onSuccess: () => {
      offerUndo(undefined)
      client.invalidateQueries()
    },
  })
  const { reset } = undo
  // biome-ignore lint/correctness/useExhaustiveDependencies: what was wrong with one offer is not with the next
  useEffect(() => reset(), [offer?.id, reset])
  return (
    <Toast.Provider swipeDirection="down" duration={offeredForMS} label={copy.app.notice}>
      {offer && (
        <Toast.Root
          key={offer.id}
          onOpenChange={(open) => !open && offerUndo(undefined)}
          className="flex flex-wrap items-center gap-3 rounded-tray border-tray border-rim bg-enamel px-5 py-2 shadow-lg"
        >
          <Toast.Description>{undo.error ? undo.error.message : offer.words}</Toast.Description>
          <Button disabled={undo.isPending} onClick={() => undo.mutate(offer.id)}>
            {copy.app.undo}
          </Button>
          <Toast.Close asChild>
            <Button>{copy.app.dismiss}</Button>
          </Toast.Close>
        </Toast.Root>
      )}
      <Toast.Viewport className="fixed inset-x-3 bottom-24 z-50 mx-auto flex w-fit max-w-[calc(100vw-1.5rem)] justify-center print:hidden" />
    </Toast.Provider>
  )
}
