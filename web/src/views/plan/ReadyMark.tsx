import { type PointerEvent, useRef, useState } from 'react'
import { answer, api, Refused } from '../../api/client'
import { usePlanChange } from '../../api/hooks'
import type { Plan, PlanItem } from '../../api/schema'
import { toClock, toDayAndClock } from '../../ui/format'
import type { Scale } from './Strip'

type Props = {
  item: PlanItem
  scale: Scale
  onTry: (plan?: Plan) => void
  onProblem: (problem?: string) => void
}

const quarter = 15 * 60_000

/** ReadyMark is when a drink is wanted: drag it, or move it with the arrow keys, and the plan is made anew as it goes. */
export function ReadyMark({ item, scale, onTry, onProblem }: Props) {
  const params = { path: { id: item.id } }
  const [held, setHeld] = useState<number>()
  const begun = useRef<Scale>(undefined)
  const busy = useRef(false)
  const move = usePlanChange((readyBy: string) =>
    answer(api.PUT('/api/plan/items/{id}', { params, body: { readyBy } })),
  )
  const at = held ?? new Date(item.readyBy).getTime()

  const look = async (time: number) => {
    if (busy.current) return
    busy.current = true
    try {
      const readyBy = new Date(time).toISOString()
      onTry(await answer(api.POST('/api/plan/items/{id}/tries', { params, body: { readyBy } })))
      onProblem(undefined)
    } catch (e) {
      onProblem(e instanceof Refused ? e.message : 'The plan could not be made.')
    } finally {
      busy.current = false
    }
  }
  const settle = (time: number) => {
    setHeld(undefined)
    begun.current = undefined
    move.mutate(new Date(time).toISOString(), {
      onSuccess: () => onProblem(undefined),
      onError: (e) => onProblem(e instanceof Refused ? e.message : 'The plan could not be kept.'),
      onSettled: () => onTry(undefined),
    })
  }
  const timeUnder = (e: PointerEvent<HTMLButtonElement>) => {
    const box = e.currentTarget.parentElement?.getBoundingClientRect()
    const s = begun.current
    if (!box || !s) return at
    const time = s.from + ((e.clientX - box.left) / box.width) * (s.to - s.from)
    return Math.round(time / quarter) * quarter
  }
  return (
    <button
      type="button"
      role="slider"
      aria-label={`${item.name} ready by`}
      aria-valuemin={scale.from}
      aria-valuemax={scale.to}
      aria-valuenow={at}
      aria-valuetext={toDayAndClock(new Date(at))}
      title="Drag, or use the arrow keys"
      className="absolute top-1 z-10 min-h-6 -translate-x-full cursor-ew-resize touch-none rounded-full bg-hibiscus px-2 text-[13px] font-bold whitespace-nowrap text-white night:text-[#101830]"
      style={{ left: `${Math.min(100, scale.at(new Date(at)))}%` }}
      onPointerDown={(e) => {
        e.currentTarget.setPointerCapture(e.pointerId)
        begun.current = scale
      }}
      onPointerMove={(e) => {
        if (!begun.current) return
        const time = timeUnder(e)
        if (time === held) return
        setHeld(time)
        look(time)
      }}
      onPointerUp={(e) => begun.current && settle(timeUnder(e))}
      onKeyDown={(e) => {
        const by = { ArrowRight: 1, ArrowLeft: -1, PageUp: 4, PageDown: -4 }[e.key]
        if (!by) return
        e.preventDefault()
        settle(at + by * quarter)
      }}
    >
      ready {toClock(new Date(at))}
    </button>
  )
}
