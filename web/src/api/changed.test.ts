import { describe, expect, it } from 'vitest'
import { withChanged } from './changed'

describe('withChanged', () => {
  const was = {
    name: 'Porch milk',
    soak: { hours: 8 },
    lines: [{ g: 1, note: '' }, { g: 2 }],
    days: [1, 2],
    fat: { pct: 2 },
  }

  it.each([
    ['nothing', {}, was],
    ['a field', { name: 'Barn milk' }, { ...was, name: 'Barn milk' }],
    ['a place of a list', { lines: { 1: { g: 3 } } }, { ...was, lines: [{ g: 1, note: '' }, { g: 3 }] }],
    ['a place of a list of figures', { days: { 0: 4 } }, { ...was, days: [4, 2] }],
    ['a list of another length', { lines: [{ g: 5 }] }, { ...was, lines: [{ g: 5 }] }],
    ['a list with nothing left', { lines: [] }, { ...was, lines: [] }],
    ['a field that is gone', { soak: null }, { name: was.name, lines: was.lines, days: was.days, fat: was.fat }],
    ['a field that was not there', { raw: { kept: true } }, { ...was, raw: { kept: true } }],
    ['a figure that is nothing now', { fat: { pct: 0 } }, { ...was, fat: { pct: 0 } }],
  ])('puts in %s', (_, change, now) => {
    expect(withChanged(was, change)).toEqual(now)
  })
  it('leaves the rest the same object, and what it was as it was', () => {
    const now = withChanged(was, { lines: { 1: { g: 3 } } }) as typeof was
    expect(now.lines[0]).toBe(was.lines[0])
    expect(now.soak).toBe(was.soak)
    expect(was.lines[1]?.g).toBe(2)
  })
})
