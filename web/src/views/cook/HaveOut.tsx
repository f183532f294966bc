import type { ReadyList } from '../../api/schema'
import { copy } from '../../copy/more'
import { classes } from '../../ui/classes'
import { toGrams } from '../../ui/format'

/** On a narrow page the list is folded, so that the step stays in sight. */
const wideEnough = 1024

/** HaveOut is what to have out before it begins, and what is missing. */
export function HaveOut({ ready }: { ready: ReadyList }) {
  return (
    <details open={window.innerWidth >= wideEnough} className="rounded-2xl bg-linen px-4 py-3">
      <summary className="cursor-pointer">
        <h2 className="inline text-xl">{copy.cook.getReady}</h2>
        <p className={classes('text-lg', ready.short > 0 && 'font-bold text-hibiscus-deep')}>
          {ready.short > 0
            ? copy.cook.ofIngredientsAreShort(ready.short, ready.lines.length)
            : copy.cook.youHaveEverything}
        </p>
      </summary>
      <div className="grid gap-x-6 text-lg sm:grid-cols-2">
        <ul>
          {ready.lines.map((l) => (
            <li key={l.name} className="flex justify-between gap-3 border-t border-line py-1">
              <span>{l.name}</span>
              <span className="text-right whitespace-nowrap">
                {toGrams(l.needG)}
                {l.shortG > 0 && <b className="block text-hibiscus-deep">{copy.cook.short(toGrams(l.shortG))}</b>}
              </span>
            </li>
          ))}
        </ul>
        <ul>
          {ready.tools.map((tool) => (
            <li key={tool} className="border-t border-line py-1">
              {tool}
            </li>
          ))}
        </ul>
      </div>
    </details>
  )
}
