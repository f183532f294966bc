import { useMutation } from '@tanstack/react-query'
import { X } from 'lucide-react'

import { query, Refused } from '../../api/client'
import type { BatchPage } from '../../api/schema'
import { copy } from '../../copy/more'
import { IconButton } from '../../ui/Button'
import { classes } from '../../ui/classes'
import { ErrorText } from '../../ui/Field'
import { FileField } from '../../ui/FileField'
import { Tray } from '../../ui/Tray'
import { shrink } from './shrink'
import { useRecordChanged } from './useNotes'

/** send sends a picture as it is: it is no JSON. */
async function send(batchID: number, picture: Blob) {
  const response = await fetch(`/api/batches/${batchID}/photos`, { method: 'POST', body: picture })
  if (!response.ok) throw new Refused(await response.json(), response.status)
}

/** Photos are the pictures of a batch; one is made small here before it is sent. */
export function Photos({ b }: { b: BatchPage }) {
  const changed = useRecordChanged()
  const add = useMutation({
    mutationFn: async (file: File) => send(b.id, await shrink(file)),
    onSuccess: changed,
  })
  const remove = query.useMutation('delete', '/api/photos/{id}', { onSettled: changed })
  return (
    <Tray label={copy.notes.photos} className={classes('grid gap-3', b.photos.length === 0 && 'print:hidden')}>
      <h2 className="text-xl">{copy.notes.photos}</h2>
      <ul className="grid grid-cols-2 gap-3 sm:grid-cols-3">
        {b.photos.map((p, n) => (
          <li key={p.id} className="relative">
            <a href={`/api/photos/${p.id}.jpg`} target="_blank" rel="noreferrer">
              <img
                src={`/api/photos/${p.id}.jpg`}
                width={p.width}
                height={p.height}
                loading="lazy"
                alt={copy.notes.photoOf(n + 1, b.drinkName)}
                className="h-auto w-full rounded-xl border-2 border-line"
              />
            </a>
            <span className="absolute top-1 right-1 rounded-full bg-enamel">
              <IconButton
                label={copy.notes.deletePhoto(n + 1)}
                disabled={remove.isPending}
                onClick={() => remove.mutate({ params: { path: { id: p.id } } })}
              >
                <X size={18} aria-hidden />
              </IconButton>
            </span>
          </li>
        ))}
      </ul>
      <div>
        <FileField
          label={copy.notes.addAPhoto}
          accept="image/jpeg,image/png"
          disabled={add.isPending}
          onFile={(file) => add.mutate(file)}
        />
        <p className="text-sm text-mute">{copy.notes.photoHint}</p>
        <ErrorText id="photo-error">{add.error?.message}</ErrorText>
      </div>
    </Tray>
  )
}
