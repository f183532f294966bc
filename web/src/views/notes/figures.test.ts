import { expect, test } from 'vitest'
import { tasteWords, toStars, yieldWords } from './figures'

test.each([
  [4.5, '★★★★½'],
  [3, '★★★'],
  [3.4, '★★★'],
  [0, ''],
])('%s stars', (stars, words) => expect(toStars(stars)).toBe(words))

const batch = { forecastML: 727, measuredML: 691, flags: ['gritty'], words: 'nutty' }

test('a batch in a line', () => {
  expect(yieldWords(batch as never)).toBe('691 mL of 727 mL')
  expect(yieldWords({ forecastML: 727 } as never)).toBe('about 727 mL')
  expect(tasteWords(batch as never)).toBe('gritty, nutty')
})
