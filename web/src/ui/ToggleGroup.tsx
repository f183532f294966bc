import type { ReactNode } from 'react'
import { classes } from './classes'
import { Late, late } from './late'

type Choice = { value: string; label: ReactNode }

export type ToggleProps = {
  label: string
  choices: Choice[]
  /** What is chosen: one, or all that are. */
  chosen: string | string[]
  /** How wide each is at least. */
  wide?: boolean
  onToggle: (value: string) => void
}

const useKeys = late(() => import('./ToggleKeys'))

/** ToggleGroup are buttons of one question, some or one of them pressed in. The arrow keys go from one to the next. */
export function ToggleGroup(p: ToggleProps) {
  return <Late part={useKeys()} standIn={<Buttons {...p} />} whole={({ ToggleKeys }) => <ToggleKeys {...p} />} />
}

/** Buttons can be pressed already; the tab key goes from one to the next. */
function Buttons(p: ToggleProps) {
  return (
    // biome-ignore lint/a11y/useSemanticElements: a fieldset would be laid out otherwise
    <div role="group" aria-label={p.label} className="flex flex-wrap gap-1.5">
      {p.choices.map(({ value, label }) => (
        <button
          key={value}
          type="button"
          aria-pressed={isChosen(p, value)}
          onClick={() => p.onToggle(value)}
          className={toggleClass(p, value)}
        >
          {label}
        </button>
      ))}
    </div>
  )
}

export const isChosen = ({ chosen }: ToggleProps, value: string) =>
  Array.isArray(chosen) ? chosen.includes(value) : chosen === value

export const toggleClass = (p: ToggleProps, value: string) =>
  classes(
    'eased button-small rounded-full border-2 border-rim font-bold',
    p.wide && 'min-w-11',
    isChosen(p, value) ? 'bg-rim text-on-rim' : 'bg-enamel text-ink hover:bg-linen',
  )
