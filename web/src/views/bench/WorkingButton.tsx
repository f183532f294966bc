import type { ReactNode } from 'react'
import { copy } from '../../copy'
import type { Figure } from './WorkingDialog'

type Props = { figure?: Figure; of: string; onWorking: (figure: Figure) => void; children: ReactNode }

/** WorkingButton is a figure that opens its working; one that has none is only shown. */
export function WorkingButton({ figure, of, onWorking, children }: Props) {
  const look = 'font-head text-xl font-bold'
  if (!figure) return <span className={look}>{children}</span>
  return (
    <button
      type="button"
      onClick={() => onWorking(figure)}
      className={`${look} min-h-6 underline decoration-dotted decoration-1 underline-offset-4`}
    >
      {children}
      <span className="sr-only">{copy.bench.howIsWorkedOut(of.toLowerCase())}</span>
    </button>
  )
}
