import type { Chart, BatchLine as Line } from '../../api/schema'
import { copy } from '../../copy/more'
import { toMillilitres, toMoney, toTenth, toWhole } from '../../ui/format'

/** toFigure writes a value of a chart in its own unit. */
export function toFigure(figure: Chart['figure'], v: number, currency: string): string {
  switch (figure) {
    case 'yield':
      return toMillilitres(v)
    case 'stars':
      return copy.notes.starsOfFive(toTenth(v))
    case 'cost':
      return copy.notes.perL(toMoney(v, currency))
    case 'sweetness':
      return copy.notes.gramsIn100(toTenth(v))
    case 'made':
    case 'drunk':
    case 'thrown':
      return toMillilitres(v)
    case 'saved':
      return toMoney(v, currency)
    case 'waste':
      return copy.notes.percent(toWhole(v))
  }
}

/** toStars writes 4.5 as ★★★★½; empty where none were given. */
export const toStars = (stars: number) => '★'.repeat(Math.floor(stars)) + (stars % 1 >= 0.5 ? '½' : '')

/** yieldWords is what a batch gave beside its forecast. */
export const yieldWords = (b: Line) =>
  b.measuredML === undefined
    ? copy.notes.about(toMillilitres(b.forecastML))
    : copy.notes.yieldOf(toMillilitres(b.measuredML), toMillilitres(b.forecastML))

/** tasteWords is how a batch tasted, in a line. */
export const tasteWords = (b: Line) =>
  [...b.flags.map((f) => copy.notes.flags[f] ?? f), b.words].filter(Boolean).join(', ')
