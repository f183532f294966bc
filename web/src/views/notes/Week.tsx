import { Link, useSearchParams } from 'wouter'
import { query } from '../../api/client'
import type { Week as Worth } from '../../api/schema'
import { copy } from '../../copy/more'
import { Button } from '../../ui/Button'
import { toDayAndMonth, toMillilitres, toMoney, toTenth } from '../../ui/format'
import { LinkButton } from '../../ui/LinkButton'
import { Notice } from '../../ui/Notice'
import { Table } from '../../ui/Table'
import { Tray } from '../../ui/Tray'
import { orDash } from './tables'
import { Weeks } from './Weeks'

/** Week is what a week was worth, to be read on the page and to be printed on one. */
export function Week() {
  const [params] = useSearchParams()
  const of = params.get('of') ?? ''
  const week = query.useQuery('get', '/api/notes/week', { params: { query: { of } } })
  if (!week.data) return week.error ? <Notice urgent>{week.error.detail}</Notice> : null
  const w = week.data
  return (
    <main className="flex flex-col gap-3">
      <Link href="/notes" className="text-note text-rim underline print:hidden">
        {copy.notes.backToNotes}
      </Link>
      <div className="flex flex-wrap items-end justify-between gap-2">
        <div>
          <h1 className="text-title leading-tight">{copy.notes.whatTheWeekWasWorth}</h1>
          <p className="text-mute">{copy.notes.weekOf(toDayAndMonth(w.from), toDayAndMonth(w.to))}</p>
        </div>
        <div className="flex flex-wrap gap-2 print:hidden">
          <LinkButton href={`/notes/week?of=${w.before}`}>{copy.notes.weekBefore}</LinkButton>
          {w.after && <LinkButton href={`/notes/week?of=${w.after}`}>{copy.notes.weekAfter}</LinkButton>}
          <Button onClick={() => window.print()}>{copy.notes.print}</Button>
        </div>
      </div>
      <Tray label={copy.notes.figures}>
        <Figures w={w} />
      </Tray>
      <Tray label={copy.notes.weekDrinks} className="overflow-x-auto print:overflow-visible">
        {w.drinks.length === 0 ? <p>{copy.notes.quietWeek}</p> : <Drinks w={w} />}
      </Tray>
      <Weeks />
    </main>
  )
}

function Figures({ w }: { w: Worth }) {
  const money = toMoney(Math.abs(w.saved), w.currency)
  const figures: [string, string][] = [
    [copy.notes.heads.made, toMillilitres(w.madeML)],
    [copy.notes.drunk, toMillilitres(w.drunkML)],
    [copy.notes.thrownAway, toMillilitres(w.thrownML)],
    [copy.notes.savedAgainstShop, w.saved < 0 ? copy.notes.moreThan(money) : copy.notes.lessThan(money)],
    [copy.notes.heads.rating, w.tasted > 0 ? copy.notes.starsOfFive(toTenth(w.stars)) : copy.notes.notRated],
  ]
  return (
    <>
      <dl className="grid grid-cols-2 gap-3 sm:grid-cols-5 print:grid-cols-5">
        {figures.map(([name, value]) => (
          <div key={name}>
            <dt className="text-note text-mute">{name}</dt>
            <dd className="font-head text-xl leading-tight font-bold">{value}</dd>
          </div>
        ))}
      </dl>
      {w.unpriced > 0 && <p className="mt-2 text-note text-mute">{copy.notes.unpriced(w.unpriced)}</p>}
    </>
  )
}

function Drinks({ w }: { w: Worth }) {
  const { heads } = copy.notes
  return (
    <Table
      caption={copy.notes.weekDrinks}
      heads={[heads.drink, heads.made, copy.notes.drunk, heads.waste, copy.notes.savedAgainstShop, heads.rating]}
      rows={w.drinks.map((d) => ({
        key: String(d.drinkID),
        cells: [
          d.name,
          orDash(d.madeML, toMillilitres),
          orDash(d.drunkML, toMillilitres),
          orDash(d.thrownML, toMillilitres),
          d.known ? toMoney(d.saved, w.currency) : '–',
          orDash(d.stars, toTenth),
        ],
      }))}
    />
  )
}
