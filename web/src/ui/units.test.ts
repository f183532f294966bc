import { expect, test } from 'vitest'
import { fromShown, inUnits, shownUnit, toShown } from './units'

test.each([
  ['metric', 'c', '21 °C, and 500 mL', '21 °C, and 500 mL'],
  [
    'metric',
    'f',
    'from 57 °C to 21 °C within two hours, and to 5 °C',
    'from 135 °F to 70 °F within two hours, and to 41 °F',
  ],
  ['metric', 'f', '4.2 °C', '39.6 °F'],
  ['metric', 'f', 'Enter a temperature from −2 to 30 °C.', 'Enter a temperature from 28 to 86 °F.'],
  ['us', 'c', 'Likely between 690 and 765 mL.', 'Likely between 23 and 26 fl oz.'],
  ['us', 'c', '1.5 L', '51 fl oz'],
  ['imperial', 'c', '568 mL', '20 fl oz'],
  ['us', 'c', '4.4 g/100 mL', '4.4 g/100 mL'],
  ['us', 'f', '500 mL at 4 °C', '17 fl oz at 39 °F'],
])('volumes in %s and temperatures in %s: %s', (volumes, temperature, is, says) => {
  expect(inUnits(is, { volumes, temperature })).toBe(says)
})

test('what is typed in the unit shown comes back as what was meant', () => {
  const u = { volumes: 'us', temperature: 'f' }
  expect([shownUnit('°C', u), shownUnit('mL', u), shownUnit('g', u)]).toEqual(['°F', 'fl oz', 'g'])
  expect([toShown(4, '°C', u), fromShown(39.2, '°C', u)]).toEqual([39.2, 4])
  expect(toShown(1500, 'mL', u)).toBe(50.7)
  expect(fromShown(8, 'mL', u)).toBeCloseTo(236.59, 2) // a US cup
  expect(fromShown(8, 'g', u)).toBe(8)
})
