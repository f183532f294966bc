import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { answer, api, query, Refused } from '../../api/client'
import { useDrinks } from '../../api/hooks'
import type { ComparedFigure, History } from '../../api/schema'
import { copy } from '../../copy/more'
import { ErrorText } from '../../ui/Field'
import { toThreeFigures } from '../../ui/format'
import { Select } from '../../ui/Select'
import { Table } from '../../ui/Table'
import { cameOf, type Row, type Side, sideOf, sidesOf } from './sides'

/** Chosen is a drink, and what of it: "now", a version or a batch. */
export type Chosen = { drinkID: number; of: string }

type Props = { first: Chosen; second: Chosen; before?: () => Promise<unknown>; changed?: unknown }

/** CompareTwo puts any two drinks, versions or batches side by side: what came of them, and what is in 100 mL, what differs first. What is to be saved before is saved first. */
export function CompareTwo({ first, second, before, changed }: Props) {
  const [a, setA] = useState(first)
  const [b, setB] = useState(second)
  const [ha, hb] = [useHistory(a.drinkID), useHistory(b.drinkID)]
  const [x, y] = [sideOf(a.of, ha), sideOf(b.of, hb)]
  const body = {
    a: { drinkID: a.drinkID, version: x?.version ?? 0 },
    b: { drinkID: b.drinkID, version: y?.version ?? 0 },
  }
  const compared = useQuery({
    queryKey: ['compare', body, changed],
    queryFn: async () => {
      await before?.()
      return answer(api.POST('/api/comparisons', { body }))
    },
    enabled: !!x && !!y,
    gcTime: 10_000,
  })
  const refused = compared.error instanceof Refused ? compared.error.message : undefined
  return (
    <>
      <SideChoice label={copy.bench.first} chosen={a} history={ha} onChoose={setA} />
      <SideChoice label={copy.bench.second} chosen={b} history={hb} onChoose={setB} />
      <ErrorText id="compare-error">{refused}</ErrorText>
      {compared.data && ha && hb && x && y && (
        <Table
          caption={copy.bench.nameAndName(named(compared.data.aName, ha, x), named(compared.data.bName, hb, y))}
          heads={['', copy.bench.first, copy.bench.second]}
          rows={rowsOf(cameOf(ha, x, hb, y), compared.data.rows.map(figureRow))}
        />
      )}
    </>
  )
}

const useHistory = (id: number) => query.useQuery('get', '/api/drinks/{id}/history', { params: { path: { id } } }).data

/** A batch is named by its day; the rest as the kitchen calls it. */
const named = (name: string, h: History, side: Side) => (side.batch ? `${h.name}, ${side.label}` : name)

type SideProps = { label: string; chosen: Chosen; history?: History; onChoose: (c: Chosen) => void }

function SideChoice({ label, chosen, history, onChoose }: SideProps) {
  const drinks = (useDrinks().data ?? []).map((d) => ({ value: String(d.id), label: d.name }))
  const sides = history ? sidesOf(history).map(({ value, label }) => ({ value, label })) : []
  return (
    <div className="grid gap-2">
      <Select
        label={label}
        value={String(chosen.drinkID)}
        choices={drinks}
        onChange={(id) => onChoose({ drinkID: Number(id), of: 'now' })}
      />
      <Select
        label={copy.bench.whichOf(label)}
        value={chosen.of}
        choices={sides}
        onChange={(of) => onChoose({ ...chosen, of })}
      />
    </div>
  )
}

/** What was measured of both comes first; of one alone there is nothing to compare it with. */
const rowsOf = (came: Row[], figures: Row[]) =>
  came.some((r) => r.cells.includes('–')) ? [...figures, ...came] : [...came, ...figures]

const shownAs = (v: ComparedFigure['a'], words: string) => words || (v === undefined ? '–' : toThreeFigures(v))

const figureRow = (r: ComparedFigure): Row => ({
  key: `${r.name} ${r.unit}`,
  strong: r.differs,
  cells: [
    <span key="name">
      {r.name} <span className="text-fine font-normal text-mute">{r.unit}</span>
    </span>,
    shownAs(r.a, r.aWords),
    shownAs(r.b, r.bWords),
  ],
})
