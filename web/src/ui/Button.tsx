import type { ButtonHTMLAttributes, ReactNode, Ref } from 'react'
import { classes } from './classes'
import { Tip } from './Tip'

type Props = ButtonHTMLAttributes<HTMLButtonElement> & {
  primary?: boolean
  /** Small where many stand beside each other, large where hands are wet. */
  size?: 'small' | 'large'
  ref?: Ref<HTMLButtonElement>
  children: ReactNode
}

/** Button acts. The one that leads on is primary, one a view. */
export function Button({ primary, size, className, children, type = 'button', ...rest }: Props) {
  return (
    <button
      type={type}
      className={classes(
        'eased inline-flex items-center justify-center gap-2 rounded-full border-2 border-rim font-bold max-w-full whitespace-nowrap disabled:opacity-45 max-sm:whitespace-normal',
        size === 'small' ? 'button-small' : size === 'large' ? 'button-large' : 'button',
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
    <Tip words={label}>
      <button
        type="button"
        aria-label={label}
        className={classes(
          'eased grid size-9 shrink-0 place-items-center rounded-full text-mute enabled:hover:bg-linen enabled:hover:text-ink disabled:opacity-40 max-sm:size-11',
          className,
        )}
        {...rest}
      >
        {children}
      </button>
    </Tip>
  )
}
