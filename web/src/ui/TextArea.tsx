import { type TextareaHTMLAttributes, useId } from 'react'
import { classes } from './classes'
import { ErrorText } from './Field'

type Props = TextareaHTMLAttributes<HTMLTextAreaElement> & { label: string; hint?: string; error?: string }

/** TextArea is a labelled field of several lines, with the error beside it. */
export function TextArea({ label, hint, error, ...rest }: Props) {
  const id = useId()
  return (
    <div>
      <label htmlFor={id} className="mb-1 block text-sm font-bold">
        {label}
      </label>
      <textarea
        id={id}
        aria-invalid={error ? true : undefined}
        aria-describedby={error ? `${id}-error` : undefined}
        spellCheck={false}
        className={classes(
          'w-full rounded-2xl border-2 bg-enamel px-4 py-2.5',
          error ? 'border-hibiscus' : 'border-rim',
        )}
        {...rest}
      />
      {hint && <p className="text-sm text-mute">{hint}</p>}
      <ErrorText id={`${id}-error`}>{error}</ErrorText>
    </div>
  )
}
