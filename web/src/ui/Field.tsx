import { type InputHTMLAttributes, type ReactNode, type Ref, useId } from 'react'
import { classes } from './classes'
import { shownUnit } from './units'

/** ErrorText says what was wrong with the field beside it. */
export function ErrorText({ id, children }: { id: string; children?: string }) {
  if (!children) return null
  return (
    <p id={id} role="alert" className="mt-1 text-sm text-hibiscus-deep">
      {children}
    </p>
  )
}

type Props = InputHTMLAttributes<HTMLInputElement> & {
  label: string
  unit?: string
  hint?: ReactNode
  error?: string
  ref?: Ref<HTMLInputElement>
}

/** Field is a labelled input with its unit, a hint, and the error beside it. */
export function Field({ label, unit, hint, error, className, ...rest }: Props) {
  const id = useId()
  return (
    <div className={classes('field', className)}>
      <label htmlFor={id} className="mb-1 block text-sm font-bold">
        {label}
      </label>
      <div
        className={classes(
          'flex min-h-11 items-center gap-2 rounded-full border-2 bg-enamel px-4',
          error ? 'border-hibiscus' : 'border-rim',
        )}
      >
        <input
          id={id}
          aria-invalid={error ? true : undefined}
          aria-describedby={error ? `${id}-error` : undefined}
          className="w-full min-w-0 bg-transparent py-1.5 outline-none"
          {...rest}
        />
        {unit && <span className="text-sm whitespace-nowrap text-mute">{shownUnit(unit)}</span>}
      </div>
      {hint && <p className="mt-1 text-sm text-mute">{hint}</p>}
      <ErrorText id={`${id}-error`}>{error}</ErrorText>
    </div>
  )
}
