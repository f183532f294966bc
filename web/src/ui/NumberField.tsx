import { useEffect, useState } from 'react'
import { copy } from '../copy'
import { Field } from './Field'
import { accepts, asMeasure, asNumber } from './number'
import { toShown } from './units'

export { asMeasure, asNumber }

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

/** NumberField takes a number as it is typed, and keeps what is typed while it is none. */
export function NumberField({ label, unit, hint, value, error, least, onNumber, onEmpty, className }: Props) {
  const text = value === undefined ? '' : String(toShown(value, unit))
  const [typed, setTyped] = useState(text)
  useEffect(() => setTyped((now) => (asMeasure(now, unit) === value ? now : text)), [value, unit, text])
  const isFine = (v: number) => (least === undefined ? v > 0 : v >= least)
  const wrong = typed.trim() !== '' && !isFine(asMeasure(typed, unit))
  const works = `${accepts(unit)}${least === undefined ? '' : copy.ui.itMustBeAtLeast(least)}`
  return (
    <Field
      className={className}
      label={label}
      unit={unit}
      hint={hint}
      inputMode="text"
      autoComplete="off"
      value={typed}
      error={wrong ? works : error}
      onChange={(e) => {
        setTyped(e.target.value)
        const v = asMeasure(e.target.value, unit)
        if (e.target.value.trim() === '') onEmpty?.()
        else if (isFine(v)) onNumber(v)
      }}
    />
  )
}
