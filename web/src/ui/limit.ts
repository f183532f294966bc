import { copy } from '../copy/more'
import { accepts, asMeasure } from './number'
import { locale, shownUnit, toShown } from './units'

/** What the server's document says that a field accepts. */
export type Limit = {
  readonly type?: string
  readonly minimum?: number
  readonly exclusiveMinimum?: number
  readonly maximum?: number
  readonly minLength?: number
  readonly maxLength?: number
  readonly pattern?: string
}

/** How a field is read: the unit a bare number is in, and whether it may be left empty. */
export type Reading = { unit?: string; optional?: boolean; number?: boolean; says?: string }

const grouped = new Intl.NumberFormat(locale, { maximumFractionDigits: 3 })

/** numberOf is a typed number in the field's unit; undefined for an empty field, NaN for what is no number. */
export const numberOf = (typed: string, unit?: string): number | undefined =>
  typed.trim() === '' ? undefined : asMeasure(typed, unit)

/** wrongWith says what is wrong with what is typed, and what works; undefined where nothing is. */
export function wrongWith(typed: string, limit: Limit = {}, reading: Reading = {}): string | undefined {
  if (typed.trim() === '') return reading.optional || !limit.minLength ? undefined : copy.ui.enterSomething
  if (limit.type === 'number' || limit.type === 'integer' || reading.number) return numberWrong(typed, limit, reading)
  const fits = new RegExp(limit.pattern ?? '').test(typed) && typed.length <= (limit.maxLength ?? typed.length)
  return fits ? undefined : (reading.says ?? copy.ui.atMostCharacters(limit.maxLength ?? 0))
}

function numberWrong(typed: string, limit: Limit, { unit, optional, says }: Reading): string | undefined {
  const value = asMeasure(typed, unit)
  const least = limit.minimum ?? limit.exclusiveMinimum
  const fits =
    value >= (least ?? Number.NEGATIVE_INFINITY) &&
    value <= (limit.maximum ?? Number.POSITIVE_INFINITY) &&
    value !== limit.exclusiveMinimum
  if (fits) return undefined
  const ranged = !Number.isNaN(value) && least !== undefined && limit.maximum !== undefined
  const shown = (v: number) => grouped.format(toShown(v, unit))
  const atLeast =
    limit.minimum === undefined || Number.isNaN(value) ? '' : copy.ui.itMustBeAtLeast(shown(limit.minimum))
  const works =
    says ??
    (ranged
      ? copy.ui.between(shown(least), shown(limit.maximum ?? 0), shownUnit(unit) ?? '')
      : `${accepts(unit)}${atLeast}`)
  return optional ? copy.ui.orLeaveItEmpty(works) : works
}
