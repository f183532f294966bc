import { X } from 'lucide-react'
import { Dialog as Radix } from 'radix-ui'
import { type ReactNode, useRef } from 'react'
import { copy } from '../copy/more'
import { classes } from './classes'
import { useOpener } from './useOpener'

type Props = { onClose: () => void; title: string; intro?: string; children: ReactNode }

/** Dialog is a tray laid over the table. Escape puts it away, and so does a click beside it while nothing was typed into it. */
export function Dialog({ open = true, ...rest }: Props & { open?: boolean }) {
  if (!open) return null
  return (
    <Laid
      {...rest}
      veil="bg-veil"
      place="top-[4dvh] left-1/2 max-h-[92dvh] w-[min(36rem,calc(100vw-1.5rem))] -translate-x-1/2 sm:top-[7dvh] sm:max-h-[88dvh]"
    />
  )
}

/** Sheet is a tray drawn in from the side, so that the Bench stays in sight beside it. */
export function Sheet(props: Props) {
  return <Laid {...props} veil="bg-veil-light" place="inset-y-3 right-3 w-[min(30rem,calc(100vw-1.5rem))]" />
}

function Laid({ onClose, title, intro, children, veil, place }: Props & { veil: string; place: string }) {
  const typed = useRef(false)
  const giveBack = useOpener()
  return (
    <Radix.Root open onOpenChange={(is) => !is && onClose()}>
      <Radix.Portal>
        <Radix.Overlay className={classes('fixed inset-0 z-40', veil)} />
        <Radix.Content
          aria-describedby={undefined}
          onCloseAutoFocus={giveBack}
          onInput={() => {
            typed.current = true
          }}
          onInteractOutside={(e) => typed.current && e.preventDefault()}
          className={classes('fixed z-50 overflow-auto rounded-tray border-tray border-rim bg-enamel text-ink', place)}
        >
          <div className="sticky top-0 z-10 flex items-start gap-3 bg-enamel px-5 pt-4 pb-2">
            <div className="grow">
              <Radix.Title className="text-2xl leading-tight">{title}</Radix.Title>
              {intro && <p className="text-note text-mute">{intro}</p>}
            </div>
            <Radix.Close asChild>
              {/* without a tip: Escape is to close the dialog, and not the tip of the button that has the keyboard */}
              <button
                type="button"
                aria-label={copy.ui.close}
                className="eased grid size-9 shrink-0 place-items-center rounded-full text-mute hover:bg-linen hover:text-ink max-sm:size-11"
              >
                <X size={20} aria-hidden />
              </button>
            </Radix.Close>
          </div>
          <div className="grid gap-4 px-5 pt-1 pb-5">{children}</div>
        </Radix.Content>
      </Radix.Portal>
    </Radix.Root>
  )
}
