import type { LibraryDrink } from '../../api/schema'

export type Filter = {
  find: string
  kind: string
  suits: string
  order: 'recent' | 'name' | 'made' | 'cost'
  archived: boolean
}

/** Where a figure is not known, a drink comes last. */
const last = Number.POSITIVE_INFINITY

const compare: Record<Filter['order'], (a: LibraryDrink, b: LibraryDrink) => number> = {
  recent: () => 0, // as they come
  name: (a, b) => a.name.localeCompare(b.name),
  made: (a, b) => b.lastMade.localeCompare(a.lastMade),
  cost: (a, b) => (a.cost.known ? a.cost.perLitre : last) - (b.cost.known ? b.cost.perLitre : last),
}

const fits = (d: LibraryDrink, f: Filter) => {
  const words = [d.name, d.kindName, ...d.bases].join(' ').toLowerCase()
  const isFor = f.suits === 'all' || !d.forWhom.some((w) => w.name === f.suits && w.not)
  return words.includes(f.find.trim().toLowerCase()) && (f.kind === 'all' || d.kind === f.kind) && isFor
}

/** filtered are the drinks that fit, in the order asked for. Those put away are shown on request only. */
export const filtered = (drinks: LibraryDrink[], f: Filter) =>
  drinks.filter((d) => (f.archived || !d.archived) && fits(d, f)).sort(compare[f.order])
