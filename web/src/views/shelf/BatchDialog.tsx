import { useBatch } from '../../api/hooks'
import type { UsedLine } from '../../api/schema'
import { copy } from '../../copy'
import { Dialog } from '../../ui/Dialog'
import { toDayAndClock, toDayAndMonth, toGrams, toMillilitres } from '../../ui/format'
import { Notice } from '../../ui/Notice'

/** BatchDialog is how a batch was really made: what went in, and when. */
export function BatchDialog({ id, onClose }: { id: number; onClose: () => void }) {
  const batch = useBatch(id)
  const b = batch.data
  return (
    <Dialog
      onClose={onClose}
      title={copy.shelf.howThisBatchWasMade}
      intro={b && copy.shelf.version(b.drinkName, b.version, toDayAndMonth(b.madeOn))}
    >
      {batch.error && <Notice urgent>{batch.error.detail}</Notice>}
      {b && (
        <>
          <p>
            {copy.shelf.expected(toMillilitres(b.forecastML))}
            {b.measuredML !== undefined && copy.shelf.measured(toMillilitres(b.measuredML))}
            {b.pulpG !== undefined && copy.shelf.ofWetPulp(toGrams(b.pulpG))}.
          </p>
          {b.used.length === 0 && <p className="text-mute">{copy.shelf.itWasNotMadeStep}</p>}
          {b.used.length > 0 && (
            <section aria-label={copy.shelf.ingredientsUsed}>
              <h3 className="text-lg">{copy.shelf.ingredientsUsed}</h3>
              <ul>
                {b.used.map((u, n) => (
                  // biome-ignore lint/suspicious/noArrayIndexKey: a record does not change its order
                  <li key={n} className="flex justify-between gap-3 border-t border-line py-1">
                    <span>{u.name}</span>
                    <span className="text-right">
                      <b>{toGrams(u.usedG)}</b> <span className="text-mute">{howWords(u)}</span>
                    </span>
                  </li>
                ))}
              </ul>
            </section>
          )}
          {b.times.length > 0 && (
            <section aria-label={copy.shelf.steps}>
              <h3 className="text-lg">{copy.shelf.steps}</h3>
              <ul>
                {b.times.map((t) => (
                  <li key={t.planned + t.title} className="flex justify-between gap-3 border-t border-line py-1">
                    <span>
                      {t.title}
                      {t.skipped && <b>{copy.shelf.skipped}</b>}
                    </span>
                    <span className="text-mute whitespace-nowrap">{toDayAndClock(t.doneAt)}</span>
                  </li>
                ))}
              </ul>
            </section>
          )}
        </>
      )}
    </Dialog>
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
