import { parseIngredient } from 'parse-ingredient'
import { expect, test } from 'vitest'
import amounts from '../../../core/reading/testdata/amounts.json'
import lines from '../../../core/reading/testdata/reference.json'

type Amount = { low: number; high: number; unit: string | null }
type Want = { line: string; category: string; amount?: Amount }
type Ours = { line: string; low: number; high: number; unit: string; packLow?: number; packUnit?: string }

const reference: Want[] = lines
const ours: Ours[] = amounts

/** Units go by many names; what is counted is counted, whatever a piece of it is called, and an ounce of water is a fluid one. Both are judged alike. */
const counted = [
  'piece',
  'stick',
  'pod',
  'bean',
  'can',
  'cone',
  'strand',
  'strip',
  'sachet',
  'carton',
  'jar',
  'thumb',
  'shot',
  'bag',
  'packet',
  '',
]
const names: Record<string, string> = {
  teaspoon: 'tsp',
  teaspoons: 'tsp',
  tablespoon: 'tbsp',
  tablespoons: 'tbsp',
  cups: 'cup',
  gram: 'g',
  kilogram: 'kg',
  milliliter: 'ml',
  liter: 'l',
  deciliter: 'dl',
  centiliter: 'cl',
  ounce: 'oz',
  fluidounce: 'oz',
  'fl oz': 'oz',
  floz: 'oz',
  pound: 'lb',
  pints: 'pint',
  pinches: 'pinch',
  dashes: 'dash',
  centimeter: 'cm',
  inches: 'inch',
  cent: 'cl',
}

const unitOf = (unit: string | null | undefined) => {
  const plain = (unit ?? '').toLowerCase()
  const named = names[plain] ?? plain
  return counted.includes(named) ? 'piece' : named
}

const near = (a: number, b: number) => Math.abs(a - b) <= 0.01 * Math.max(Math.abs(b), 0.01)

const isRight = (want: Amount, low: number, high: number, unit?: string | null) =>
  near(low, want.low) && near(high, want.high) && (want.unit === null || unitOf(unit) === unitOf(want.unit))

function theirs(want: Amount, line: string): boolean {
  const [read] = parseIngredient(line)
  if (!read?.quantity) return false
  return isRight(want, read.quantity, read.quantity2 ?? read.quantity, read.unitOfMeasureID ?? read.unitOfMeasure)
}

const mine = (want: Amount, read: Ours) =>
  isRight(want, read.low, read.high, read.unit) ||
  (read.packLow !== undefined && isRight(want, read.packLow, read.packLow, read.packUnit))

test('amounts and units are read better than by a general-purpose parser, in every category', () => {
  const table: Record<string, { lines: number; ours: number; theirs: number }> = {}
  reference.forEach((want, n) => {
    const read = ours[n]
    if (!want.amount || !read) return
    table[want.category] ??= { lines: 0, ours: 0, theirs: 0 }
    const row = table[want.category]
    if (!row) return
    row.lines++
    if (mine(want.amount, read)) row.ours++
    if (theirs(want.amount, want.line)) row.theirs++
  })
  console.table(table)
  for (const [category, row] of Object.entries(table)) {
    expect(row.ours, category).toBeGreaterThanOrEqual(Math.ceil(0.95 * row.lines))
    if (row.theirs < row.lines) expect(row.ours, category).toBeGreaterThan(row.theirs)
  }
})
