import { Checkbox as Radix } from 'radix-ui'
import { useId } from 'react'

type Props = { label: string; checked: boolean; onChange: (is: boolean) => void }

/** Check is a labelled box to tick. */
export function Check({ label, checked, onChange }: Props) {
  const id = useId()
  return (
    <div className="flex min-h-11 items-center gap-2.5">
      <Radix.Root
        id={id}
        checked={checked}
        onCheckedChange={(is) => onChange(is === true)}
        className="grid size-6 shrink-0 place-items-center rounded-md border-2 border-rim bg-enamel text-sm font-bold"
      >
        <Radix.Indicator>✓</Radix.Indicator>
      </Radix.Root>
      <label htmlFor={id}>{label}</label>
    </div>
  )
}
