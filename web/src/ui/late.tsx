import { type ReactNode, type RefObject, startTransition, useEffect, useLayoutEffect, useRef, useState } from 'react'

/** What is not there yet, as what fetches it. */
const unmet = new Set<() => void>()

/**
 * settle has everything fetched that no first figure needs: once one is on the page, and again where something is
 * asked for that could not be fetched then.
 */
export const settle = () => {
  for (const meet of unmet) meet()
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
        for (const show of waiting) show()
      },
      () => undefined,
    )
  }
  unmet.add(meet)
  return () => {
    const [has, setHas] = useState(there !== undefined)
    useEffect(() => {
      const show = () => startTransition(() => setHas(true))
      if (there) show() // it came between drawing and now
      waiting.add(show)
      return () => {
        waiting.delete(show)
      }
    }, [])
    return has ? there : undefined
  }
}

type Props<M> = { part: M | undefined; standIn: ReactNode; whole: (part: M) => ReactNode }

/** Late shows what stands in until a part is there; whatever had the keyboard then has it in the whole of it too. */
export function Late<M>({ part, standIn, whole }: Props<M>) {
  const hadKeyboard = useRef(false)
  if (!part) return <Leaving hadKeyboard={hadKeyboard}>{standIn}</Leaving>
  return <Arriving hadKeyboard={hadKeyboard}>{whole(part)}</Arriving>
}

type BoxProps = { hadKeyboard: RefObject<boolean>; children: ReactNode }

function Leaving({ hadKeyboard, children }: BoxProps) {
  const box = useRef<HTMLSpanElement>(null)
  useLayoutEffect(() => {
    const here = box.current
    return () => {
      hadKeyboard.current = here?.contains(document.activeElement) ?? false
    }
  }, [hadKeyboard])
  return (
    <span ref={box} className="contents">
      {children}
    </span>
  )
}

function Arriving({ hadKeyboard, children }: BoxProps) {
  const box = useRef<HTMLSpanElement>(null)
  useLayoutEffect(() => {
    if (hadKeyboard.current) box.current?.querySelector<HTMLElement>('button, input')?.focus()
  }, [hadKeyboard])
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
