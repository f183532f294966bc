import { copy } from '../copy'
import { inUnits, isMetric, language, locale } from './units'

/** Writing figures and dates. Nothing here reckons: it only rounds for the eye. */

/** kept makes each of what it makes once: a format takes longer to make than to use a hundred times. */
function kept<Of extends unknown[], Made>(make: (...of: Of) => Made) {
  const all = new Map<string, Made>()
  const get = (...of: Of): Made => {
    const key = JSON.stringify(of)
    const known = all.get(key)
    if (known !== undefined) return known
    const made = make(...of)
    all.set(key, made)
    return made
  }
  return { get, forget: () => all.clear() }
}

const numbers = kept((options: Intl.NumberFormatOptions, of: string | undefined) => new Intl.NumberFormat(of, options))
const number = (most: number, least = 0) =>
  numbers.get({ maximumFractionDigits: most, minimumFractionDigits: least }, locale)

/** plain is number as inUnits reads it. */
const plain = (most: number) =>
  isMetric ? number(most) : numbers.get({ maximumFractionDigits: most }, language === 'es' ? 'es-ES' : 'en-GB')

const figures = (most: number) => numbers.get({ maximumSignificantDigits: most }, locale)

/** inWords joins what is listed: "a, b and c". */
export function inWords(all: string[]): string {
  if (all.length < 2) return all.join('')
  return copy.ui.and(all.slice(0, -1).join(', '), all[all.length - 1] ?? '')
}

export const toWhole = (v: number) => number(0).format(v)
export const toTenth = (v: number) => number(1, 1).format(v)
export const toThreeFigures = (v: number) => figures(3).format(v)
export const toTwoFigures = (v: number) => figures(2).format(v)

/** toMillilitres writes 733 mL, and 1.5 L from a litre on. */
export function toMillilitres(ml: number): string {
  return inUnits(ml >= 1000 ? `${plain(2).format(ml / 1000)} L` : `${plain(0).format(ml)} mL`)
}

/** toRange writes 690 to 765 mL, and 1.38 to 1.53 L. */
export function toRange(lowML: number, highML: number): string {
  const [times, decimals, unit] = highML < 1000 ? [1, 0, 'mL'] : [0.001, 2, 'L']
  const write = (ml: number) => plain(decimals).format(ml * times)
  return inUnits(copy.ui.range(write(lowML), `${write(highML)} ${unit}`))
}

/** toGrams writes small masses to a tenth of a gram, tiny ones to a hundredth. */
export function toGrams(g: number): string {
  if (g >= 1000) return `${number(2).format(g / 1000)} kg`
  return `${number(g < 1 ? 2 : g < 20 ? 1 : 0).format(g)} g`
}

/** toMoney writes an amount in the kitchen's currency. */
export function toMoney(v: number, currency: string): string {
  try {
    return numbers.get({ style: 'currency', currency }, locale).format(v)
  } catch {
    return `${number(2, 2).format(v)} ${currency}` // a currency the browser does not know
  }
}

/** toFixed writes a figure to as many decimals as a scale reads to. */
export const toFixed = (v: number, decimals: number) => number(decimals, decimals).format(v)

/** zone is the kitchen's time zone; the browser's while it is not known. */
let zone: string | undefined

const clocks = kept(
  (options: Intl.DateTimeFormatOptions, of: string | undefined, inZone: boolean) =>
    new Intl.DateTimeFormat(of, inZone ? { ...options, timeZone: zone } : options),
)

/** setZone has all times written by the clock of a time zone. */
export function setZone(timeZone: string | undefined) {
  if ((timeZone || undefined) === zone) return
  zone = timeZone || undefined
  clocks.forget()
}

const format = (options: Intl.DateTimeFormatOptions, inZone = true) => clocks.get(options, locale, inZone)

const day = { weekday: 'short', day: 'numeric' } as const
const dayAndMonth = { weekday: 'short', day: 'numeric', month: 'short' } as const

const asDate = (iso: string) => new Date(`${iso}T12:00:00`)

export const toDay = (iso: string) => format(day, false).format(asDate(iso))
export const toDayAndMonth = (iso: string) => format(dayAndMonth, false).format(asDate(iso))
export const toMonth = (iso: string) => format({ day: 'numeric', month: 'short' }).format(new Date(iso))

/** toClock writes 20:30. */
export const toClock = (iso: string | Date) => format({ hour: '2-digit', minute: '2-digit' }).format(new Date(iso))

/** toWeekday writes Saturday. */
export const toWeekday = (iso: string | Date) => format({ weekday: 'long' }).format(new Date(iso))

/** toDayAndClock writes Sat 28, 09:00. */
export const toDayAndClock = (iso: string | Date) => `${format(day).format(new Date(iso))}, ${toClock(iso)}`

/** hoursFromMidnight are those on the kitchen's clock at a moment, with minutes as their part. */
export function hoursFromMidnight(at: Date): number {
  const clock = clocks.get({ hour: '2-digit', minute: '2-digit' }, 'en-GB', true).format(at)
  const [h = 0, m = 0] = clock.split(':').map(Number)
  return h + m / 60
}

/** toCountdown writes 0:45, 12:05, and 7:30:00 from an hour on. */
export function toCountdown(seconds: number): string {
  const two = (v: number) => String(v).padStart(2, '0')
  const [h, m, s] = [Math.floor(seconds / 3600), Math.floor((seconds % 3600) / 60), seconds % 60]
  return h > 0 ? `${h}:${two(m)}:${two(s)}` : `${m}:${two(s)}`
}

/** toMinutes writes 35 min, and 2 h 05. */
export function toMinutes(minutes: number): string {
  if (minutes < 60) return `${minutes} min`
  return `${Math.floor(minutes / 60)} h ${String(minutes % 60).padStart(2, '0')}`
}
