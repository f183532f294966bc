import { answer, api, Refused } from '../../api/client'
import { usePlanChange } from '../../api/hooks'
import type { Plan } from '../../api/schema'
import { copy } from '../../copy/more'
import { Button } from '../../ui/Button'
import { ErrorText } from '../../ui/Field'
import { toDayAndClock } from '../../ui/format'
import { Tray } from '../../ui/Tray'

const shownAtOnce = 6

/** Marked is what was marked done, each with the way to take it back: with what was marked along, and what came after. */
export function Marked({ plan }: { plan: Plan }) {
  const undo = usePlanChange((m: { itemID: number; step: number }) =>
    answer(
      api.POST('/api/plan/items/{id}/done', { params: { path: { id: m.itemID } }, body: { step: m.step, undo: true } }),
    ),
  )
  if (plan.marked.length === 0) return null
  return (
    <Tray label={copy.plan.markedDone}>
      <h2 className="text-xl">{copy.plan.markedDone}</h2>
      <ul>
        {plan.marked.slice(0, shownAtOnce).map((m) => (
          <li key={`${m.itemID}-${m.step}`} className="flex items-center gap-3 border-t border-line py-1.5">
            <p className="grow leading-tight">
              <b>{m.titles.join(' · ')}</b>
              <span className="block text-detail text-mute">
                {toDayAndClock(m.at)} · {m.drink}
              </span>
            </p>
            <Button
              size="small"
              aria-label={copy.plan.undoWhat(m.titles.join(', '), m.drink)}
              disabled={undo.isPending}
              onClick={() => undo.mutate(m)}
            >
              {copy.plan.undoMark}
            </Button>
          </li>
        ))}
      </ul>
      <ErrorText id="undo-mark-error">{undo.error instanceof Refused ? undo.error.message : undefined}</ErrorText>
    </Tray>
  )
}
