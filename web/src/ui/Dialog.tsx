import { X } from 'lucide-react'
import { Dialog as Radix } from 'radix-ui'
import type { ReactNode } from 'react'
import { IconButton } from './Button'

type Props = {
  open: boolean
  onClose: () => void
  title: string
  intro?: string
  children: ReactNode
}

/** Dialog is a tray laid over the table. Escape or a click beside it puts it away. */
export function Dialog({ open, onClose, title, intro, children }: Props) {
  return (
    <Radix.Root open={open} onOpenChange={(is) => !is && onClose()}>
      <Radix.Portal>
        <Radix.Overlay className="fixed inset-0 z-40 bg-[#10183099]" />
        <Radix.Content
          aria-describedby={undefined}
          className="fixed top-[4dvh] left-1/2 z-50 max-h-[92dvh] sm:top-[7dvh] sm:max-h-[88dvh] w-[min(36rem,calc(100vw-1.5rem))] -translate-x-1/2 overflow-auto rounded-tray border-[2.5px] border-rim bg-enamel p-5 text-ink"
        >
          <div className="mb-3 flex items-start gap-3">
            <div className="grow">
              <Radix.Title className="text-2xl leading-tight">{title}</Radix.Title>
              {intro && <p className="text-mute">{intro}</p>}
            </div>
            <Radix.Close asChild>
              <IconButton label="Close">
                <X size={20} aria-hidden />
              </IconButton>
            </Radix.Close>
          </div>
          {children}
        </Radix.Content>
      </Radix.Portal>
    </Radix.Root>
  )
}
