import type { ProcessStep, StepChange } from '../../api/schema'

const isAt = (c: StepChange, s: ProcessStep, what: StepChange['do']) =>
  c.do === what && c.at.kind === s.code && (c.at.n || 1) === s.n

/** setAt is what the cook set at a step already. */
export const setAt = (changes: StepChange[], s: ProcessStep) => changes.find((c) => isAt(c, s, 'set'))

/** withSet is the changes with what is set at a step; a param that is undefined is taken back, and so is a change that sets nothing. */
export function withSet(
  changes: StepChange[],
  s: ProcessStep,
  to: { cue?: string; params?: Record<string, number | undefined> },
): StepChange[] {
  const was = setAt(changes, s)
  const params: Record<string, number> = {}
  for (const [name, value] of Object.entries({ ...was?.params, ...to.params })) {
    if (value !== undefined) params[name] = value
  }
  const cue = to.cue ?? was?.cue ?? ''
  const others = changes.filter((c) => c !== was)
  if (cue.trim() === '' && Object.keys(params).length === 0) return others
  return [...others, { at: { kind: s.code, n: s.n }, do: 'set', cue, params }]
}

/** without leaves a step out. */
export const without = (changes: StepChange[], s: ProcessStep): StepChange[] => [
  ...changes,
  { at: { kind: s.code, n: s.n }, do: 'remove' },
]

/** withStepAfter adds a step of the cook's own. */
export const withStepAfter = (
  changes: StepChange[],
  s: ProcessStep,
  cue: string,
  params: Record<string, number>,
): StepChange[] => [...changes, { at: { kind: s.code, n: s.n }, do: 'add-after', cue, params }]

/** withoutOwn takes a step of the cook's own away again, by its words. */
export const withoutOwn = (changes: StepChange[], words: string): StepChange[] =>
  changes.filter((c) => !(c.do === 'add-after' && c.cue === words))
