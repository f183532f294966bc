import { Tooltip as Radix } from 'radix-ui'
import type { ReactElement } from 'react'

/** How long the mouse rests before a tip comes. */
const restMS = 400

export function TipWords({ words, children }: { words: string; children: ReactElement }) {
  return (
    <Radix.Provider delayDuration={restMS}>
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
    </Radix.Provider>
  )
}
