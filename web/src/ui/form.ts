import { useState } from 'react'
import { type FieldValues, type Path, type PathValue, type UseFormReturn, useForm } from 'react-hook-form'
import { Refused } from '../api/client'
import { type Limit, type Reading, wrongWith } from './limit'

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
