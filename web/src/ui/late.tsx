import { type ReactNode, type RefObject, startTransition, useEffect, useLayoutEffect, useRef, useState } from 'react'

/** What no first figure needs waits until settle is called: once one is on the page, or as soon as it is asked for. */
export let settle: () => void
const settled = new Promise<void>((done) => {
  settle = done
})

/**
 * late is a hook that gives a module of the page once it is there, and nothing before. It is fetched after the
 * first figures are, for all of the parts that want it at once; one that is asked for calls settle.
 */
export function late<M>(fetch: () => Promise<M>): () => M | undefined {
  let there: M | undefined
  const fetched = settled.then(fetch).then((m) => {
    there = m
  })
  return () => {
    const [has, setHas] = useState(there !== undefined)
    useEffect(() => {
      if (has) return
      let gone = false
      fetched.then(() => !gone && startTransition(() => setHas(true))).catch(() => undefined) // what stands in stays
      return () => {
        gone = true
      }
    }, [has])
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
