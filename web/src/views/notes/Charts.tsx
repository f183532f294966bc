import type { Chart as Drawn, History } from '../../api/schema'
import { copy } from '../../copy'
import { Chart } from '../../ui/Chart'
import { toDayAndMonth } from '../../ui/format'
import { toFigure } from './figures'

const pigments: Record<Drawn['figure'], string> = {
  yield: 'text-rim',
  stars: 'text-turmeric',
  cost: 'text-nutmeg',
  sweetness: 'text-hibiscus',
  waste: 'text-mute',
}

/** Charts are the small charts of a drink: a line a figure, its name before it and its last value behind. */
export function Charts({ history }: { history: History }) {
  const [first, last] = [history.points[0], history.points[history.points.length - 1]]
  if (history.charts.length === 0) return <p className="text-note text-mute">{copy.notes.twoBatchesNeeded}</p>
  return (
    <div>
      <ul className="grid gap-1">
        {history.charts.map((c) => (
          <Row key={c.figure} c={c} currency={history.currency} />
        ))}
      </ul>
      {first && last && (
        <p className="flex justify-between text-fine text-mute sm:px-28">
          <span>{`${copy.notes.version(first.version)} · ${toDayAndMonth(first.madeOn)}`}</span>
          <span>{`${copy.notes.version(last.version)} · ${toDayAndMonth(last.madeOn)}`}</span>
        </p>
      )}
      {history.charts.some((c) => c.aim >= 0) && <p className="text-fine text-mute">{copy.notes.forecastLine}</p>}
    </div>
  )
}

function Row({ c, currency }: { c: Drawn; currency: string }) {
  const name = copy.notes.chartNames[c.figure] ?? c.figure
  const write = (v: number) => toFigure(c.figure, v, currency)
  const values = copy.notes.chartLabel(name, c.dots.length, write(c.low), write(c.high), write(c.last))
  return (
    <li className="grid grid-cols-[6.5rem_minmax(0,1fr)_7rem] items-center gap-x-2 max-sm:grid-cols-[minmax(0,1fr)_auto]">
      <span className="text-note text-mute">{name}</span>
      <div className="max-sm:order-last max-sm:col-span-full">
        <Chart chart={c} label={values} className={pigments[c.figure]} />
      </div>
      <b className="text-note">{write(c.last)}</b>
    </li>
  )
}
