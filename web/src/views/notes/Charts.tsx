import type { Chart as Drawn, History } from '../../api/schema'
import { copy } from '../../copy/more'
import { Chart } from '../../ui/Chart'
import { toDayAndMonth } from '../../ui/format'
import { toFigure } from './figures'

const pigments: Record<Drawn['figure'], string> = {
  yield: 'text-rim',
  stars: 'text-turmeric',
  cost: 'text-nutmeg',
  sweetness: 'text-hibiscus',
  waste: 'text-mute',
  made: 'text-rim',
  drunk: 'text-pandan',
  thrown: 'text-mute',
  saved: 'text-nutmeg',
}

/** Charts are the small charts of a drink, from its first batch shown to its last. */
export function Charts({ history }: { history: History }) {
  const [first, last] = [history.points[0], history.points[history.points.length - 1]]
  if (history.charts.length === 0) return <p className="text-note text-mute">{copy.notes.twoBatchesNeeded}</p>
  return (
    <>
      <ChartRows
        charts={history.charts}
        currency={history.currency}
        label={copy.notes.chartLabel}
        from={first && `${copy.notes.version(first.version)} · ${toDayAndMonth(first.madeOn)}`}
        to={last && `${copy.notes.version(last.version)} · ${toDayAndMonth(last.madeOn)}`}
      />
      {history.charts.some((c) => c.aim >= 0) && <p className="text-fine text-mute">{copy.notes.forecastLine}</p>}
    </>
  )
}

type RowsProps = {
  charts: Drawn[]
  currency: string
  label: typeof copy.notes.chartLabel
  from?: string
  to?: string
}

/** ChartRows are a line a figure, its name before it and its last value behind. */
export function ChartRows({ charts, currency, label, from, to }: RowsProps) {
  return (
    <div className="max-w-3xl">
      <ul className="grid gap-1">
        {charts.map((c) => (
          <Row key={c.figure} c={c} currency={currency} label={label} />
        ))}
      </ul>
      <p className="flex justify-between text-fine text-mute sm:px-28">
        <span>{from}</span>
        <span>{to}</span>
      </p>
    </div>
  )
}

function Row({ c, currency, label }: { c: Drawn; currency: string; label: RowsProps['label'] }) {
  const name = copy.notes.chartNames[c.figure] ?? c.figure
  const write = (v: number) => toFigure(c.figure, v, currency)
  return (
    <li className="grid grid-cols-[6.5rem_minmax(0,1fr)_7rem] items-center gap-x-2 max-sm:grid-cols-[minmax(0,1fr)_auto]">
      <span className="text-note text-mute">{name}</span>
      <div className="max-sm:order-last max-sm:col-span-full">
        <Chart
          chart={c}
          label={label(name, c.dots.length, write(c.low), write(c.high), write(c.last))}
          className={pigments[c.figure]}
        />
      </div>
      <b className="text-note">{write(c.last)}</b>
    </li>
  )
}
