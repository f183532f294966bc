import type { Label, OwnRow, PantryRow } from '../../api/schema'
import { copy } from '../../copy/more'
import { numberOf } from '../../ui/limit'

export const labelFields: { field: keyof Label; name: string; unit: string }[] = [
  { field: 'proteinG', name: copy.pantry.protein, unit: 'g' },
  { field: 'fatG', name: copy.pantry.fat, unit: 'g' },
  { field: 'saturatedFatG', name: copy.pantry.saturatedFat, unit: 'g' },
  { field: 'carbohydrateG', name: copy.pantry.carbohydrate, unit: 'g' },
  { field: 'sugarsG', name: copy.pantry.sugars, unit: 'g' },
  { field: 'fibreG', name: copy.pantry.fibre, unit: 'g' },
  { field: 'sodiumMg', name: copy.pantry.sodium, unit: 'mg' },
]

/** What is typed of a label's figures. */
type TypedLabel = Record<keyof Label, string>

const textOf = (v?: number) => (v === undefined ? '' : String(v))

/** typedLabel is a label as a form holds it. */
export const typedLabel = (label?: Label) =>
  Object.fromEntries(labelFields.map(({ field }) => [field, textOf(label?.[field])])) as TypedLabel

/** typedOf is a row as its form holds it; its allergens are looked up by their codes, and undefined until one is changed. */
export const typedOf = (row?: PantryRow) => ({
  ...typedLabel(row?.own?.label),
  name: row?.name ?? '',
  role: row?.own?.role ?? ('sweetener' as OwnRow['role']),
  vegan: row?.vegan ?? true,
  allergens: undefined as string[] | undefined,
  gPerCup: textOf(row?.own?.gPerCup),
  pieceG: textOf(row?.own?.pieceG),
  lifeDays: textOf(row?.own?.lifeDays),
})

/** labelOf is the label that was typed; undefined where none of it was. */
export function labelOf(typed: TypedLabel): Label | undefined {
  if (labelFields.every(({ field }) => typed[field].trim() === '')) return undefined
  const figures = labelFields.map(({ field, unit }) => [field, numberOf(typed[field], unit) ?? 0])
  return Object.fromEntries(figures) as Label
}
