import { CircleAlert } from 'lucide-react'
import type { ReactNode } from 'react'

type Props = { children: ReactNode; urgent?: boolean }

/** Notice says what to know or do; an urgent one is read out at once. */
export function Notice({ children, urgent }: Props) {
  return (
    <div
      role={urgent ? 'alert' : undefined}
      className="flex gap-2.5 rounded-2xl bg-hibiscus-pale px-3 py-2.5 text-note leading-snug text-hibiscus-deep"
    >
      <CircleAlert size={18} aria-hidden className="mt-0.5 shrink-0" />
      <div className="grow">{children}</div>
    </div>
  )
}
