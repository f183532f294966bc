import { ChevronDown } from 'lucide-react'
import { type ReactNode, useId } from 'react'
import { classes } from './classes'
import { Late, late, useAsked } from './late'

export type Choice = { value: string; label: string }

export type SelectProps = {
  label: string
  value: string
  choices: Choice[]
  onChange: (value: string) => void
  className?: string
}

const useList = late(() => import('./SelectList'))

/** Select is a labelled choice of one; the label stands before the value. */
export function Select(p: SelectProps) {
  const [asked, ask] = useAsked()
  return (
    <Late
      part={useList()}
      standIn={<Closed {...p} onAsk={ask} />}
      whole={({ SelectList }) => <SelectList {...p} opened={asked} />}
    />
  )
}

/** Closed is a Select that shows what is chosen, and asks for its list. */
function Closed({ label, value, choices, className, onAsk }: SelectProps & { onAsk: () => void }) {
  const list = useId()
  return (
    <button
      type="button"
      role="combobox"
      aria-label={label}
      aria-expanded={false}
      aria-controls={list}
      onClick={onAsk}
      className={selectClass(className)}
    >
      <SelectFace label={label}>{choices.find((c) => c.value === value)?.label}</SelectFace>
    </button>
  )
}

export const selectClass = (className?: string) =>
  classes(
    'inline-flex min-h-11 max-w-full items-center gap-2 rounded-full border-2 border-rim bg-enamel px-4 text-left',
    className,
  )

/** SelectFace is what a Select shows while it is closed. */
export function SelectFace({ label, children }: { label: string; children: ReactNode }) {
  return (
    <>
      <span className="shrink-0 text-sm text-mute">{label}</span>
      <span className="min-w-0 truncate font-bold">{children}</span>
      <ChevronDown size={16} aria-hidden className="ml-auto shrink-0" />
    </>
  )
}
