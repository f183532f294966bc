import { describe, expect, it } from 'vitest'
import type { ProcessStep } from '../../api/schema'
import { setAt, withoutOwn, withSet, withStepAfter } from './changes'

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
})
