import { type KeyboardEvent, type PointerEvent, useRef, useState } from 'react'
import { Refused } from '../../api/client'
import type { Plan } from '../../api/schema'
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

/** useMoved lets a moment on the strip be dragged, or moved by the arrow keys, with the plan made anew as it goes. */
export function useMoved({ scale, at, step, tried, keep, onTry, onProblem }: Way) {
  const [held, setHeld] = useState<number>()
  const begun = useRef<{ scale: Scale; offset: number; from: number }>(undefined)
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
        onProblem(e instanceof Refused ? e.message : 'The plan could not be made.')
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
      onProblem(e instanceof Refused ? e.message : 'The plan could not be kept.')
    }
    letGo()
  }
  const under = (e: PointerEvent<HTMLElement>, s: Scale) => {
    const box = e.currentTarget.parentElement?.getBoundingClientRect()
    if (!box) return at
    return s.from + ((e.clientX - box.left) / box.width) * (s.to - s.from)
  }
  const timeUnder = (e: PointerEvent<HTMLElement>) => {
    const b = begun.current
    return b ? Math.round((under(e, b.scale) - b.offset) / step) * step : at
  }
  const handlers = {
    onPointerDown: (e: PointerEvent<HTMLElement>) => {
      e.currentTarget.setPointerCapture(e.pointerId)
      begun.current = { scale, offset: under(e, scale) - at, from: at } // what is tried moves the moment on
    },
    onPointerMove: (e: PointerEvent<HTMLElement>) => {
      if (!begun.current) return
      const time = timeUnder(e)
      if (time === (held ?? begun.current.from)) return
      setHeld(time)
      look(time)
    },
    onPointerUp: (e: PointerEvent<HTMLElement>) => {
      if (!begun.current) return
      const time = timeUnder(e)
      if (time !== begun.current.from) settle(time)
      else letGo()
    },
    onKeyDown: (e: KeyboardEvent<HTMLElement>) => {
      const by = { ArrowRight: 1, ArrowLeft: -1, PageUp: 4, PageDown: -4 }[e.key]
      if (!by) return
      e.preventDefault()
      settle(at + by * step)
    },
  }
  return { now: held ?? at, handlers: { ...handlers, 'aria-busy': held !== undefined } }
}
