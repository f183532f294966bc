import { isTyping, useKeys } from '../../app/keys'
import type { BenchDraft } from './useDraft'

/** useBenchKeys are the keys of the Bench. */
export function useBenchKeys(bench: BenchDraft, onFind: () => void) {
  useKeys((e) => {
    if (e.defaultPrevented || document.querySelector('[role="dialog"]')) return
    const run = historyKey(e, bench) ?? lineKey(e, bench) ?? plainKey(e, bench, onFind)
    if (!run) return
    e.preventDefault()
    run()
  })
}

function historyKey(e: KeyboardEvent, bench: BenchDraft) {
  if (!(e.ctrlKey || e.metaKey) || e.altKey) return undefined
  const key = e.key.toLowerCase()
  if (key === 'z' && !e.shiftKey) return bench.undo
  if (key === 'y' || (key === 'z' && e.shiftKey)) return bench.redo
  return undefined
}

/** lineKey moves or locks the line that has the focus. */
function lineKey(e: KeyboardEvent, bench: BenchDraft) {
  const row = e.target instanceof Element ? e.target.closest('[data-line]') : null
  const key = row?.getAttribute('data-line')
  if (!row || !key) return undefined
  if (e.altKey && (e.key === 'ArrowUp' || e.key === 'ArrowDown')) {
    const other = e.key === 'ArrowUp' ? row.previousElementSibling : row.nextElementSibling
    const otherKey = other?.getAttribute('data-line')
    return otherKey ? () => bench.swapLines(key, otherKey) : () => undefined
  }
  if (e.key.toLowerCase() === 'l' && !isTyping(e) && !e.ctrlKey && !e.altKey && !e.metaKey) {
    const line = bench.draft.recipe.lines.find((l) => l.key === key)
    return line && (() => bench.setLine(key, { locked: !line.locked }))
  }
  return undefined
}

const steps = [0.5, 1, 2, 3]

/** plainKey is a key pressed while nothing is typed. */
function plainKey(e: KeyboardEvent, bench: BenchDraft, onFind: () => void) {
  if (isTyping(e) || e.ctrlKey || e.altKey || e.metaKey) return undefined
  if (e.key === '/') return onFind
  if (e.key === '+' || e.key === '=') return () => resize(bench, 1)
  if (e.key === '-') return () => resize(bench, -1)
  return undefined
}

/** resize goes to the next larger or smaller of the plain factors. */
function resize(bench: BenchDraft, direction: 1 | -1) {
  const { sizeBy, sizeValue } = bench.draft.recipe
  const at = steps.indexOf(sizeBy === 'times' ? sizeValue : 1)
  const next = steps[Math.max(0, Math.min(steps.length - 1, at + direction))] ?? 1
  bench.setRecipe(next === 1 ? { sizeBy: '', sizeValue: 0 } : { sizeBy: 'times', sizeValue: next })
}
