import { type ButtonHTMLAttributes, cloneElement, type ReactElement, type ReactNode } from 'react'
import { Late, late, useAsked } from './late'

export type MenuProps = {
  trigger: ReactElement<ButtonHTMLAttributes<HTMLButtonElement>>
  children: ReactNode
  align?: 'start' | 'end'
}
export type ItemProps = { onSelect: () => void; children: ReactNode; disabled?: boolean; hint?: string }
export type CheckProps = { checked: boolean; onChange: () => void; children: ReactNode }

const useParts = late(() => import('./MenuParts'))

/** Menu opens a list of actions under its trigger. */
export function Menu(p: MenuProps) {
  const [asked, ask] = useAsked()
  const standIn = cloneElement(p.trigger, { 'aria-haspopup': 'menu', 'aria-expanded': false, onClick: ask })
  return <Late part={useParts()} standIn={standIn} whole={(parts) => <parts.Menu {...p} opened={asked} />} />
}

/** MenuItem runs once the menu has closed and given the focus back, so that what it opens keeps it. */
export function MenuItem(p: ItemProps) {
  const parts = useParts()
  return parts && <parts.MenuItem {...p} />
}

/** MenuCheck is an entry that is on or off. */
export function MenuCheck(p: CheckProps) {
  const parts = useParts()
  return parts && <parts.MenuCheck {...p} />
}

export const MenuRule = () => {
  const parts = useParts()
  return parts && <parts.MenuRule />
}

export function MenuHead({ children }: { children: ReactNode }) {
  const parts = useParts()
  return parts && <parts.MenuHead>{children}</parts.MenuHead>
}
