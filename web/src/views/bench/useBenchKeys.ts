import { isTyping, useKeys } from '../../app/keys'
import type { BenchDraft } from './useDraft'

/** useBenchKeys are the keys of the Bench; none of them works behind a dialog. */
export function useBenchKeys(bench: BenchDraft, onFind: () => void) {
  /** does runs what a key does, where it does anything. */
  const does = (find: (e: KeyboardEvent) => (() => void) | undefined) => (e: KeyboardEvent) => {
    if (e.defaultPrevented || document.querySelector('[role="dialog"]')) return
    const run = find(e)
    if (!run) return
    e.preventDefault()
    run()
  }
  const plain = (run: () => void) => does((e) => (isTyping(e) ? undefined : run))
  useKeys({
    '$mod+z': does(() => bench.undo),
    '$mod+y': does(() => bench.redo),
    '$mod+Shift+z': does(() => bench.redo),
    'Alt+ArrowUp': does((e) => movedLine(e, bench, 'previousElementSibling')),
    'Alt+ArrowDown': does((e) => movedLine(e, bench, 'nextElementSibling')),
    l: does((e) => (isTyping(e) ? undefined : lockedLine(e, bench))),
    '/': plain(onFind),
    '+': plain(() => resize(bench, 1)),
    'Shift++': plain(() => resize(bench, 1)),
    '=': plain(() => resize(bench, 1)),
    '-': plain(() => resize(bench, -1)),
  })
}

const rowOf = (e: KeyboardEvent) => (e.target instanceof Element ? e.target.closest('[data-line]') : null)

/** movedLine moves the line that has the focus past its neighbour; at the end it stays, and the key does nothing else. */
function movedLine(e: KeyboardEvent, bench: BenchDraft, side: 'previousElementSibling' | 'nextElementSibling') {
  const row = rowOf(e)
  const key = row?.getAttribute('data-line')
  if (!row || !key) return undefined
  const otherKey = row[side]?.getAttribute('data-line')
  return () => otherKey && bench.swapLines(key, otherKey)
}

function lockedLine(e: KeyboardEvent, bench: BenchDraft) {
  const key = rowOf(e)?.getAttribute('data-line')
  const line = bench.draft.recipe.lines.find((l) => l.key === key)
  return line && (() => bench.setLine(line.key, { locked: !line.locked }))
}

const steps = [0.5, 1, 2, 3]

/** resize goes to the next larger or smaller of the plain factors. */
function resize(bench: BenchDraft, direction: 1 | -1) {
  const { sizeBy, sizeValue } = bench.draft.recipe
  const at = steps.indexOf(sizeBy === 'times' ? sizeValue : 1)
  const next = steps[Math.max(0, Math.min(steps.length - 1, at + direction))] ?? 1
  bench.setRecipe(next === 1 ? { sizeBy: '', sizeValue: 0 } : { sizeBy: 'times', sizeValue: next })
}
