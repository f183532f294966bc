import { useEffect, useId, useRef } from 'react'
import { Field } from './Field'
import { type Limit, wrongWith } from './limit'
import { accepts, asMeasure, asNumber } from './number'
import { useKept, useTellWrong } from './Typing'
import { toShown } from './units'

export { asMeasure, asNumber }

type Props = {
  label: string
  unit?: string
  hint?: string
  value?: number
  error?: string
  /** What is accepted; anything above 0 where it is left out. */
  limit?: Limit
  onNumber: (v: number) => void
  /** What an empty field means; where it is left out, the field must not be empty. */
  onEmpty?: () => void
  className?: string
}

const aboveNothing: Limit = { exclusiveMinimum: 0 }

/** NumberField takes a number as it is typed. What is none, or not accepted, stays as it is typed, is said beside it, and holds back what its sheet would do. */
export function NumberField({ label, unit, hint, value, error, limit, onNumber, onEmpty, className }: Props) {
  const id = useId()
  const text = value === undefined ? '' : String(toShown(value, unit))
  const [typed, setTyped] = useKept(`as typed: ${label}`, text)
  const wrongOf = (now: string) =>
    now.trim() === ''
      ? onEmpty
        ? undefined
        : accepts(unit)
      : wrongWith(now, { type: 'number', ...(limit ?? aboveNothing) }, { unit, optional: onEmpty !== undefined })
  const wrong = wrongOf(typed)
  useTellWrong(id, wrong !== undefined)
  const told = useRef(value) // what this field said last, or was given
  const begun = useRef(value) // what stood here when typing began
  const tell = (v: number | undefined) => {
    if (v === told.current) return
    told.current = v
    if (v === undefined) onEmpty?.()
    else onNumber(v)
  }
  // biome-ignore lint/correctness/useExhaustiveDependencies: only a figure that is set from elsewhere takes the place of what is typed
  useEffect(() => {
    const isSet = told.current !== value
    told.current = value
    const stands = asMeasure(typed, unit) === value || (typed.trim() === '' && value === undefined)
    if (stands || (!isSet && wrong !== undefined)) return
    setTyped(text)
  }, [value, unit, text])
  return (
    <Field
      className={className}
      label={label}
      unit={unit}
      hint={hint}
      inputMode="text"
      autoComplete="off"
      value={typed}
      error={wrong ?? error}
      onFocus={() => {
        begun.current = value
      }}
      onChange={(e) => {
        setTyped(e.target.value)
        // half a number may be right, and the whole of it wrong: then it is as if nothing had been typed
        if (wrongOf(e.target.value) !== undefined) tell(begun.current)
        else tell(e.target.value.trim() === '' ? undefined : asMeasure(e.target.value, unit))
      }}
    />
  )
}
