import type { BatchPage, UsedLine } from '../../api/schema'
import { copy } from '../../copy/more'
import { toDayAndClock, toGrams } from '../../ui/format'
import { Tray } from '../../ui/Tray'

/** HowItWas is how a batch was really made: what went in, and when. */
export function HowItWas({ b }: { b: BatchPage }) {
  if (b.used.length === 0)
    return (
      <Tray label={copy.notes.used}>
        <h2 className="text-xl">{copy.notes.used}</h2>
        <p className="text-note text-mute">{copy.shelf.itWasNotMadeStep}</p>
      </Tray>
    )
  return (
    <Tray label={copy.notes.used} className="grid gap-3">
      <section aria-label={copy.shelf.ingredientsUsed}>
        <h2 className="text-xl">{copy.notes.used}</h2>
        <ul>
          {b.used.map((u, n) => (
            // biome-ignore lint/suspicious/noArrayIndexKey: a record does not change its order
            <li key={n} className="flex justify-between gap-3 border-line border-t py-1 text-note">
              <span>{u.name}</span>
              <span className="text-right">
                <b>{toGrams(u.usedG)}</b> <span className="text-mute">{howWords(u)}</span>
              </span>
            </li>
          ))}
        </ul>
      </section>
      {b.times.length > 0 && (
        <section aria-label={copy.notes.steps}>
          <h2 className="text-xl">{copy.notes.steps}</h2>
          <ul>
            {b.times.map((t) => (
              <li key={t.planned + t.title} className="flex justify-between gap-3 border-line border-t py-1 text-note">
                <span>
                  {t.title}
                  {t.skipped && <b> · {copy.notes.skipped}</b>}
                </span>
                <span className="whitespace-nowrap text-mute">{toDayAndClock(t.doneAt)}</span>
              </li>
            ))}
          </ul>
        </section>
      )}
    </Tray>
  )
}

function howWords(u: UsedLine): string {
  switch (u.how) {
    case 'scale':
      return copy.shelf.weighedPlanned(toGrams(u.plannedG))
    case 'typed':
      return copy.shelf.typedInPlanned(toGrams(u.plannedG))
    case 'worked back':
      return copy.shelf.estimatedTo(toGrams(u.leastG), toGrams(u.largestG))
    default:
      return u.how
  }
}
