import { useDndMonitor, useDraggable } from '@dnd-kit/core'
import { type KeyboardEvent, useRef, useState } from 'react'
import { Refused } from '../../api/client'
import type { Plan } from '../../api/schema'
import { copy } from '../../copy'
import type { Scale } from './Strip'

type Way = {
  /** The same wherever the moment stands. */
  id: string
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

/** useMoved lets a moment on the strip be dragged, or moved by the arrow keys, with the plan made anew as it goes. */
export function useMoved({ id, scale, at, step, tried, keep, onTry, onProblem }: Way) {
  const [held, setHeld] = useState<number>()
  const begun = useRef<{ scale: Scale; from: number }>(undefined)
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
        onProblem(e instanceof Refused ? e.message : copy.plan.notWorkedOut)
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
      onProblem(e instanceof Refused ? e.message : copy.plan.notSaved)
    }
    letGo()
  }
  // What is tried draws the strip anew under the hand: the way is counted from where it was taken up.
  const timeAt = (byPX: number) => {
    const b = begun.current
    const widthPX = node.current?.parentElement?.getBoundingClientRect().width
    if (!b || !widthPX) return at
    return Math.round((b.from + (byPX / widthPX) * (b.scale.to - b.scale.from)) / step) * step
  }
  const { listeners, setNodeRef, node } = useDraggable({ id })
  useDndMonitor({
    onDragStart: ({ active }) => {
      if (active.id === id) begun.current = { scale, from: at }
    },
    onDragMove: ({ active, delta }) => {
      if (active.id !== id || !begun.current) return
      const time = timeAt(delta.x)
      if (time === (held ?? begun.current.from)) return
      setHeld(time)
      look(time)
    },
    onDragEnd: ({ active, delta }) => {
      if (active.id !== id || !begun.current) return
      const time = timeAt(delta.x)
      if (time !== begun.current.from) settle(time)
      else letGo()
    },
    onDragCancel: ({ active }) => active.id === id && letGo(),
  })
  const handlers = {
    ...listeners,
    onKeyDown: (e: KeyboardEvent<HTMLElement>) => {
      const by = { ArrowRight: 1, ArrowLeft: -1, PageUp: 4, PageDown: -4 }[e.key]
      if (!by) return
      e.preventDefault()
      settle(at + by * step)
    },
  }
  return { now: held ?? at, handlers: { ...handlers, ref: setNodeRef, 'aria-busy': held !== undefined } }
}
