import { expect, test } from 'vitest'
import { type Limit, numberOf, type Reading, wrongWith } from './limit'

const grams: Limit = { type: 'number', minimum: 0.5, maximum: 5000 }

test.each<[typed: string, limit: Limit, reading: Reading, right: boolean]>([
  ['0.5', grams, { unit: 'g' }, true],
  ['0.49', grams, { unit: 'g' }, false],
  ['5000', grams, { unit: 'g' }, true],
  ['5001', grams, { unit: 'g' }, false],
  ['5 kg', grams, { unit: 'g' }, true],
  ['lots', grams, { unit: 'g' }, false],
  ['0', { type: 'number', exclusiveMinimum: 0, maximum: 9 }, {}, false],
  ['0.1', { type: 'number', exclusiveMinimum: 0, maximum: 9 }, {}, true],
  ['', grams, { optional: true }, true],
  ['', { minLength: 1 }, {}, false],
  ['', {}, {}, true],
  ['abc', { maxLength: 3 }, {}, true],
  ['abcd', { maxLength: 3 }, {}, false],
  ['GBP', { pattern: '^[A-Z]{3}$' }, {}, true],
  ['pounds', { pattern: '^[A-Z]{3}$' }, {}, false],
  ['3', {}, { number: true }, true],
  ['x', {}, { number: true }, false],
])('%j by %j, %j', (typed, limit, reading, right) => {
  expect(wrongWith(typed, limit, reading) === undefined).toBe(right)
})

test('what is wrong says what works', () => {
  expect(wrongWith('6 kg', grams, { unit: 'g' })).toContain('0.5')
  expect(wrongWith('6 kg', grams, { unit: 'g' })).toContain('5,000')
  expect(wrongWith('x', { minimum: 2, type: 'integer' }, {})).not.toContain('NaN')
  expect(wrongWith('1', { minimum: 2, type: 'integer' }, {})).toContain('2')
  expect(wrongWith('x', { pattern: '^y$' }, { says: 'use y' })).toBe('use y')
  expect(wrongWith('9 kg', grams, { unit: 'g', optional: true })).toMatch(/empty/)
})

test('a number is read with its unit, and nothing is nothing', () => {
  expect([numberOf(''), numberOf(' '), numberOf('1.5 kg', 'g'), numberOf('2')]).toEqual([undefined, undefined, 1500, 2])
  expect(numberOf('two', 'g')).toBeNaN()
})
