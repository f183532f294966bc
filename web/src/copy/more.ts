import { copy as first, written } from '../copy'
import { isMetric, language } from '../ui/units'
import { enMore } from './enMore'

const words = language === 'es' ? (await import('./esMore')).esMore : enMore

/** copy is all words of the page, for what is fetched when it is opened. */
export const copy: typeof first & typeof enMore = { ...first, ...(isMetric ? words : written(words)) }
