import { useState } from 'react'

/**
 * useOpener gives the keyboard back to where it was when a dialog was opened, once the dialog has gone; to the view
 * where that is no longer there. Radix does so by itself for a trigger of its own only.
 */
export function useOpener() {
  const [opener] = useState(() => document.activeElement)
  return (e: Event) => {
    e.preventDefault()
    const back = opener instanceof HTMLElement && opener.isConnected && opener !== document.body ? opener : undefined
    ;(back ?? document.getElementById('view'))?.focus()
  }
}
