import { useEffect, useReducer, useState } from 'react'
import type { Drink, Formula, Line } from '../../api/schema'
import { begin, type Draft, follow } from './history'
import { open, Saver, type SaveState } from './saving'

/** useDraft holds the drink on the Bench: its draft, the way back and forth, and its saving. */
export function useDraft(drink: Drink) {
  const [opened] = useState(() => open(drink))
  const [history, change] = useReducer(follow, opened.draft, begin)
  const [kept, setKept] = useState(drink)
  const [state, setState] = useState<SaveState>({ is: opened.clash ? 'conflict' : 'saved' })
  const [saver] = useState(() => new Saver(drink.id, drink.revision, opened, { onState: setState, onSaved: setKept }))
  const { now } = history

  useEffect(() => saver.begin(), [saver])
  useEffect(() => saver.change(now), [saver, now])

  const edit = (draft: Partial<Draft>, field: string) => change({ type: 'edit', draft: { ...now, ...draft }, field })
  const setFormula = (formula: Partial<Formula>, field = '') => edit({ formula: { ...now.formula, ...formula } }, field)
  return {
    draft: now,
    kept,
    setKept,
    state,
    saver,
    setName: (name: string) => edit({ name }, 'name'),
    setFormula,
    setLine: (key: string, line: Partial<Line>, field = '') =>
      setFormula(
        { lines: now.formula.lines.map((l) => (l.key === key ? { ...l, ...line } : l)) },
        field && key + field,
      ),
    addLine: (line: Line) => setFormula({ lines: [...now.formula.lines, { ...line, key: newKey() }] }),
    removeLine: (key: string) => setFormula({ lines: now.formula.lines.filter((l) => l.key !== key) }),
    swapLines: (key: string, other: string) => setFormula({ lines: swapped(now.formula.lines, key, other) }),
    undo: history.past.length > 0 ? () => change({ type: 'undo' }) : undefined,
    redo: history.future.length > 0 ? () => change({ type: 'redo' }) : undefined,
  }
}

export type BenchDraft = ReturnType<typeof useDraft>

const newKey = () => Math.random().toString(36).slice(2, 12)

function swapped(lines: Line[], key: string, other: string): Line[] {
  const a = lines.find((l) => l.key === key)
  const b = lines.find((l) => l.key === other)
  if (!a || !b) return lines
  return lines.map((l) => (l === a ? b : l === b ? a : l))
}
