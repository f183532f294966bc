import { useState } from 'react'
import { Link, useLocation, useSearchParams } from 'wouter'
import { query } from '../../api/client'
import type { BatchPage } from '../../api/schema'
import { copy } from '../../copy/more'
import { Button } from '../../ui/Button'
import { Confirm } from '../../ui/Confirm'
import { toDayAndMonth } from '../../ui/format'
import { Notice } from '../../ui/Notice'
import { BatchFigures } from './BatchFigures'
import { Blind } from './Blind'
import { CorrectDialog } from './CorrectDialog'
import { HowItWas } from './HowItWas'
import { Photos } from './Photos'
import { Tastings } from './Tastings'
import { TastingTray } from './TastingTray'
import { useRecordChanged } from './useNotes'

/** BatchView is all there is of one batch, and where it is tasted, corrected and deleted. */
export function BatchView({ id }: { id: number }) {
  const batch = query.useQuery('get', '/api/batches/{id}', { params: { path: { id } } })
  const [params] = useSearchParams()
  if (!batch.data) return batch.error ? <Notice urgent>{batch.error.detail}</Notice> : null
  const b = batch.data
  return (
    <main className="flex flex-col gap-3">
      <Heading b={b} />
      <div className="grid grid-cols-[minmax(0,1fr)] items-start gap-4 lg:grid-cols-[minmax(0,1fr)_29rem]">
        <div className="grid grid-cols-[minmax(0,1fr)] gap-4 max-lg:order-last">
          <BatchFigures b={b} />
          <Tastings b={b} />
          <HowItWas b={b} />
          <Photos b={b} />
          <Blind b={b} />
        </div>
        <TastingTray batch={b} bottleID={Number(params.get('bottle')) || undefined} />
      </div>
    </main>
  )
}

function Heading({ b }: { b: BatchPage }) {
  const [correcting, setCorrecting] = useState(false)
  const [deleting, setDeleting] = useState(false)
  const changed = useRecordChanged()
  const [, go] = useLocation()
  const remove = query.useMutation('delete', '/api/batches/{id}', { onSettled: changed })
  return (
    <div className="flex flex-wrap items-end justify-between gap-3">
      <div>
        <Link href="/notes" className="text-note text-rim underline">
          {copy.notes.backToNotes}
        </Link>
        <h1 className="text-title leading-tight">{b.drinkName}</h1>
        <p className="text-mute">{copy.notes.madeOn(toDayAndMonth(b.madeOn), b.version)}</p>
      </div>
      <div className="flex flex-wrap gap-2">
        <Button onClick={() => setCorrecting(true)}>{copy.notes.correct}</Button>
        <Button onClick={() => setDeleting(true)}>{copy.notes.deleteBatch}</Button>
      </div>
      {correcting && <CorrectDialog b={b} onClose={() => setCorrecting(false)} />}
      {deleting && (
        <Confirm
          title={copy.notes.deleteTitle}
          text={copy.notes.deleteText}
          confirm={copy.notes.deleteBatch}
          onConfirm={() => {
            go('/notes') // before it is gone, so that nothing asks for it again
            remove.mutate({ params: { path: { id: b.id } } })
          }}
          onClose={() => setDeleting(false)}
        />
      )}
    </div>
  )
}
