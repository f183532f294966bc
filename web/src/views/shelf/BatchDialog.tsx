import { useBatch } from '../../api/hooks'
import type { UsedLine } from '../../api/schema'
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
      title="How it was made"
      intro={b && `${b.drinkName}, version ${b.version}, ${toDayAndMonth(b.madeOn)}`}
    >
      {batch.error && <Notice urgent>{batch.error.message}</Notice>}
      {b && (
        <>
          <p>
            {toMillilitres(b.forecastML)} expected
            {b.measuredML !== undefined && `, ${toMillilitres(b.measuredML)} measured`}
            {b.pulpG !== undefined && `, ${toGrams(b.pulpG)} of wet pulp`}.
          </p>
          {b.used.length === 0 && (
            <p className="text-mute">It was not cooked step by step, so nothing more is known.</p>
          )}
          {b.used.length > 0 && (
            <section aria-label="What went in">
              <h3 className="text-lg">What went in</h3>
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
            <section aria-label="When">
              <h3 className="text-lg">When</h3>
              <ul>
                {b.times.map((t) => (
                  <li key={t.planned + t.title} className="flex justify-between gap-3 border-t border-line py-1">
                    <span>
                      {t.title}
                      {t.skipped && <b> (left out)</b>}
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
      return `on the scale, ${toGrams(u.plannedG)} planned`
    case 'typed':
      return `typed, ${toGrams(u.plannedG)} planned`
    case 'worked back':
      return `worked back: ${toGrams(u.leastG)} to ${toGrams(u.largestG)}`
    default:
      return u.how
  }
}
