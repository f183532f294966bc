import { ToggleGroup as Radix } from 'radix-ui'
import type { ReactNode } from 'react'
import { classes } from './classes'

type Choice = { value: string; label: ReactNode }

type Props = {
  label: string
  choices: Choice[]
  /** What is chosen: one, or all that are. */
  chosen: string | string[]
  /** How wide each is at least. */
  wide?: boolean
  onToggle: (value: string) => void
}

/** ToggleGroup are buttons of one question, some or one of them pressed in. The arrow keys go from one to the next. */
export function ToggleGroup({ label, choices, chosen, wide, onToggle }: Props) {
  const isChosen = (value: string) => (Array.isArray(chosen) ? chosen.includes(value) : chosen === value)
  return (
    <Radix.Root
      type="multiple"
      aria-label={label}
      value={choices.map((c) => c.value).filter(isChosen)}
      className="flex flex-wrap gap-1.5"
    >
      {choices.map(({ value, label }) => (
        <Radix.Item
          key={value}
          value={value}
          onClick={() => onToggle(value)}
          className={classes(
            'eased button-small rounded-full border-2 border-rim font-bold',
            wide && 'min-w-11',
            isChosen(value) ? 'bg-rim text-on-rim' : 'bg-enamel text-ink hover:bg-linen',
          )}
        >
          {label}
        </Radix.Item>
      ))}
    </Radix.Root>
  )
}
