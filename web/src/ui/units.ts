/** The language and units of the kitchen, as the server wrote them on the page. */
const page: DOMStringMap = typeof document === 'undefined' ? {} : document.documentElement.dataset

export const language = (typeof document === 'undefined' ? '' : document.documentElement.lang) || 'en'

/** locale is how dates, clock and numbers are written. */
export const locale = page.locale || (language === 'es' ? 'es-ES' : 'en-GB')

export type Units = { temperature: string; volumes: string }

export const kitchenUnits: Units = { temperature: page.temperature || 'c', volumes: page.volumes || 'metric' }

export const isMetric = kitchenUnits.temperature === 'c' && kitchenUnits.volumes === 'metric'

/** Fluid ounces in mL: US customary (NIST SP 811), imperial (Weights and Measures Act 1985). */
const ounceML: Record<string, number> = { us: 29.5735295625, imperial: 28.4130625 }

/** shownUnit is the unit that a field or a figure of a unit is shown in. */
export function shownUnit(unit: string | undefined, u = kitchenUnits): string | undefined {
  if (unit === '°C' && u.temperature === 'f') return '°F'
  if (unit === 'mL' && ounceML[u.volumes]) return 'fl oz'
  return unit
}

/** toShown is a figure of a unit in the unit it is shown in, rounded as one reads it. */
export function toShown(v: number, unit: string | undefined, u = kitchenUnits): number {
  const as = shownUnit(unit, u)
  if (as === '°F') return Math.round((v * 1.8 + 32) * 10) / 10
  if (as === 'fl oz') return Math.round((v / (ounceML[u.volumes] ?? 1)) * 10) / 10
  return v
}

/** fromShown is a figure as it was typed, in the unit it is kept in. */
export function fromShown(v: number, unit: string | undefined, u = kitchenUnits): number {
  const as = shownUnit(unit, u)
  if (as === '°F') return Math.round(((v - 32) / 1.8) * 10) / 10
  if (as === 'fl oz') return v * (ounceML[u.volumes] ?? 1)
  return v
}

/** A figure with its unit, and the one before it where the two are a range or a change. */
const measured =
  /(?:([−-]?\d[\d,.]*)( to | and | – |–| instead of | y | a | en lugar de ))?([−-]?\d[\d,.]*) (°C|mL|L)(?![\p{L}])/gu

/** inUnits writes the figures of a sentence in the kitchen's units. What labels go by, per 100 mL, stays. The same rules and table of tests as the server's. */
export function inUnits(sentence: string, u = kitchenUnits): string {
  if (u.temperature === 'c' && u.volumes === 'metric') return sentence
  return sentence.replace(measured, (found, first, joint, second, unit) => {
    const as = shownUnit(unit === 'L' ? 'mL' : unit, u)
    if (as === 'mL' || as === '°C' || (unit === 'mL' && second === '100')) return found
    const one = (written: string) => converted(written, unit, u)
    return `${first ? one(first) + joint : ''}${one(second)} ${as}`
  })
}

/** A figure as the language writes it: 1,500.5, or 1.500,5. */
const plain = (written: string) =>
  language === 'es' ? written.replaceAll('.', '').replace(',', '.') : written.replaceAll(',', '')
const decimal = (figure: string) => (language === 'es' ? figure.replace('.', ',') : figure)

function converted(written: string, unit: string, u: Units): string {
  const v = Number(plain(written).replace('−', '-'))
  if (Number.isNaN(v)) return written
  if (unit === '°C') return decimal((v * 1.8 + 32).toFixed(Number.isInteger(v) ? 0 : 1)).replace('-', '−')
  const ounces = (unit === 'L' ? v * 1000 : v) / (ounceML[u.volumes] ?? 1)
  return decimal(String(ounces < 10 ? Math.round(ounces * 10) / 10 : Math.round(ounces)))
}
