import type { ReactNode } from 'react'
import { classes } from './classes'

type Props = { children: ReactNode; className?: string; label?: string }

/** Tray is an enamel tray with a cobalt rim; with a label it is a named region. */
export function Tray({ children, className, label }: Props) {
  return (
    <section
      aria-label={label}
      className={classes('min-w-0 min-w-0 rounded-tray border-tray border-rim bg-enamel px-5 py-4', className)}
    >
      {children}
    </section>
  )
}
