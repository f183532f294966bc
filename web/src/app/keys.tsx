import { useEffect, useRef } from 'react'
import { useLocation } from 'wouter'
import { Dialog } from '../ui/Dialog'

const help = [
  ['Alt+1, 2, 3, 4, 6', 'go to the Bench, the Plan, Cook, the Shelf, the Pantry'],
  ['← and → on a dial', 'turn it; Page up and Page down turn it further'],
  ['/', 'add a line to the drink; find a bottle on the Shelf'],
  ['+ and −', 'make more, make less'],
  ['L', 'lock the line you are on, or let it grow'],
  ['Alt+↑, Alt+↓', 'move the line you are on; put a bottle into the place before or after'],
  ['Ctrl+Z, Ctrl+Y', 'undo, redo'],
  ['Space in Cook', 'the step is done'],
  ['T in Cook', 'tare the scale'],
  ['P and 1 to 9 in Cook', 'hold the last timer; hold a timer by its number, or answer it'],
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

const views: Record<string, string> = { '1': '/', '2': '/plan', '3': '/cook', '4': '/shelf', '6': '/pantry' }

/** useViewKeys are the keys that work in every view. */
export function useViewKeys(onHelp: () => void) {
  const [, go] = useLocation()
  useKeys((e) => {
    if (e.key === 'F1') {
      e.preventDefault()
      onHelp()
    }
    const to = e.altKey && views[e.key]
    if (to) {
      e.preventDefault()
      go(to)
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
