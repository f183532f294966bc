import { useEffect, useRef } from 'react'
import { useLocation } from 'wouter'
import { Dialog } from '../ui/Dialog'

const help = [
  ['Alt+1, Alt+4', 'go to the Bench, the Shelf'],
  ['/', 'add a line to the drink'],
  ['+ and −', 'make more, make less'],
  ['L', 'lock the line you are on, or let it grow'],
  ['Alt+↑, Alt+↓', 'move the line you are on'],
  ['Ctrl+Z, Ctrl+Y', 'undo, redo'],
  ['F1', 'show these keys'],
]

/** isTyping tells whether a key goes into a text field. */
export const isTyping = (e: KeyboardEvent) =>
  e.target instanceof HTMLElement &&
  (e.target.matches('input, textarea, [role="combobox"]') || e.target.isContentEditable)

/** useKeys runs handle on every key pressed on the page. */
export function useKeys(handle: (e: KeyboardEvent) => void) {
  const latest = useRef(handle)
  useEffect(() => {
    latest.current = handle
  })
  useEffect(() => {
    const onKey = (e: KeyboardEvent) => latest.current(e)
    window.addEventListener('keydown', onKey)
    return () => window.removeEventListener('keydown', onKey)
  }, [])
}

/** useViewKeys are the keys that work in every view. */
export function useViewKeys(onHelp: () => void) {
  const [, go] = useLocation()
  useKeys((e) => {
    if (e.key === 'F1') {
      e.preventDefault()
      onHelp()
    }
    if (e.altKey && (e.key === '1' || e.key === '4')) {
      e.preventDefault()
      go(e.key === '1' ? '/' : '/shelf')
    }
  })
}

export function KeysDialog({ open, onClose }: { open: boolean; onClose: () => void }) {
  return (
    <Dialog open={open} onClose={onClose} title="Keys">
      <dl className="grid grid-cols-[auto_1fr] gap-x-5 gap-y-2">
        {help.map(([keys, does]) => (
          <div key={keys} className="contents">
            <dt className="font-bold">{keys}</dt>
            <dd>{does}</dd>
          </div>
        ))}
      </dl>
    </Dialog>
  )
}
