import { expect, test } from 'vitest'
import { doneOf } from './undo'

test.each([
  ['DELETE', '/api/drinks/3', 'Drink deleted.'],
  ['POST', '/api/bottles/12/throw-out', 'Bottle thrown away.'],
  ['POST', '/api/plan/items/2/done', 'Step marked done.'],
])('%s %s can be taken back', (method, path, words) => expect(doneOf(method, path)?.words).toBe(words))

test('what is undone where it stands is not offered again', () => {
  expect(doneOf('POST', '/api/plan/items/2/done', '/cook/2')).toBeUndefined()
  expect(doneOf('POST', '/api/bottles/12/pours')).toBeUndefined()
  expect(doneOf('GET', '/api/drinks/3')).toBeUndefined()
})
