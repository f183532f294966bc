import { type DragMoveEvent, useDndMonitor, useDraggable } from '@dnd-kit/core'
import { type KeyboardEvent, useCallback, useId, useRef, useState } from 'react'
import { Refused } from '../../api/client'
import type { Plan } from '../../api/schema'
import { copy } from '../../copy/more'
import type { Scale } from './Strip'

type Way = {
  scale: Scale
  /** The moment as it is kept. */
  at: number
  /** What it moves by, in ms. */
  step: number
  tried: (iso: string) => Promise<Plan>
  keep: (iso: string) => Promise<Plan>
  onTry: (plan?: Plan) => void
  onProblem: (problem?: string) => void
}

/**
 * useMoved lets a moment on the strip be dragged, or moved by the arrow keys, with the plan made anew as it goes.
 *
 * What is measured is the lane, not the mark: the mark moves as the plan is tried, and the kit would take its own
 * movement off the distance. The scale is the one it was grasped with, since a try may lengthen the plan.
 */
export function useMoved({ scale, at, step, tried, keep, onTry, onProblem }: Way) {
  const [held, setHeld] = useState<number>()
  const id = useId()
  const lane = useRef<HTMLElement>(null)
  const begun = useRef<{ scale: Scale; from: number; width: number }>(undefined)
  const busy = useRef(false)
  const next = useRef<number>(undefined)

  const look = async (time: number) => {
    next.current = time
    if (busy.current) return // the last place asked for is asked for once this answer is here
    busy.current = true
    while (next.current !== undefined) {
      const wanted = next.current
      next.current = undefined
      try {
        const plan = await tried(new Date(wanted).toISOString())
        if (begun.current) onTry(plan)
        onProblem(undefined)
      } catch (e) {
        onProblem(e instanceof Refused ? e.message : copy.plan.notPlanned)
      }
    }
    busy.current = false
  }
  const letGo = () => {
    begun.current = undefined
    next.current = undefined
    setHeld(undefined)
    onTry(undefined)
  }
  const settle = async (time: number) => {
    begun.current = undefined
    next.current = undefined
    setHeld(time)
    try {
      await keep(new Date(time).toISOString())
      onProblem(undefined)
    } catch (e) {
      onProblem(e instanceof Refused ? e.message : copy.plan.notPlannedKept)
    }
    letGo()
  }
  const dragged = ({ delta }: DragMoveEvent) => {
    const b = begun.current
    if (!b) return at
    return Math.round((b.from + (delta.x / b.width) * (b.scale.to - b.scale.from)) / step) * step
  }
  const { setNodeRef, setActivatorNodeRef, listeners } = useDraggable({ id })
  useDndMonitor({
    onDragStart: ({ active }) => {
      if (active.id === id) begun.current = { scale, from: at, width: lane.current?.clientWidth ?? 1 }
    },
    onDragMove: (e) => {
      if (!begun.current) return
      const time = dragged(e)
      if (time === (held ?? begun.current.from)) return
      setHeld(time)
      look(time)
    },
    onDragEnd: (e) => {
      if (!begun.current) return
      const time = dragged(e)
      if (time !== begun.current.from) settle(time)
      else letGo()
    },
    onDragCancel: letGo,
  })
  const mark = useCallback(
    (element: HTMLElement | null) => {
      lane.current = element?.parentElement ?? null
      setNodeRef(lane.current)
      setActivatorNodeRef(element)
    },
    [setNodeRef, setActivatorNodeRef],
  )
  const handlers = {
    ...listeners,
    onKeyDown: (e: KeyboardEvent<HTMLElement>) => {
      const by = { ArrowRight: 1, ArrowLeft: -1, PageUp: 4, PageDown: -4 }[e.key]
      if (!by) return
      e.preventDefault()
      settle(at + by * step)
    },
  }
  return { now: held ?? at, mark, handlers: { ...handlers, 'aria-busy': held !== undefined } }
}
