import { useState } from 'react'
import { Link, useSearchParams } from 'wouter'
import { query } from '../../api/client'
import type { Notes as Record } from '../../api/schema'
import { copy } from '../../copy/more'
import { toDayAndMonth, toMillilitres, toMoney } from '../../ui/format'
import { LinkButton, linkButton } from '../../ui/LinkButton'
import { Notice } from '../../ui/Notice'
import { Tray } from '../../ui/Tray'
import { BatchList } from './BatchList'
import { HistoryTray } from './HistoryTray'
import { NotesPaper } from './NotesPaper'
import { TastingTray } from './TastingTray'
import { useNotes } from './useNotes'
import { WorthKnowing } from './WorthKnowing'

/** Notes is the record at a glance: what it tells, how a drink went, the batches, and how the last one was. */
export function Notes() {
  const [find, setFind] = useState('')
  const notes = useNotes(find.trim())
  if (!notes.data) return notes.error ? <Notice urgent>{notes.error.detail}</Notice> : null
  if (notes.data.batches === 0) return <NothingYet />
  return (
    <main className="flex flex-col gap-3">
      <NotesPaper notes={notes.data} intro={summary(notes.data)} />
      <div className="flex flex-wrap items-end justify-between gap-2">
        <div>
          <h1 className="text-title leading-tight">{copy.notes.notes}</h1>
          <p className="text-mute">{summary(notes.data)}</p>
        </div>
        <div className="flex flex-wrap gap-2">
          <LinkButton href="/notes/week">{copy.notes.whatTheWeekWasWorth}</LinkButton>
          <a href="/api/export/batches.csv" download className={linkButton}>
            {copy.notes.exportCSV}
          </a>
        </div>
      </div>
      <div className="grid grid-cols-[minmax(0,1fr)] items-start gap-4 lg:grid-cols-[minmax(0,1fr)_29rem]">
        <div className="grid grid-cols-[minmax(0,1fr)] gap-4">
          <WorthKnowing notes={notes.data} />
          <HistoryOf notes={notes.data} />
          <BatchList notes={notes.data} find={find} onFind={setFind} />
        </div>
        <Latest notes={notes.data} />
      </div>
    </main>
  )
}

function summary(n: Record) {
  const words = copy.notes.sinceThen(n.batches, toDayAndMonth(n.since), toMillilitres(n.madeML))
  return n.saved > 0 ? `${words} · ${copy.notes.lessThanTheShop(toMoney(n.saved, n.currency))}` : words
}

/** HistoryOf is the drink that was made last, or the one that is chosen. */
function HistoryOf({ notes }: { notes: Record }) {
  const [params, set] = useSearchParams()
  const chosen = Number(params.get('drink')) || notes.drinks[0]?.id
  if (!chosen) return null
  return (
    <HistoryTray id={chosen} drinks={notes.drinks} onChoose={(id) => set({ drink: String(id) }, { replace: true })} />
  )
}

/** Latest asks how the newest batch was that nobody tasted. */
function Latest({ notes }: { notes: Record }) {
  const batch = notes.lines.find((b) => b.tasted === 0) ?? notes.lines[0]
  // it stays with the batch it began with, though what is found narrows the list
  const [begun] = useState(batch)
  const shown = begun ?? batch
  const page = query.useQuery(
    'get',
    '/api/batches/{id}',
    { params: { path: { id: shown?.id ?? 0 } } },
    { enabled: !!shown },
  )
  if (!page.data) return null
  return <TastingTray key={page.data.id} batch={page.data} />
}

function NothingYet() {
  return (
    <main className="pt-6">
      <Tray className="grid max-w-xl justify-items-start gap-2">
        <h1 className="text-2xl">{copy.notes.nothingYet}</h1>
        <p>{copy.notes.nothingYetText}</p>
        <Link href="/" className="inline-flex min-h-11 items-center rounded-full bg-rim px-4 font-bold text-on-rim">
          {copy.notes.goToTheBench}
        </Link>
      </Tray>
    </main>
  )
}
