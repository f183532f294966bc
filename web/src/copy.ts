import { en } from './copy/en'
import { inUnits, isMetric, language } from './ui/units'

/** written has every sentence write its figures in the kitchen's units. */
export function written<T>(words: T): T {
  if (typeof words === 'string') return inUnits(words) as T
  if (typeof words === 'function') return ((...said: unknown[]) => written(words(...said))) as T
  if (Array.isArray(words)) return words.map(written) as T
  if (words === null || typeof words !== 'object') return words
  return Object.fromEntries(Object.entries(words).map(([name, of]) => [name, written(of)])) as T
}

const words = language === 'es' ? (await import('./copy/es')).es : en

/** copy is the words of the first view in the kitchen's language and units. Both are on the page before any of it runs; another choice loads it anew. */
export const copy: typeof en = isMetric ? words : written(words)
