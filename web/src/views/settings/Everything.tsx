import { useMutation, useQueryClient } from '@tanstack/react-query'
import { HardDriveDownload } from 'lucide-react'
import { useState } from 'react'
import { query } from '../../api/client'
import { sendFile } from '../../api/sendFile'
import { copy } from '../../copy/more'
import { Busy } from '../../ui/Busy'
import { Button } from '../../ui/Button'
import { Dialog } from '../../ui/Dialog'
import { ErrorText } from '../../ui/Field'
import { FileField } from '../../ui/FileField'
import { toDayAndMonth } from '../../ui/format'
import { Select } from '../../ui/Select'
import { Tray } from '../../ui/Tray'

/** Everything is all there is in the kitchen, to be taken elsewhere, kept, and put back. */
export function Everything() {
  const [source, setSource] = useState<Source>()
  const [kept, setKept] = useState('')
  return (
    <Tray label={copy.pantry.backup} className="grid gap-3">
      <h2 className="text-xl">{copy.pantry.backup}</h2>
      <p className="text-note text-mute">{copy.pantry.oneFileWithEverythingDrinks}</p>
      <div className="flex flex-wrap items-end gap-x-4 gap-y-3">
        <a
          href="/api/backup.json"
          download
          className="inline-flex min-h-11 items-center gap-2 rounded-full border-2 border-rim bg-enamel px-4 font-bold"
        >
          <HardDriveDownload size={18} aria-hidden />
          {copy.pantry.downloadABackup}
        </a>
        <a href="/api/backup.zip" download className="inline-flex min-h-11 items-center font-bold text-rim underline">
          {copy.pantry.withPhotos}
        </a>
        <FileField
          label={copy.pantry.restoreABackup}
          accept=".json,.zip,application/json,application/zip"
          onFile={(file) =>
            setSource({ name: file.name, restore: (onShare) => sendFile<Restored>('/api/restore', file, onShare) })
          }
        />
      </div>
      {kept && <p role="status">{copy.pantry.theBackupIsRestoredWhat(kept)}</p>}
      <Copies onSource={setSource} />
      {source && <RestoreDialog source={source} onClose={() => setSource(undefined)} onDone={setKept} />}
    </Tray>
  )
}

type Restored = { kept: string }

/** Source is what everything is to be replaced with. */
type Source = { name: string; restore: (onShare: (share: number) => void) => Promise<Restored> }

/** Copies are those that the kitchen makes of each day by itself, to choose one from. */
function Copies({ onSource }: { onSource: (source: Source) => void }) {
  const copies = query.useQuery('get', '/api/copies').data ?? []
  const [chosen, setChosen] = useState<string>()
  const day = chosen ?? copies[0]?.day
  if (day === undefined) return <p className="text-note text-mute">{copy.pantry.noCopyYet}</p>
  const send = (onShare: (share: number) => void) =>
    sendFile<Restored>(`/api/copies/${day}/restore`, new Blob(), onShare)
  return (
    <div className="flex flex-wrap items-center gap-2">
      <Select
        label={copy.pantry.dailyCopy}
        value={day}
        choices={copies.map((c) => ({ value: c.day, label: toDayAndMonth(c.day) }))}
        onChange={setChosen}
      />
      <Button onClick={() => onSource({ name: copy.pantry.copyOfDay(toDayAndMonth(day)), restore: send })}>
        {copy.pantry.restoreThisCopy}
      </Button>
    </div>
  )
}

type RestoreProps = { source: Source; onClose: () => void; onDone: (kept: string) => void }

/** RestoreDialog asks once more before everything is replaced. */
function RestoreDialog({ source, onClose, onDone }: RestoreProps) {
  const client = useQueryClient()
  const [share, setShare] = useState<number>()
  const restore = useMutation({
    mutationFn: () => source.restore(setShare),
    onSuccess: ({ kept }) => {
      onDone(kept)
      onClose()
      client.invalidateQueries()
    },
  })
  return (
    <Dialog title={copy.pantry.restoreThisBackup} intro={source.name} onClose={onClose}>
      <p>{copy.pantry.thisReplacesEverythingInThis}</p>
      <Busy on={restore.isPending} words={copy.pantry.restoring} share={share === 1 ? undefined : share} />
      <ErrorText id="restore-error">{restore.error?.message}</ErrorText>
      <div className="flex justify-end gap-2">
        <Button onClick={onClose}>{copy.pantry.cancel}</Button>
        <Button primary disabled={restore.isPending} onClick={() => restore.mutate()}>
          {copy.pantry.replaceEverything}
        </Button>
      </div>
    </Dialog>
  )
}
