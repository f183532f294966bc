import { Link } from 'wouter'
import { query } from '../../api/client'
import type { History } from '../../api/schema'
import { copy } from '../../copy/more'
import { inWords, toMillilitres } from '../../ui/format'
import { Notice } from '../../ui/Notice'
import { Tray } from '../../ui/Tray'
import { CompareTwo } from '../compare/CompareTwo'
import { Charts } from './Charts'
import { Gap } from './Gap'
import { BatchTable, VersionTable } from './tables'

/** DrinkHistory is how one drink went: charts, the figures behind them, its versions, its blind tastings, and what it lacks. */
export function DrinkHistory({ id }: { id: number }) {
  const history = query.useQuery('get', '/api/drinks/{id}/history', { params: { path: { id } } })
  if (!history.data) return history.error ? <Notice urgent>{history.error.detail}</Notice> : null
  const h = history.data
  return (
    <main className="flex flex-col gap-3">
      <div>
        <Link href="/notes" className="text-note text-rim underline">
          {copy.notes.backToNotes}
        </Link>
        <h1 className="text-title leading-tight">{h.name}</h1>
        <p className="text-mute">
          {copy.notes.totals(toMillilitres(h.madeML), toMillilitres(h.drunkML), toMillilitres(h.thrownML))}
          {' · '}
          <Link href={`/bench/${id}`} className="underline">
            {copy.notes.openOnTheBench}
          </Link>
        </p>
      </div>
      <div className="grid grid-cols-[minmax(0,1fr)] items-start gap-4 lg:grid-cols-2">
        <div className="grid grid-cols-[minmax(0,1fr)] gap-4">
          <Tray label={copy.notes.history}>
            <h2 className="text-xl">{copy.notes.history}</h2>
            <Charts history={h} />
          </Tray>
          <Tray label={copy.notes.versions} className="overflow-x-auto">
            <VersionTable h={h} />
          </Tray>
          <Tray label={copy.notes.batches} className="overflow-x-auto">
            <BatchTable h={h} />
          </Tray>
        </div>
        <div className="grid grid-cols-[minmax(0,1fr)] gap-4">
          <Gap lines={h.gap} />
          <Trials h={h} />
          <Tray label={copy.bench.compare} className="grid gap-2 overflow-x-auto print:hidden">
            <h2 className="text-xl">{copy.bench.compare}</h2>
            <CompareTwo
              first={{ drinkID: h.id, of: h.versions[0] ? `v${h.versions[0].version}` : 'now' }}
              second={{ drinkID: h.id, of: h.versions[1] ? `v${h.versions[1].version}` : 'now' }}
            />
          </Tray>
        </div>
      </div>
    </main>
  )
}

function Trials({ h }: { h: History }) {
  if (h.trials.length === 0) return null
  return (
    <Tray label={copy.notes.blind}>
      <h2 className="text-xl">{copy.notes.blind}</h2>
      <ul>
        {h.trials.map((t) => (
          <li key={t.id} className="border-line border-t py-2 text-note first:mt-2">
            <Link href={`/notes/batch/${t.batchID}`} className="underline">
              <b>{t.changed}</b> · {copy.notes.version(t.version)}
              {t.other > 0 && ` · ${copy.notes.version(t.other)}`}
            </Link>
            {t.answer
              ? ` ${copy.notes.holdsTheChange(inWords(t.answer.withChange.map(copy.notes.jar)), t.changed)} ${t.answer.text}`
              : ` ${copy.notes.tasted(t.verdicts.length)}`}
          </li>
        ))}
      </ul>
    </Tray>
  )
}
