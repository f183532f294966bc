import { useState } from 'react'
import { type FieldValues, type Path, type PathValue, type UseFormReturn, useForm } from 'react-hook-form'
import { Refused } from '../api/client'
import { copy } from '../copy'
import { accepts, asMeasure } from './number'
import { locale, shownUnit, toShown } from './units'

/** What the server's document says that a field accepts. */
export type Limit = {
  readonly type?: string
  readonly minimum?: number
  readonly exclusiveMinimum?: number
  readonly maximum?: number
  readonly minLength?: number
  readonly maxLength?: number
  readonly pattern?: string
}

/** How a field is read: the unit a bare number is in, and whether it may be left empty. */
type Reading = { unit?: string; optional?: boolean; number?: boolean; says?: string }

const grouped = new Intl.NumberFormat(locale, { maximumFractionDigits: 3 })

/** numberOf is a typed number in the field's unit; undefined for an empty field, NaN for what is no number. */
export const numberOf = (typed: string, unit?: string): number | undefined =>
  typed.trim() === '' ? undefined : asMeasure(typed, unit)

/** wrongWith says what is wrong with what is typed, and what works; undefined where nothing is. */
export function wrongWith(typed: string, limit: Limit = {}, reading: Reading = {}): string | undefined {
  if (typed.trim() === '') return reading.optional || !limit.minLength ? undefined : copy.ui.enterSomething
  if (limit.type === 'number' || limit.type === 'integer' || reading.number) return numberWrong(typed, limit, reading)
  const fits = new RegExp(limit.pattern ?? '').test(typed) && typed.length <= (limit.maxLength ?? typed.length)
  return fits ? undefined : (reading.says ?? copy.ui.atMostCharacters(limit.maxLength ?? 0))
}

function numberWrong(typed: string, limit: Limit, { unit, optional, says }: Reading): string | undefined {
  const value = asMeasure(typed, unit)
  const least = limit.minimum ?? limit.exclusiveMinimum
  const fits =
    value >= (least ?? Number.NEGATIVE_INFINITY) &&
    value <= (limit.maximum ?? Number.POSITIVE_INFINITY) &&
    value !== limit.exclusiveMinimum
  if (fits) return undefined
  const ranged = !Number.isNaN(value) && least !== undefined && limit.maximum !== undefined
  const shown = (v: number) => grouped.format(toShown(v, unit))
  const atLeast =
    limit.minimum === undefined || Number.isNaN(value) ? '' : copy.ui.itMustBeAtLeast(shown(limit.minimum))
  const works =
    says ??
    (ranged
      ? copy.ui.between(shown(least), shown(limit.maximum ?? 0), shownUnit(unit) ?? '')
      : `${accepts(unit)}${atLeast}`)
  return optional ? copy.ui.orLeaveItEmpty(works) : works
}

/**
 * useFields is a form over what a request takes.
 *
 * Text is kept as it is typed, and read only when it is sent: `field` gives what a Field
 * needs, checked against the limits of the server's own document, and `submit` sends once
 * all of it is right. What the server refuses is told beside its field; what names no field,
 * in `refusal`. What was typed stays, whatever becomes of it.
 */
export function useFields<T extends FieldValues>(limits: Partial<Record<Path<T>, Limit>>, start: T) {
  const form: UseFormReturn<T> = useForm<T>({ defaultValues: start as never, mode: 'onChange' })
  const [refusal, setRefusal] = useState<string>()
  const { errors, isSubmitting } = form.formState

  const field = (name: Path<T>, reading: Reading = {}) => {
    const limit = limits[name]
    const isNumber = limit?.type === 'number' || limit?.type === 'integer' || reading.number
    return {
      ...form.register(name, { validate: (typed) => wrongWith(String(typed ?? ''), limit, reading) ?? true }),
      unit: reading.unit,
      maxLength: limit?.maxLength,
      inputMode: isNumber ? ('decimal' as const) : undefined,
      autoComplete: 'off',
      error: errors[name]?.message as string | undefined,
    }
  }

  /** refused tells what the server said, each beside its field. */
  const refused = (cause: unknown) => {
    const said = cause instanceof Refused ? cause : undefined
    let told = false
    for (const [name, message] of Object.entries(said?.fields ?? {})) {
      if (!(name in start)) continue
      form.setError(name as Path<T>, { message })
      told = true
    }
    if (!told) setRefusal(cause instanceof Error ? cause.message : String(cause))
  }

  return {
    field,
    refusal,
    refused,
    busy: isSubmitting,
    errorOf: (name: Path<T>) => errors[name]?.message as string | undefined,
    value: <N extends Path<T>>(name: N) => form.watch(name),
    choose: <N extends Path<T>>(name: N) => {
      return (value: PathValue<T, N>) => form.setValue(name, value, { shouldDirty: true })
    },
    reset: () => form.reset(start as never),
    submit: (send: (typed: T) => Promise<unknown> | unknown) =>
      form.handleSubmit(async (typed) => {
        setRefusal(undefined)
        try {
          await send(typed)
        } catch (cause) {
          refused(cause)
        }
      }),
  }
}
