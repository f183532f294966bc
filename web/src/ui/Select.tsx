import { Check, ChevronDown } from 'lucide-react'
import { Select as Radix } from 'radix-ui'
import { classes } from './classes'

export type Choice = { value: string; label: string }

type Props = {
  label: string
  value: string
  choices: Choice[]
  onChange: (value: string) => void
  className?: string
}

/** Select is a labelled choice of one; the label stands before the value. */
export function Select({ label, value, choices, onChange, className }: Props) {
  return (
    <Radix.Root value={value} onValueChange={onChange}>
      <Radix.Trigger
        aria-label={label}
        className={classes(
          'inline-flex min-h-11 max-w-full items-center gap-2 rounded-full border-2 border-rim bg-enamel px-4 text-left',
          className,
        )}
      >
        <span className="shrink-0 text-sm text-mute">{label}</span>
        <span className="min-w-0 truncate font-bold">
          <Radix.Value />
        </span>
        <Radix.Icon className="ml-auto">
          <ChevronDown size={16} aria-hidden />
        </Radix.Icon>
      </Radix.Trigger>
      <Radix.Portal>
        <Radix.Content
          position="popper"
          sideOffset={4}
          className="z-50 max-h-(--radix-select-content-available-height) overflow-auto rounded-2xl border-2 border-rim bg-enamel p-1 text-ink shadow-lg"
        >
          <Radix.Viewport>
            {choices.map((c) => (
              <Radix.Item
                key={c.value}
                value={c.value}
                className="flex min-h-10 items-center gap-3 rounded-xl px-3 outline-none data-highlighted:bg-linen"
              >
                <Radix.ItemText>{c.label}</Radix.ItemText>
                <Radix.ItemIndicator className="ml-auto">
                  <Check size={16} aria-hidden />
                </Radix.ItemIndicator>
              </Radix.Item>
            ))}
          </Radix.Viewport>
        </Radix.Content>
      </Radix.Portal>
    </Radix.Root>
  )
}
