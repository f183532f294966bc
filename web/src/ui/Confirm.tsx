import { AlertDialog as Radix } from 'radix-ui'
import { copy } from '../copy/more'
import { Button } from './Button'
import { useOpener } from './useOpener'

type Props = { title: string; text: string; confirm: string; onConfirm: () => void; onClose: () => void }

/** Confirm asks before something is done that reaches further than it looks. */
export function Confirm({ title, text, confirm, onConfirm, onClose }: Props) {
  const giveBack = useOpener()
  return (
    <Radix.Root open onOpenChange={(open) => !open && onClose()}>
      <Radix.Portal>
        <Radix.Overlay className="fixed inset-0 z-[60] bg-veil" />
        <Radix.Content
          onCloseAutoFocus={giveBack}
          className="fixed top-1/2 left-1/2 z-[61] grid w-[min(30rem,calc(100vw-1.5rem))] -translate-x-1/2 -translate-y-1/2 gap-4 rounded-tray border-tray border-rim bg-enamel p-5 text-ink"
        >
          <Radix.Title className="text-2xl leading-tight">{title}</Radix.Title>
          <Radix.Description>{text}</Radix.Description>
          <div className="flex flex-wrap justify-end gap-2">
            <Radix.Cancel asChild>
              <Button>{copy.ui.cancel}</Button>
            </Radix.Cancel>
            <Radix.Action asChild>
              <Button primary onClick={onConfirm}>
                {confirm}
              </Button>
            </Radix.Action>
          </div>
        </Radix.Content>
      </Radix.Portal>
    </Radix.Root>
  )
}
