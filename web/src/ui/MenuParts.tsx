import { DropdownMenu as Radix } from 'radix-ui'
import type { ReactNode } from 'react'
import type { CheckProps, ItemProps, MenuProps } from './Menu'

export function Menu({ trigger, children, align = 'end', opened }: MenuProps & { opened: boolean }) {
  return (
    <Radix.Root defaultOpen={opened}>
      <Radix.Trigger asChild>{trigger}</Radix.Trigger>
      <Radix.Portal>
        <Radix.Content
          align={align}
          sideOffset={4}
          collisionPadding={8}
          className="z-50 max-h-(--radix-dropdown-menu-content-available-height) min-w-52 overflow-auto rounded-2xl border-2 border-rim bg-enamel p-1 text-ink shadow-lg"
        >
          {children}
        </Radix.Content>
      </Radix.Portal>
    </Radix.Root>
  )
}

export function MenuItem({ onSelect, children, disabled, hint }: ItemProps) {
  return (
    <Radix.Item
      onSelect={() => setTimeout(onSelect)}
      disabled={disabled}
      className="flex min-h-9 max-sm:min-h-11 items-center gap-3 rounded-xl px-3 outline-none data-disabled:opacity-45 data-highlighted:bg-linen"
    >
      {children}
      {hint && <span className="ml-auto pl-4 text-sm text-mute">{hint}</span>}
    </Radix.Item>
  )
}

export function MenuCheck({ checked, onChange, children }: CheckProps) {
  return (
    <Radix.CheckboxItem
      checked={checked}
      onCheckedChange={onChange}
      className="flex min-h-9 max-sm:min-h-11 items-center gap-3 rounded-xl px-3 outline-none data-highlighted:bg-linen"
    >
      <span aria-hidden className="grid size-4 place-items-center rounded border-2 border-rim text-xs">
        <Radix.ItemIndicator>✓</Radix.ItemIndicator>
      </span>
      {children}
    </Radix.CheckboxItem>
  )
}

export const MenuRule = () => <Radix.Separator className="my-1 h-px bg-line" />

export function MenuHead({ children }: { children: ReactNode }) {
  return <Radix.Label className="px-3 pt-2 pb-1 text-sm font-bold text-rim">{children}</Radix.Label>
}
