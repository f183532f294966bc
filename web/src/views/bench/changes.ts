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

const isMoveOf = (c: StepChange, s: ProcessStep) => isAt(c, s, 'move-before')

/** isMoved tells whether the cook moved a step. */
export const isMoved = (changes: StepChange[], s: ProcessStep) => changes.some((c) => isMoveOf(c, s))

/** putBack lets a moved step stand where it comes by itself. */
export const putBack = (changes: StepChange[], s: ProcessStep) => changes.filter((c) => !isMoveOf(c, s))

/**
 * movedBefore puts a step before another of the steps as they are now. A step of the
 * cook's own hangs on the one it comes after, so it is hung on another.
 */
export function movedBefore(changes: StepChange[], steps: ProcessStep[], s: ProcessStep, place: number): StepChange[] {
  const to = steps[place]
  if (!to) return changes
  if (s.kind !== 'own') {
    const before = { kind: to.code, n: to.n }
    return [...putBack(changes, s), { at: { kind: s.code, n: s.n }, do: 'move-before', to: before }]
  }
  const after = steps.slice(0, place).findLast((other) => other !== s && other.kind !== 'own')
  if (!after) return changes
  const at = { kind: after.code, n: after.n }
  return changes.map((c) => (c.do === 'add-after' && c.cue === s.title ? { ...c, at } : c))
}
