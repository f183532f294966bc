import type { ButtonHTMLAttributes, ReactNode, Ref } from 'react'
import { classes } from './classes'

type Props = ButtonHTMLAttributes<HTMLButtonElement> & {
  primary?: boolean
  ref?: Ref<HTMLButtonElement>
  children: ReactNode
}

export function Button({ primary, className, children, type = 'button', ...rest }: Props) {
  return (
    <button
      type={type}
      className={classes(
        'eased inline-flex min-h-11 items-center justify-center gap-2 rounded-full border-2 border-rim px-4 font-bold whitespace-nowrap disabled:opacity-45',
        primary ? 'bg-rim text-on-rim' : 'bg-enamel text-ink enabled:hover:bg-linen',
        className,
      )}
      {...rest}
    >
      {children}
    </button>
  )
}

/** IconButton has only a picture to show; its label is read out and shown as a tip. */
export function IconButton({ label, className, children, ...rest }: Props & { label: string }) {
  return (
    <button
      type="button"
      aria-label={label}
      title={label}
      className={classes(
        'eased grid size-9 shrink-0 place-items-center rounded-full text-mute enabled:hover:bg-linen enabled:hover:text-ink disabled:opacity-40 max-sm:size-11',
        className,
      )}
      {...rest}
    >
      {children}
    </button>
  )
}
