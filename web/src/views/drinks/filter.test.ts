import { expect, test } from 'vitest'
import type { LibraryDrink } from '../../api/schema'
import { type Filter, filtered } from './filter'

const drink = (name: string, more: Partial<LibraryDrink>) =>
  ({
    name,
    kind: 'milk',
    kindName: 'milk',
    bases: [],
    lastMade: '',
    archived: false,
    cost: { known: false, perLitre: 0 },
    forWhom: [],
    ...more,
  }) as unknown as LibraryDrink

const drinks = [
  drink('Sesame breakfast milk', {
    lastMade: '2026-11-20',
    cost: { known: true, perLitre: 2 } as LibraryDrink['cost'],
  }),
  drink('Pecan flask creamer', {
    kind: 'creamer',
    bases: ['Pecans'],
    lastMade: '2026-11-26',
    forWhom: [{ name: 'neighbour', not: true, reasons: [] }],
  }),
  drink('Barley horchata', { cost: { known: true, perLitre: 1 } as LibraryDrink['cost'] }),
  drink('Old nog', { archived: true }),
]

const all: Filter = { find: '', kind: 'all', suits: 'all', order: 'recent', archived: false }

test.each<[Partial<Filter>, string[]]>([
  [{}, ['Sesame breakfast milk', 'Pecan flask creamer', 'Barley horchata']],
  [{ find: 'PECANS' }, ['Pecan flask creamer']],
  [{ kind: 'creamer' }, ['Pecan flask creamer']],
  [{ suits: 'neighbour' }, ['Sesame breakfast milk', 'Barley horchata']],
  [{ order: 'name', archived: true }, ['Barley horchata', 'Old nog', 'Pecan flask creamer', 'Sesame breakfast milk']],
  [{ order: 'made' }, ['Pecan flask creamer', 'Sesame breakfast milk', 'Barley horchata']],
  [{ order: 'cost' }, ['Barley horchata', 'Sesame breakfast milk', 'Pecan flask creamer']],
])('drinks by %j', (part, names) => {
  expect(filtered(drinks, { ...all, ...part }).map((d) => d.name)).toEqual(names)
})
