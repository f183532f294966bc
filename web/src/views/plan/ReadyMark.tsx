import { answer, api } from '../../api/client'
import { usePlanChange } from '../../api/hooks'
import type { Plan, PlanItem } from '../../api/schema'
import { copy } from '../../copy/more'
import { toClock, toDayAndClock } from '../../ui/format'
import type { Scale } from './Strip'
import { useMoved } from './useMoved'

export type MarkProps = {
  item: PlanItem
  scale: Scale
  onTry: (plan?: Plan) => void
  onProblem: (problem?: string) => void
}

const quarter = 15 * 60_000

/** ReadyMark is when a drink is wanted: drag it, or move it with the arrow keys. */
export function ReadyMark({ item, scale, onTry, onProblem }: MarkProps) {
  const params = { path: { id: item.id } }
  const move = usePlanChange((readyBy: string) =>
    answer(api.PUT('/api/plan/items/{id}', { params, body: { readyBy } })),
  )
  const { now, mark, handlers } = useMoved({
    scale,
    at: new Date(item.readyBy).getTime(),
    step: quarter,
    tried: (readyBy) => answer(api.POST('/api/plan/items/{id}/tries', { params, body: { readyBy } })),
    keep: move.mutateAsync,
    onTry,
    onProblem,
  })
  return (
    <button
      ref={mark}
      type="button"
      role="slider"
      aria-label={copy.plan.drinkReadyBy(item.name)}
      aria-valuemin={scale.from}
      aria-valuemax={scale.to}
      aria-valuenow={now}
      aria-valuetext={toDayAndClock(new Date(now))}
      title={copy.plan.dragItOrUseThe}
      className="absolute top-1 z-10 min-h-6 -translate-x-full cursor-ew-resize touch-none rounded-full bg-hibiscus px-2 text-fine font-bold whitespace-nowrap text-white night:text-night-linen"
      style={{ left: `${Math.min(100, scale.at(new Date(now)))}%` }}
      {...handlers}
    >
      {copy.plan.readyAt(toClock(new Date(now)))}
    </button>
  )
}
