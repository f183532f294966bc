import { useEffect } from 'react'
import { type KeyBindingMap, tinykeys } from 'tinykeys'
import { useLocation } from 'wouter'

/** isTyping tells whether a key goes into a text field. */
export const isTyping = (e: KeyboardEvent) =>
  e.target instanceof HTMLElement &&
  (e.target.matches('input, textarea, [role="combobox"]') || e.target.isContentEditable)

/** unlessTyping runs what a character key does while nothing is typed: where something is, it is a letter of it. */
export const unlessTyping = (run: (e: KeyboardEvent) => void) => (e: KeyboardEvent) => {
  if (isTyping(e)) return
  e.preventDefault()
  run(e)
}

/**
 * useKeys binds keys of the page for as long as a component is there. Keys are written as tinykeys has them:
 * "Alt+Digit1", "Space", "([1-9])". They are bound anew at each drawing, so that what they do sees what is shown.
 */
export function useKeys(bindings: KeyBindingMap) {
  useEffect(() => tinykeys(window, bindings))
}

const views = [
  ['Alt+Digit1', '/'],
  ['Alt+Digit2', '/plan'],
  ['Alt+Digit3', '/cook'],
  ['Alt+Digit4', '/shelf'],
  ['Alt+Digit6', '/pantry'],
  ['Alt+Digit7', '/settings'],
] as const

/** useViewKeys are the keys that work in every view. */
export function useViewKeys(onHelp: () => void) {
  const [, go] = useLocation()
  const does = (run: () => void) => (e: KeyboardEvent) => {
    e.preventDefault()
    run()
  }
  useKeys({ F1: does(onHelp), ...Object.fromEntries(views.map(([key, to]) => [key, does(() => go(to))])) })
}
