import { expect, test } from 'vitest'
import numbers from '../../../core/quantity/testdata/numbers.json'
import { asMeasure, asNumber } from './number'

const table = numbers as [string, number | null][]

test.each(table)('%j is read as the core reads it', (typed, want) => {
  if (want === null) expect(asNumber(typed)).toBeNaN()
  else expect(asNumber(typed)).toBeCloseTo(want, 9)
})

test.each([
  ['2 L', 'mL', 2000],
  ['1,5 l', 'mL', 1500],
  ['750ml', 'mL', 750],
  ['1,200', 'mL', 1200],
  ['1.2 kg', 'g', 1200],
  ['2 min', 's', 120],
  ['90', 's', 90],
  ['1 h', 'min', 60],
  ['4,8 °C', '°C', 4.8],
  ['39.2 F', '°C', 4],
  ['8 in', 'cm', 20.32],
  ['½ L', 'mL', 500],
  ['3', undefined, 3],
] as const)('%s in a field of %s', (typed, unit, want) => expect(asMeasure(typed, unit)).toBeCloseTo(want, 9)) // prettier-ignore

test.each([
  ['2 cups', 'mL'],
  ['abc', 'mL'],
  ['3 kg', 'mL'],
  ['', 'g'],
])('%s is none in %s', (typed, unit) => expect(asMeasure(typed, unit)).toBeNaN())
