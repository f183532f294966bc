import { Link } from 'wouter'
import { query } from '../../api/client'
import { copy } from '../../copy/more'
import { toDayAndMonth, toMillilitres, toMoney, toTenth } from '../../ui/format'
import { Table } from '../../ui/Table'
import { Tray } from '../../ui/Tray'
import { ChartRows } from './Charts'
import { orDash } from './tables'

/** Weeks are how the kitchen's last weeks went: small charts, and the table behind them. */
export function Weeks() {
  const history = query.useQuery('get', '/api/notes/weeks').data
  if (!history || history.charts.length === 0) return null
  const { heads } = copy.notes
  const [first, last] = [history.weeks[0], history.weeks[history.weeks.length - 1]]
  return (
    <Tray label={copy.notes.lastWeeks} className="grid gap-3 overflow-x-auto print:hidden">
      <h2 className="text-xl">{copy.notes.lastWeeks}</h2>
      <ChartRows
        charts={history.charts}
        currency={history.currency}
        label={copy.notes.weeksLabel}
        from={first && toDayAndMonth(first.from)}
        to={last && toDayAndMonth(last.from)}
      />
      <Table
        caption={copy.notes.weekByWeek}
        heads={[heads.week, heads.made, copy.notes.drunk, heads.waste, copy.notes.savedAgainstShop, heads.rating]}
        rows={history.weeks.toReversed().map((w) => ({
          key: w.from,
          cells: [
            <Link key="week" href={`/notes/week?of=${w.from}`} className="text-rim underline">
              {toDayAndMonth(w.from)}
            </Link>,
            orDash(w.madeML, toMillilitres),
            orDash(w.drunkML, toMillilitres),
            orDash(w.thrownML, toMillilitres),
            toMoney(w.saved, w.currency),
            orDash(w.stars, toTenth),
          ],
        }))}
      />
    </Tray>
  )
}
