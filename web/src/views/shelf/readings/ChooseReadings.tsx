import { FileUp } from 'lucide-react'
import { type DragEvent, useState } from 'react'
import { copy } from '../../../copy/more'
import { Button } from '../../../ui/Button'
import { classes } from '../../../ui/classes'
import { FileField } from '../../../ui/FileField'
import { TextArea } from '../../../ui/TextArea'

type Props = { busy: boolean; onFile: (file: File) => void }

/** ChooseReadings takes a file that is dropped or chosen, or what is pasted, as a file. */
export function ChooseReadings({ busy, onFile }: Props) {
  const [over, setOver] = useState(false)
  const [pasted, setPasted] = useState('')
  const drop = (e: DragEvent) => {
    e.preventDefault()
    setOver(false)
    const file = e.dataTransfer.files[0]
    if (file && !busy) onFile(file)
  }
  return (
    <>
      {/* biome-ignore lint/a11y/noStaticElementInteractions: dropping is a second way beside the field in it */}
      <div
        onDragOver={(e) => {
          e.preventDefault()
          setOver(true)
        }}
        onDragLeave={() => setOver(false)}
        onDrop={drop}
        className={classes(
          'grid gap-2 rounded-2xl border-2 border-dashed p-4',
          over ? 'border-rim bg-linen' : 'border-line',
        )}
      >
        <p className="flex items-center gap-2 font-bold">
          <FileUp size={20} aria-hidden />
          {copy.shelf.dropAFileHere}
        </p>
        <FileField
          quiet
          label={copy.shelf.readingsFile}
          accept=".csv,.txt,.tsv,.log,text/csv,text/plain,text/tab-separated-values"
          disabled={busy}
          onFile={onFile}
        />
        <p className="text-note text-mute">{copy.shelf.csvOrText}</p>
      </div>
      <TextArea
        label={copy.shelf.orPasteThem}
        rows={5}
        placeholder="2026-11-24 15:00,4.2"
        value={pasted}
        onChange={(e) => setPasted(e.target.value)}
      />
      <div className="flex justify-end">
        <Button
          disabled={busy || pasted.trim() === ''}
          onClick={() => onFile(new File([pasted], `${copy.shelf.readings}.csv`, { type: 'text/csv' }))}
        >
          {copy.shelf.readThese}
        </Button>
      </div>
    </>
  )
}
