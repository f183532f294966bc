import { Link } from 'wouter'
import type { BatchPage } from '../../api/schema'
import { copy } from '../../copy/more'
import { toDayAndClock, toGrams, toMillilitres, toMoney, toTenth } from '../../ui/format'
import { Tray } from '../../ui/Tray'

/** BatchFigures are what a batch came to, and what became of its bottles. */
export function BatchFigures({ b }: { b: BatchPage }) {
  const money = (v: number) => toMoney(v, b.currency)
  const measured = b.measuredML !== undefined
  const figures: [string, string, string?][] = [
    [
      copy.notes.yield,
      measured ? toMillilitres(b.measuredML ?? 0) : copy.notes.about(toMillilitres(b.forecastML)),
      measured ? copy.notes.forecast(toMillilitres(b.forecastML)) : copy.notes.notMeasured,
    ],
    ...(b.pulpG === undefined ? [] : [[copy.notes.pulp, toGrams(b.pulpG)] as [string, string]]),
    ...(b.perL > 0 ? [[copy.notes.costPerL, copy.notes.perL(money(b.perL))] as [string, string]] : []),
    ...(b.saved === 0
      ? []
      : [
          [
            copy.notes.savedAgainstShop,
            b.saved > 0 ? copy.notes.lessThan(money(b.saved)) : copy.notes.moreThan(money(-b.saved)),
          ] as [string, string],
        ]),
    [copy.notes.drunk, toMillilitres(b.drunkML)],
    [copy.notes.thrownAway, toMillilitres(b.thrownML)],
  ]
  return (
    <Tray label={copy.notes.figures} className="grid gap-3">
      <dl className="grid grid-cols-2 gap-x-4 gap-y-2 sm:grid-cols-3">
        {figures.map(([name, value, beside]) => (
          <div key={name}>
            <dt className="text-note text-mute">{name}</dt>
            <dd className="font-head text-lg leading-tight font-bold">{value}</dd>
            {beside && <dd className="text-note text-mute">{beside}</dd>}
          </div>
        ))}
      </dl>
      {b.notes && <p className="whitespace-pre-line">{b.notes}</p>}
      <section aria-label={copy.notes.bottles}>
        <h2 className="text-lg">{copy.notes.bottles}</h2>
        <ul>
          {b.bottles.map((x) => (
            <li key={x.id} className="flex justify-between gap-3 border-line border-t py-1 text-note">
              <Link href={`/shelf/${x.id}`} className="underline">
                {copy.notes.bottleLine(x.id, toMillilitres(x.volumeML), x.became)}
              </Link>
              {x.state === 'in use' && (
                <span className="text-mute">{copy.notes.stillThere(toMillilitres(x.leftML))}</span>
              )}
            </li>
          ))}
        </ul>
      </section>
      {b.spells.length > 0 && (
        <section aria-label={copy.notes.tooWarm}>
          <h2 className="text-lg">{copy.notes.tooWarm}</h2>
          <ul className="text-note">
            {b.spells.map((s) => (
              <li key={s.from}>{copy.notes.spell(toDayAndClock(s.from), toDayAndClock(s.to), toTenth(s.tempC))}</li>
            ))}
          </ul>
        </section>
      )}
    </Tray>
  )
}
