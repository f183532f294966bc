import { useQueryClient } from '@tanstack/react-query'
import { useEffect, useMemo, useRef, useState } from 'react'
import { askAhead } from '../../api/hooks'
import type { Drink, Line, Recipe } from '../../api/schema'
import { begin, type Change, type Draft, follow } from './history'
import { open, Saver, type SaveState, sameState } from './saving'

/** useDraft holds the drink on the Bench: its draft, the way back and forth, and its saving. */
export function useDraft(drink: Drink) {
  const [opened] = useState(() => open(drink))
  const [history, change] = useHistory(opened.draft)
  const [kept, setKept] = useState(drink)
  const [state, setState] = useState<SaveState>({ is: opened.clash ? 'conflict' : 'saved' })
  const [saver] = useState(
    () =>
      new Saver(drink.id, drink.revision, opened, {
        onState: (next) => setState((was) => (sameState(was, next) ? was : next)),
        onSaved: setKept,
      }),
  )
  const edits = useMemo(() => editsOf(change), [change])
  const [steps] = useState({ undo: () => change({ type: 'undo' }), redo: () => change({ type: 'redo' }) })
  const { now } = history

  useEffect(() => saver.begin(), [saver])
  useEffect(() => saver.change(now), [saver, now])

  return {
    ...edits,
    edits,
    draft: now,
    kept,
    setKept,
    state,
    saver,
    undo: history.past.length > 0 ? steps.undo : undefined,
    redo: history.future.length > 0 ? steps.redo : undefined,
  }
}

/** useHistory holds a draft and the way back and forth. Figures of what a change comes to are asked for at once, so that the kitchen works them out while the change is drawn. */
function useHistory(first: Draft) {
  const client = useQueryClient()
  const [history, setHistory] = useState(() => begin(first))
  const latest = useRef(history)
  const [change] = useState(() => (next: Change) => {
    latest.current = follow(latest.current, next)
    setHistory(latest.current)
    askAhead(client, latest.current.now)
  })
  return [history, change] as const
}

export type BenchDraft = ReturnType<typeof useDraft>

/** Edits are the ways to change the draft. They stay the same objects, so that a row is drawn anew only when it changes. */
export type Edits = ReturnType<typeof editsOf>

function editsOf(change: (c: Change) => void) {
  const recipe = (edit: (f: Recipe) => Partial<Recipe>, field: string) =>
    change({ type: 'edit', edit: (d) => ({ ...d, recipe: { ...d.recipe, ...edit(d.recipe) } }), field })
  const lines = (edit: (l: Line[]) => Line[], field = '') => recipe((f) => ({ lines: edit(f.lines) }), field)
  return {
    setName: (name: string) => change({ type: 'edit', edit: (d) => ({ ...d, name }), field: 'name' }),
    setRecipe: (f: Partial<Recipe>, field = '') => recipe(() => f, field),
    setLine: (key: string, line: Partial<Line>, field = '') =>
      lines((all) => all.map((l) => (l.key === key ? { ...l, ...asSettled(line) } : l)), field && key + field),
    addLines: (more: Line[]) => lines((all) => [...all, ...more.map((l) => ({ ...l, key: newKey() }))]),
    replaceLine: (key: string, by: Line[]) =>
      lines((all) =>
        all.flatMap((l) =>
          l.key === key ? by.map((b, n) => ({ ...b, key: n === 0 ? key : newKey(), settled: true })) : [l],
        ),
      ),
    removeLine: (key: string) => lines((all) => all.filter((l) => l.key !== key)),
    swapLines: (key: string, other: string) => lines((all) => swapped(all, key, other)),
  }
}

/** asSettled marks a line as settled where the cook changed what it says: it is no longer read from what was written. */
const asSettled = (line: Partial<Line>): Partial<Line> =>
  line.ingredient === undefined && line.amount === undefined ? line : { ...line, settled: true, isNote: false }

const newKey = () => Math.random().toString(36).slice(2, 12)

function swapped(lines: Line[], key: string, other: string): Line[] {
  const a = lines.find((l) => l.key === key)
  const b = lines.find((l) => l.key === other)
  if (!a || !b) return lines
  return lines.map((l) => (l === a ? b : l === b ? a : l))
}
