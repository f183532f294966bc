import { describe, expect, it } from 'vitest'
import type { ProcessStep } from '../../api/schema'
import { isMoved, movedBefore, putBack, setAt, withoutOwn, withSet, withStepAfter } from './changes'

const step = (code: string, n = 1): ProcessStep => ({
  kind: code,
  code,
  n,
  title: '',
  text: '',
  cue: '',
  wait: false,
  minutes: 0,
  canSkip: false,
  moveTo: [],
})

describe('changes to the process', () => {
  it('keeps one change a step, and the other things set at it', () => {
    const seconds = withSet([], step('grind'), { params: { seconds: 45 } })
    const both = withSet(seconds, step('grind'), { cue: 'until it hums' })
    expect(both).toEqual([{ at: { kind: 'grind', n: 1 }, do: 'set', cue: 'until it hums', params: { seconds: 45 } }])
    expect(setAt(both, step('grind', 2))).toBeUndefined()
  })
  it('takes a change back that sets nothing any more', () => {
    const set = withSet([], step('soak'), { params: { hours: 9 } })
    expect(withSet(set, step('soak'), { params: { hours: undefined } })).toEqual([])
  })
  it('adds steps and takes them away by their words', () => {
    const added = withStepAfter([], step('strain'), 'rest it', { minutes: 5 })
    expect(withoutOwn(added, 'another')).toHaveLength(1)
    expect(withoutOwn(added, 'rest it')).toHaveLength(0)
  })
  it('moves a step once, and puts it back', () => {
    const taste = step('taste')
    const steps = [step('soak'), step('grind'), step('strain'), taste]
    const once = movedBefore([], steps, taste, 2)
    const twice = movedBefore(once, steps, taste, 1)
    expect(twice).toEqual([{ at: { kind: 'taste', n: 1 }, do: 'move-before', to: { kind: 'grind', n: 1 } }])
    expect(isMoved(twice, taste)).toBe(true)
    expect(putBack(twice, taste)).toEqual([])
  })
  it('hangs a step of the cook’s own on the one before its new place', () => {
    const own = { ...step('own'), title: 'rest it' }
    const strain = step('strain')
    const steps = [step('soak'), step('grind'), strain, own]
    const added = withStepAfter([], strain, 'rest it', {})
    expect(movedBefore(added, steps, own, 2)[0]?.at).toEqual({ kind: 'grind', n: 1 })
  })
})
