import { answer, api } from '../../api/client'
import { usePlanChange } from '../../api/hooks'
import type { Block } from '../../api/schema'
import { copy } from '../../copy/more'
import { classes } from '../../ui/classes'
import { toClock, toDayAndClock } from '../../ui/format'
import type { MarkProps } from './ReadyMark'
import { useMoved } from './useMoved'

const fiveMinutes = 5 * 60_000

/** BlockMark is a stretch of work: drag it within its window, or move it with the arrow keys, and the soaks around it follow. */
export function BlockMark({ item, scale, onTry, onProblem, block, n }: MarkProps & { block: Block; n: number }) {
  const params = { path: { id: item.id, block: n } }
  const move = usePlanChange((at: string) =>
    answer(api.PUT('/api/plan/items/{id}/blocks/{block}', { params, body: { at } })),
  )
  const from = new Date(block.from).getTime()
  const { now, mark, handlers } = useMoved({
    scale,
    at: from,
    step: fiveMinutes,
    tried: (at) => answer(api.POST('/api/plan/items/{id}/blocks/{block}/tries', { params, body: { at } })),
    keep: move.mutateAsync,
    onTry,
    onProblem,
  })
  const left = scale.at(new Date(now))
  const words = block.pinned ? copy.plan.atTheTimeYouSet(block.words) : block.words
  return (
    <button
      ref={mark}
      type="button"
      role="slider"
      aria-label={`${item.name}: ${block.words}`}
      aria-valuemin={scale.from}
      aria-valuemax={scale.to}
      aria-valuenow={now}
      aria-valuetext={toDayAndClock(new Date(now))}
      title={copy.plan.toDragItOrUse(words, toClock(block.from), toClock(block.to))}
      className={classes(
        'absolute top-7 z-[5] h-9 min-w-5 cursor-ew-resize touch-none rounded-full border-2',
        block.pinned ? 'border-turmeric' : 'border-transparent',
      )}
      style={{ left: `${left}%`, width: `${scale.at(block.to) - scale.at(block.from)}%` }}
      {...handlers}
    />
  )
}
