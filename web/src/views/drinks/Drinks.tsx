import { useState } from 'react'
import { Link } from 'wouter'
import { query } from '../../api/client'
import type { LibraryDrink } from '../../api/schema'
import { copy } from '../../copy/more'
import { Check } from '../../ui/Check'
import { Field } from '../../ui/Field'
import { Notice } from '../../ui/Notice'
import { Select } from '../../ui/Select'
import { Tray } from '../../ui/Tray'
import { DrinkRow } from './DrinkRow'
import { type Filter, filtered } from './filter'

const orders = Object.entries(copy.drinks.orders).map(([value, label]) => ({ value, label }))

/** Drinks are all the kitchen's own: to be found, opened, begun anew from, and put away. */
export function Drinks() {
  const library = query.useQuery('get', '/api/library')
  const [filter, setFilter] = useState<Filter>({
    find: '',
    kind: 'all',
    suits: 'all',
    order: 'recent',
    archived: false,
  })
  const change = (part: Partial<Filter>) => setFilter({ ...filter, ...part })
  if (!library.data) return library.error ? <Notice urgent>{library.error.detail}</Notice> : null
  const found = filtered(library.data, filter)
  return (
    <main className="grid grid-cols-[minmax(0,1fr)] gap-4">
      <div className="flex flex-wrap items-end justify-between gap-3">
        <div>
          <h1 className="text-title leading-tight">{copy.drinks.drinks}</h1>
          <p className="text-mute">{copy.drinks.found(found.length, library.data.length)}</p>
        </div>
        <Link
          href="/start"
          className="inline-flex min-h-11 items-center rounded-full bg-rim px-4 font-bold text-on-rim"
        >
          {copy.bench.newDrink}
        </Link>
      </div>
      <Filters drinks={library.data} filter={filter} onChange={change} />
      <Tray label={copy.drinks.drinks}>
        {found.length === 0 && <p>{copy.drinks.nothingFits}</p>}
        <ul className="grid">
          {found.map((d) => (
            <DrinkRow key={d.id} d={d} />
          ))}
        </ul>
      </Tray>
    </main>
  )
}

type FiltersProps = { drinks: LibraryDrink[]; filter: Filter; onChange: (part: Partial<Filter>) => void }

function Filters({ drinks, filter, onChange }: FiltersProps) {
  const kinds = [...new Map(drinks.filter((d) => d.kind).map((d) => [d.kind, d.kindName]))]
  const names = [...new Set(drinks.flatMap((d) => d.forWhom.map((w) => w.name)))]
  return (
    <div className="flex flex-wrap items-end gap-3">
      <Field
        label={copy.start.findADrink}
        className="w-56"
        value={filter.find}
        onChange={(e) => onChange({ find: e.target.value })}
      />
      <Select
        label={copy.drinks.kind}
        value={filter.kind}
        choices={[{ value: 'all', label: copy.drinks.all }, ...kinds.map(([value, label]) => ({ value, label }))]}
        onChange={(kind) => onChange({ kind })}
      />
      {names.length > 0 && (
        <Select
          label={copy.start.suits}
          value={filter.suits}
          choices={[{ value: 'all', label: copy.shelf.everyone }, ...names.map((n) => ({ value: n, label: n }))]}
          onChange={(suits) => onChange({ suits })}
        />
      )}
      <Select
        label={copy.drinks.order}
        value={filter.order}
        choices={orders}
        onChange={(order) => onChange({ order: order as Filter['order'] })}
      />
      {drinks.some((d) => d.archived) && (
        <Check
          label={copy.drinks.showArchived}
          checked={filter.archived}
          onChange={(archived) => onChange({ archived })}
        />
      )}
    </div>
  )
}
