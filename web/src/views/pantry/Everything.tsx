import { useMutation, useQueryClient } from '@tanstack/react-query'
import { HardDriveDownload } from 'lucide-react'
import { useId, useState } from 'react'
import { answer } from '../../api/client'
import { Button } from '../../ui/Button'
import { Dialog } from '../../ui/Dialog'
import { ErrorText } from '../../ui/Field'
import { Tray } from '../../ui/Tray'

/** Everything is all there is in the kitchen, to be taken elsewhere, kept, and put back. */
export function Everything() {
  const [file, setFile] = useState<File>()
  const [kept, setKept] = useState('')
  const id = useId()
  return (
    <Tray label="Backup" className="grid gap-3">
      <h2 className="text-xl">Backup</h2>
      <p className="text-note text-mute">
        All of the kitchen in one file: drinks, versions, batches, bottles, the plan, the pantry. A copy of each day is
        kept beside the kitchen's own file for a week.
      </p>
      <div className="flex flex-wrap items-end gap-x-4 gap-y-3">
        <a
          href="/api/backup.json"
          download
          className="inline-flex min-h-11 items-center gap-2 rounded-full border-2 border-rim bg-enamel px-4 font-bold"
        >
          <HardDriveDownload size={18} aria-hidden /> Everything as a file
        </a>
        <div>
          <label htmlFor={id} className="mb-1 block text-sm font-bold">
            Put a backup back
          </label>
          <input
            id={id}
            type="file"
            accept=".json,application/json"
            className="min-h-11 max-w-full text-note"
            onChange={(e) => {
              setFile(e.target.files?.[0])
              e.target.value = '' // so that the same file can be chosen again
            }}
          />
        </div>
      </div>
      {kept && <p role="status">The backup is back. What was here before is kept in {kept}.</p>}
      {file && <RestoreDialog file={file} onClose={() => setFile(undefined)} onDone={setKept} />}
    </Tray>
  )
}

type RestoreProps = { file: File; onClose: () => void; onDone: (kept: string) => void }

/** RestoreDialog asks once more before everything is replaced. */
function RestoreDialog({ file, onClose, onDone }: RestoreProps) {
  const client = useQueryClient()
  const restore = useMutation({
    mutationFn: () => answer(sent(file)),
    onSuccess: ({ kept }) => {
      onDone(kept)
      onClose()
      client.invalidateQueries()
    },
  })
  return (
    <Dialog title="Put this backup back" intro={file.name} onClose={onClose}>
      <p>
        It takes the place of everything in this kitchen. What is here now is kept first, as a backup beside the
        kitchen's own file. Devices that may come in stay as they are.
      </p>
      <ErrorText id="restore-error">{restore.error?.message}</ErrorText>
      <div className="flex justify-end gap-2">
        <Button onClick={onClose}>Leave all as it is</Button>
        <Button primary disabled={restore.isPending} onClick={() => restore.mutate()}>
          Replace everything with it
        </Button>
      </div>
    </Dialog>
  )
}

/** sent sends the file as it is: it may be larger than what the other operations take. */
async function sent(file: File) {
  const response = await fetch('/api/restore', { method: 'POST', body: file })
  const said = await response.json()
  return response.ok ? { data: said as { kept: string }, response } : { error: said, response }
}
