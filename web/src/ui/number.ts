import { copy } from '../copy'
import { fromShown, inUnits } from './units'

/** Reading numbers as they are typed. The same rules, and the same table of tests, as the core's. */

const vulgar: Record<string, number> = {
  '⅛': 1 / 8,
  '¼': 1 / 4,
  '⅓': 1 / 3,
  '⅜': 3 / 8,
  '½': 1 / 2,
  '⅝': 5 / 8,
  '⅔': 2 / 3,
  '¾': 3 / 4,
  '⅞': 7 / 8,
  '⅙': 1 / 6,
  '⅚': 5 / 6,
  '⅕': 1 / 5,
  '⅖': 2 / 5,
  '⅗': 3 / 5,
  '⅘': 4 / 5,
} // prettier-ignore

/** parted tells whether a whole number is parted by a mark in groups of three. */
const parted = (text: string, mark: string) =>
  text
    .split(mark)
    .every((g, n, all) => /^\d+$/.test(g) && (n === 0 ? all.length === 1 || g.length <= 3 : g.length === 3))

/** plain is a decimal number with a point and nothing between thousands; undefined for none. */
function plain(text: string): string | undefined {
  const bare = ["'", '’', ' ', '\u00a0', '\u202f', '\u2009'].reduce(
    (t, mark) => (parted(t.split(/[.,]/)[0] ?? '', mark) ? t.replaceAll(mark, '') : t),
    text,
  )
  const commas = bare.split(',').length - 1
  const points = bare.split('.').length - 1
  if (commas > 0 && points > 0) {
    const decimal = bare.lastIndexOf(',') > bare.lastIndexOf('.') ? ',' : '.'
    const thousands = decimal === ',' ? '.' : ','
    const [whole = '', rest = '', more] = bare.split(decimal)
    return more === undefined && parted(whole, thousands) && !rest.includes(thousands)
      ? `${whole.replaceAll(thousands, '')}.${rest}`
      : undefined
  }
  if (commas > 1) return parted(bare, ',') ? bare.replaceAll(',', '') : undefined
  if (points > 1) return parted(bare, '.') ? bare.replaceAll('.', '') : undefined
  if (commas === 1 && parted(bare, ',') && !bare.startsWith('0')) return bare.replace(',', '')
  return bare.replace(',', '.')
}

/** asNumber reads "1.5", "1,5", "1,200", "0,250", "1 1/2" or "½"; NaN for anything else. */
export function asNumber(typed: string): number {
  const text = typed.trim()
  const mixed = /^(?:(\d+)(?:\s+|-)?)?(?:(\d+)\/(\d+)|([⅛¼⅓⅜½⅝⅔¾⅞⅙⅚⅕⅖⅗⅘]))$/u.exec(text)
  if (mixed) {
    const [, whole, top, bottom, sign] = mixed
    return Number(whole ?? 0) + (sign ? (vulgar[sign] ?? 0) : Number(top) / Number(bottom))
  }
  const number = plain(text.replace(/[.,]$/, ''))
  return number !== undefined && /^-?(\d+\.?\d*|\.\d+)$/.test(number) ? Number(number) : Number.NaN
}

/** What one of each unit is in the unit of a field. */
const units: Record<string, Record<string, number>> = {
  mL: {
    ml: 1,
    mls: 1,
    cl: 10,
    dl: 100,
    l: 1000,
    lt: 1000,
    ltr: 1000,
    litre: 1000,
    litres: 1000,
    liter: 1000,
    liters: 1000,
    millilitres: 1,
    'fl oz': 29.5735295625,
  },
  g: { g: 1, gram: 1, grams: 1, gm: 1, kg: 1000, kilo: 1000, kilos: 1000, mg: 0.001, oz: 28.349523125, lb: 453.59237 },
  kg: { kg: 1, kilo: 1, kilos: 1, g: 0.001, lb: 0.45359237, st: 6.35029318 },
  min: {
    min: 1,
    mins: 1,
    minute: 1,
    minutes: 1,
    m: 1,
    h: 60,
    hr: 60,
    hour: 60,
    hours: 60,
    s: 1 / 60,
    sec: 1 / 60,
    seconds: 1 / 60,
  },
  h: { h: 1, hour: 1, hours: 1, min: 1 / 60, days: 24, day: 24 },
  s: { s: 1, sec: 1, secs: 1, second: 1, seconds: 1, min: 60, mins: 60, minute: 60, minutes: 60 },
  cm: { cm: 1, mm: 0.1, m: 100, in: 2.54, inch: 2.54, inches: 2.54 },
  days: { day: 1, days: 1, d: 1, week: 7, weeks: 7 },
  '°C': { '°c': 1, c: 1 },
  servings: { serving: 1, servings: 1 },
  mg: { mg: 1, g: 1000 },
} // prettier-ignore

/** asMeasure reads a number with or without a unit, in the unit of the field: "2 L" is 2000 in mL. A bare number is in the unit the field shows. NaN for what is none. */
export function asMeasure(typed: string, unit?: string): number {
  const bare = asNumber(typed)
  const [, number, written] = /^(.*?)\s*(°?\p{L}+(?: oz)?)\.?$/u.exec(typed.trim()) ?? []
  if (!unit || !number || !written) return fromShown(bare, unit)
  if (unit === '°C' && /^°?f$/i.test(written)) return Math.round(((asNumber(number) - 32) / 1.8) * 10) / 10
  const times = units[unit]?.[written.toLowerCase()]
  return times === undefined ? Number.NaN : asNumber(number) * times
}

/** accepts says what a field of a unit takes. */
export function accepts(unit?: string): string {
  const example: Record<string, string> = {
    mL: copy.ui.n15LOr750,
    g: copy.ui.n250GOr12,
    kg: copy.ui.n70Kg,
    min: copy.ui.n10MinOr1H,
    s: copy.ui.n90SOr2Min,
    h: '12 h',
    cm: copy.ui.n20Cm,
    '°C': '4 °C',
  } // prettier-ignore
  return unit && example[unit] ? copy.ui.enterItLikeThis(inUnits(example[unit])) : copy.ui.enterANumberSuchAs
}
