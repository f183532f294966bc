import { useEffect, useState } from 'react'
import { Field } from './Field'

type Props = {
  label: string
  unit?: string
  hint?: string
  value?: number
  error?: string
  /** The least that is accepted; above 0 where it is left out. */
  least?: number
  onNumber: (v: number) => void
  onEmpty?: () => void
  className?: string
}

/** asNumber reads a number with a point or a comma; NaN for anything else. */
export const asNumber = (typed: string) => (typed.trim() === '' ? Number.NaN : Number(typed.replace(',', '.')))

/** NumberField takes a number as it is typed, and keeps what is typed while it is none. */
export function NumberField({ label, unit, hint, value, error, least, onNumber, onEmpty, className }: Props) {
  const [typed, setTyped] = useState(value === undefined ? '' : String(value))
  useEffect(
    () => setTyped((now) => (asNumber(now) === value ? now : value === undefined ? '' : String(value))),
    [value],
  )
  const isFine = (v: number) => (least === undefined ? v > 0 : v >= least)
  const wrong = typed.trim() !== '' && !isFine(asNumber(typed))
  const accepts = least === undefined ? 'Enter a number above 0.' : `Enter a number from ${least} on.`
  return (
    <Field
      className={className}
      label={label}
      unit={unit}
      hint={hint}
      inputMode="decimal"
      autoComplete="off"
      value={typed}
      error={wrong ? accepts : error}
      onChange={(e) => {
        setTyped(e.target.value)
        const v = asNumber(e.target.value)
        if (e.target.value.trim() === '') onEmpty?.()
        else if (isFine(v)) onNumber(v)
      }}
    />
  )
}
