import { expect, test } from 'vitest'
import type { PantryRow } from '../../api/schema'
import { labelOf, typedLabel, typedOf } from './own'

const label = { proteinG: 3, fatG: 1.5, saturatedFatG: 0.2, carbohydrateG: 9, sugarsG: 4, fibreG: 0, sodiumMg: 40 }

test('a label that is opened and saved is the same, and one of which nothing was typed is none', () => {
  expect(labelOf(typedLabel(label))).toEqual(label)
  expect(labelOf(typedLabel())).toBeUndefined()
  expect(labelOf({ ...typedLabel(), proteinG: ' ' })).toBeUndefined()
  expect(labelOf({ ...typedLabel(), fatG: '2' })).toEqual({
    proteinG: 0,
    fatG: 2,
    saturatedFatG: 0,
    carbohydrateG: 0,
    sugarsG: 0,
    fibreG: 0,
    sodiumMg: 0,
  })
})

test('a row is typed as it stands, a new one begins as a vegan sweetener', () => {
  const row = { name: 'Syrup', vegan: false, own: { role: 'flavour', gPerCup: 300, pieceG: 0, label } }
  expect(typedOf(row as unknown as PantryRow)).toMatchObject({
    name: 'Syrup',
    vegan: false,
    role: 'flavour',
    gPerCup: '300',
    pieceG: '0',
    lifeDays: '',
    sodiumMg: '40',
  })
  expect(typedOf()).toMatchObject({ name: '', vegan: true, role: 'sweetener', allergens: undefined, sodiumMg: '' })
})
