import { Check } from 'lucide-react'
import { Select as Radix } from 'radix-ui'
import { SelectFace, type SelectProps, selectClass } from './Select'

export function SelectList({ label, value, choices, onChange, className, opened }: SelectProps & { opened: boolean }) {
  return (
    <Radix.Root value={value} onValueChange={onChange} defaultOpen={opened}>
      <Radix.Trigger aria-label={label} className={selectClass(className)}>
        <SelectFace label={label}>
          <Radix.Value />
        </SelectFace>
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
