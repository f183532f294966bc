import { copy as first, written } from '../copy'
import { isMetric, language } from '../ui/units'
import { enMore } from './enMore'

const words = language === 'es' ? (await import('./esMore')).esMore : enMore

const more = isMetric ? words : written(words)

/** copy is all words of the page, for what is fetched when it is opened. */
export const copy = {
  ...first,
  ...more,
  app: { ...first.app, ...more.app },
  bench: { ...first.bench, ...more.bench },
  ui: { ...first.ui, ...more.ui },
}
