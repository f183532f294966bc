import { X } from 'lucide-react'
import { Dialog as Radix } from 'radix-ui'
import type { ReactNode } from 'react'
import { IconButton } from './Button'

type Props = { title: string; intro?: string; onClose: () => void; children: ReactNode }

/** Sheet is a tray drawn in from the side, so that the Bench stays in sight beside it. */
export function Sheet({ title, intro, onClose, children }: Props) {
  return (
    <Radix.Root open onOpenChange={(is) => !is && onClose()}>
      <Radix.Portal>
        <Radix.Overlay className="fixed inset-0 z-40 bg-[#10183066]" />
        <Radix.Content
          aria-describedby={undefined}
          className="fixed inset-y-3 right-3 z-50 flex w-[min(30rem,calc(100vw-1.5rem))] flex-col rounded-tray border-[2.5px] border-rim bg-enamel text-ink"
        >
          <div className="flex items-start gap-3 px-5 pt-4 pb-2">
            <div className="grow">
              <Radix.Title className="text-2xl leading-tight">{title}</Radix.Title>
              {intro && <p className="text-[15px] text-mute">{intro}</p>}
            </div>
            <Radix.Close asChild>
              <IconButton label="Close">
                <X size={20} aria-hidden />
              </IconButton>
            </Radix.Close>
          </div>
          <div className="grid content-start gap-4 overflow-auto px-5 pt-1 pb-5">{children}</div>
        </Radix.Content>
      </Radix.Portal>
    </Radix.Root>
  )
}
