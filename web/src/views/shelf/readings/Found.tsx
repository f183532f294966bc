import type { FoundReadings } from '../../../api/schema'
import { copy } from '../../../copy/more'

/** Costs are what the readings take from each bottle's life, or give back, before they are taken in. */
export function Costs({ found }: { found: FoundReadings }) {
  return (
    <section aria-label={copy.shelf.whatItChanges} className="rounded-2xl bg-linen px-4 py-2">
      <h4 className="font-bold">{copy.shelf.whatItChanges}</h4>
      {found.costs.length === 0 && <p>{copy.shelf.noBottleChanges}</p>}
      <ul>
        {found.costs.map((c) => (
          <li key={c.bottleID}>
            <b>{copy.shelf.drinkAndBottle(c.name, c.bottleID)}</b>: {c.words}
          </li>
        ))}
      </ul>
    </section>
  )
}

/** LeftOut are the lines that are not taken in, as they stand. */
export function LeftOut({ found }: { found: FoundReadings }) {
  if (found.refused.length === 0) return null
  return (
    <details>
      <summary className="min-h-8 cursor-pointer font-bold">{copy.shelf.linesLeftOut}</summary>
      <ul className="text-note">
        {found.refused.map((r) => (
          <li key={r.line}>
            {copy.shelf.line(r.line, r.why)} <code className="break-all text-mute">{r.text}</code>
          </li>
        ))}
      </ul>
      {found.refusedLines > found.refused.length && (
        <p className="text-note text-mute">{copy.shelf.onlyTheFirstAreShown}</p>
      )}
    </details>
  )
}
