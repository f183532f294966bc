import { type ReactNode, type RefObject, useEffect, useLayoutEffect, useRef, useState } from 'react'
import { flushSync } from 'react-dom'

/** What is not there yet, as what fetches it. */
const unmet = new Set<() => void>()

/**
 * settle has everything fetched that no first figure needs: once one is on the page, and again where something is
 * asked for that could not be fetched then.
 */
export const settle = () => {
  for (const meet of unmet) meet()
}

/** Whether a key or a finger is down, and what waits until it is not. */
let pressed = false
let onceLetGo: (() => void)[] = []

for (const begins of ['pointerdown', 'keydown']) addEventListener(begins, () => (pressed = true), true)
for (const ends of ['pointerup', 'pointercancel', 'keyup', 'blur']) addEventListener(ends, letGo, true)

function letGo() {
  pressed = false
  const all = onceLetGo
  onceLetGo = []
  setTimeout(() => {
    for (const go of all) go()
  }, 0) // after the press has come to what it was meant for
}

/**
 * unpressed draws something when nothing is pressed, and at once: a press that ends elsewhere than it began does
 * nothing, and one could begin between now and a later drawing.
 */
const unpressed = (go: () => void) => {
  if (pressed) onceLetGo.push(() => unpressed(go))
  else flushSync(go)
}

/** late is a hook that gives a module of the page once it is there, and nothing before: what stands in stays. */
export function late<M>(fetch: () => Promise<M>): () => M | undefined {
  let there: M | undefined
  const waiting = new Set<() => void>()
  const meet = () => {
    fetch().then(
      (m) => {
        there = m
        unmet.delete(meet)
        unpressed(() => {
          for (const show of waiting) show()
        })
      },
      () => undefined,
    )
  }
  unmet.add(meet)
  return () => {
    const [has, setHas] = useState(there !== undefined)
    useEffect(() => {
      const show = () => setHas(true)
      const came = there && setTimeout(() => unpressed(show)) // between drawing and now
      waiting.add(show)
      return () => {
        clearTimeout(came)
        waiting.delete(show)
      }
    }, [])
    return has ? there : undefined
  }
}

type Props<M> = { part: M | undefined; standIn: ReactNode; whole: (part: M) => ReactNode }

/** Late shows what stands in until a part is there; whatever had the keyboard then has it in the whole of it too. */
export function Late<M>({ part, standIn, whole }: Props<M>) {
  const keyboard = useRef<Caret>(undefined)
  if (!part) return <Leaving keyboard={keyboard}>{standIn}</Leaving>
  return <Arriving keyboard={keyboard}>{whole(part)}</Arriving>
}

/** Caret is where the keyboard was: in a field between two letters, on a button nowhere in particular. */
type Caret = { from: number | null; to: number | null } | undefined

type BoxProps = { keyboard: RefObject<Caret>; children: ReactNode }

function Leaving({ keyboard, children }: BoxProps) {
  const box = useRef<HTMLSpanElement>(null)
  useLayoutEffect(() => {
    const here = box.current
    return () => {
      const at = document.activeElement
      if (!here?.contains(at)) return
      keyboard.current =
        at instanceof HTMLInputElement ? { from: at.selectionStart, to: at.selectionEnd } : { from: null, to: null }
    }
  }, [keyboard])
  return (
    <span ref={box} className="contents">
      {children}
    </span>
  )
}

function Arriving({ keyboard, children }: BoxProps) {
  const box = useRef<HTMLSpanElement>(null)
  useLayoutEffect(() => {
    const caret = keyboard.current
    const to = caret && box.current?.querySelector<HTMLElement>('button, input')
    to?.focus()
    if (to instanceof HTMLInputElement) to.setSelectionRange(caret?.from ?? null, caret?.to ?? null)
  }, [keyboard])
  return (
    <span ref={box} className="contents">
      {children}
    </span>
  )
}

/** useAsked is what is done to what stands in: it asks for the whole, which opens once it is there. */
export function useAsked() {
  const [asked, setAsked] = useState(false)
  const ask = () => {
    setAsked(true)
    settle()
  }
  return [asked, ask] as const
}
