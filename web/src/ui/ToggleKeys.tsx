import { ToggleGroup as Radix } from 'radix-ui'
import { isChosen, type ToggleProps, toggleClass } from './ToggleGroup'

export function ToggleKeys(p: ToggleProps) {
  return (
    <Radix.Root
      type="multiple"
      aria-label={p.label}
      value={p.choices.map((c) => c.value).filter((value) => isChosen(p, value))}
      className="flex flex-wrap gap-1.5"
    >
      {p.choices.map(({ value, label }) => (
        <Radix.Item key={value} value={value} onClick={() => p.onToggle(value)} className={toggleClass(p, value)}>
          {label}
        </Radix.Item>
      ))}
    </Radix.Root>
  )
}
