import {
  type ComponentProps,
  createContext,
  type ReactNode,
  use,
  useCallback,
  useEffect,
  useMemo,
  useRef,
  useState,
} from 'react'
import { Button } from './Button'

/**
 * What is typed into a sheet is kept while the page is open: put away and drawn in again, the sheet shows what stood
 * there, right or wrong. A field that is wrong holds back everything the sheet would do with it.
 */
type Kept = {
  values: Map<string, unknown>
  isRight: boolean
  tell: (field: string, isWrong: boolean) => void
}

const Context = createContext<Kept | undefined>(undefined)

/** What was typed, by the sheet it was typed into. */
const sheets = new Map<string, Map<string, unknown>>()

const valuesOf = (sheet: string) => {
  const values = sheets.get(sheet) ?? new Map<string, unknown>()
  sheets.set(sheet, values)
  return values
}

/** Typing is around the fields that act together. With a name, what is typed in them is kept under it. */
export function Typing({ sheet, children }: { sheet?: string; children: ReactNode }) {
  const own = useRef(new Map<string, unknown>())
  const [wrong, setWrong] = useState<ReadonlySet<string>>(new Set())
  const tell = useCallback((field: string, isWrong: boolean) => {
    setWrong((now) => {
      if (now.has(field) === isWrong) return now
      const next = new Set(now)
      if (isWrong) next.add(field)
      else next.delete(field)
      return next
    })
  }, [])
  const kept = useMemo(
    () => ({ values: sheet === undefined ? own.current : valuesOf(sheet), isRight: wrong.size === 0, tell }),
    [sheet, wrong, tell],
  )
  return <Context value={kept}>{children}</Context>
}

/** useIsRight tells whether every field around is right: only then may anything be done with what they say. */
export const useIsRight = () => use(Context)?.isRight ?? true

/** ActButton does what the fields around it say; not while one of them is wrong. */
export function ActButton({ disabled, ...rest }: ComponentProps<typeof Button>) {
  const isRight = useIsRight()
  return <Button disabled={disabled || !isRight} {...rest} />
}

/** useTellWrong tells the sheet that a field of it is wrong, for as long as it is. */
export function useTellWrong(field: string, isWrong: boolean) {
  const tell = use(Context)?.tell
  useEffect(() => {
    tell?.(field, isWrong)
    return () => tell?.(field, false)
  }, [tell, field, isWrong])
}

/** useKept is a state that stays with its sheet while the page is open. */
export function useKept<T>(name: string, start: T | (() => T)): [T, (value: T) => void] {
  const values = use(Context)?.values
  const [value, setValue] = useState<T>(() => {
    if (values?.has(name)) return values.get(name) as T
    return start instanceof Function ? start() : start
  })
  const set = useCallback(
    (next: T) => {
      values?.set(name, next)
      setValue(next)
    },
    [values, name],
  )
  return [value, set]
}

/** useForget is how a sheet begins anew the next time: once what was typed has been done. */
export function useForget() {
  const values = use(Context)?.values
  return () => values?.clear()
}
