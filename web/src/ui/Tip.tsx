import { Tooltip as Radix } from 'radix-ui'
import type { ReactElement } from 'react'

/** Tips says how soon tips come, for all of the page. */
export const Tips = Radix.Provider

/** Tip tells in words what a picture stands for, once the mouse rests on it or the keyboard comes to it. */
export function Tip({ words, children }: { words: string; children: ReactElement }) {
  return (
    <Radix.Root>
      <Radix.Trigger asChild>{children}</Radix.Trigger>
      <Radix.Portal>
        <Radix.Content
          sideOffset={6}
          collisionPadding={8}
          className="z-[70] rounded-xl bg-ink px-3 py-1.5 text-fine text-enamel select-none"
        >
          {words}
        </Radix.Content>
      </Radix.Portal>
    </Radix.Root>
  )
}
