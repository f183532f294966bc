import { afterEach, expect, test } from 'vitest'
import {
  hoursFromMidnight,
  inWords,
  setZone,
  toClock,
  toCountdown,
  toDay,
  toDayAndClock,
  toDayAndMonth,
  toFixed,
  toGrams,
  toMillilitres,
  toMinutes,
  toMoney,
  toMonth,
  toRange,
  toTenth,
  toThreeFigures,
  toTwoFigures,
  toWeekday,
  toWhole,
} from './format'

afterEach(() => setZone(undefined))

test.each([
  [0, '0 mL'],
  [733.4, '733 mL'],
  [999.4, '999 mL'],
  [1000, '1 L'],
  [1500, '1.5 L'],
  [1234, '1.23 L'],
])('%f mL is %s', (ml, words) => expect(toMillilitres(ml)).toBe(words))

test.each([
  [690, 765, '690 to 765 mL'],
  [900, 999, '900 to 999 mL'],
  [900, 1000, '0.9 to 1 L'],
  [1380, 1530, '1.38 to 1.53 L'],
])('%f and %f are one range in one unit', (low, high, words) => expect(toRange(low, high)).toBe(words))

test.each([
  [0.754, '0.75 g'],
  [0.999, '1 g'],
  [1.26, '1.3 g'],
  [19.94, '19.9 g'],
  [20.4, '20 g'],
  [999, '999 g'],
  [1000, '1 kg'],
  [1255, '1.26 kg'],
])('%f g is %s', (g, words) => expect(toGrams(g)).toBe(words))

test('figures are rounded for the eye', () => {
  expect([toWhole(1234.5), toTenth(2), toThreeFigures(0.012345), toTwoFigures(1.26), toFixed(2, 2)]).toEqual([
    '1,235',
    '2.0',
    '0.0123',
    '1.3',
    '2.00',
  ])
})

test('money is in its currency, also in one that nobody knows', () => {
  expect(toMoney(1.5, 'GBP')).toBe('£1.50')
  expect(toMoney(1234.5, 'EUR')).toBe('€1,234.50')
  expect(toMoney(1.5, 'beans')).toBe('1.50 beans')
})

test('times go by the kitchen’s clock, dates by the calendar', () => {
  setZone('Asia/Tokyo')
  expect(toClock('2026-11-28T20:30:00Z')).toBe('05:30')
  expect(toDayAndClock('2026-11-28T20:30:00Z')).toBe('Sun 29, 05:30')
  expect(toWeekday('2026-11-28T20:30:00Z')).toBe('Sunday')
  expect(toMonth('2026-11-28T20:30:00Z')).toBe('29 Nov')
  expect(hoursFromMidnight(new Date('2026-11-28T20:30:00Z'))).toBe(5.5)
  expect([toDay('2026-11-28'), toDayAndMonth('2026-11-28')]).toEqual(['Sat 28', 'Sat 28 Nov'])
  setZone('Europe/London')
  expect(toClock('2026-11-28T20:30:00Z')).toBe('20:30')
})

test.each([
  [0, '0:00'],
  [45, '0:45'],
  [725, '12:05'],
  [3599, '59:59'],
  [3600, '1:00:00'],
  [27_005, '7:30:05'],
])('%i s count down as %s', (s, words) => expect(toCountdown(s)).toBe(words))

test.each([
  [35, '35 min'],
  [60, '1 h 00'],
  [125, '2 h 05'],
])('%i minutes are %s', (m, words) => expect(toMinutes(m)).toBe(words))

test('what is listed is joined as it is said', () => {
  expect([inWords([]), inWords(['a']), inWords(['a', 'b']), inWords(['a', 'b', 'c'])]).toEqual([
    '',
    'a',
    'a and b',
    'a, b and c',
  ])
})
