import { useState } from 'react'
import { query } from '../../api/client'
import type { ComparedFigure, History, BatchLine as Line } from '../../api/schema'
import { copy } from '../../copy'
import { toDayAndMonth, toMillilitres, toMoney, toTenth, toThreeFigures } from '../../ui/format'
import { Select } from '../../ui/Select'
import { Table } from '../../ui/Table'
import { Tray } from '../../ui/Tray'
import { orDash } from './tables'

type Side = { version: number; batch?: Line }

/** sidesOf are what can be put side by side: the versions that were made, and the batches, by their values in a Select. */
function sidesOf(h: History): Record<string, Side & { label: string }> {
  const versions = h.versions.map((v) => [
    `v${v.version}`,
    { version: v.version, label: copy.notes.version(v.version) },
  ])
  const batches = h.points.map((b) => [
    `b${b.id}`,
    { version: b.version, batch: b, label: `${copy.notes.version(b.version)} · ${toDayAndMonth(b.madeOn)}` },
  ])
  return Object.fromEntries([...versions, ...batches.reverse()])
}

/** Compare puts any two versions or batches of a drink side by side: what came of them, and what is in 100 mL. */
export function Compare({ h }: { h: History }) {
  const sides = sidesOf(h)
  const values = Object.keys(sides)
  const [a, setA] = useState(values[0] ?? '')
  const [b, setB] = useState(values[1] ?? '')
  const [first, second] = [sides[a], sides[b]]
  const compared = query.useQuery(
    'post',
    '/api/comparisons',
    {
      body: { a: { drinkID: h.id, version: first?.version ?? 0 }, b: { drinkID: h.id, version: second?.version ?? 0 } },
    },
    { enabled: !!first && !!second },
  )
  if (!first || !second) return null
  const choices = Object.entries(sides).map(([value, { label }]) => ({ value, label }))
  const rows = [...cameOf(h, first, second), ...(compared.data?.rows ?? []).map(figureRow)]
  return (
    <Tray label={copy.bench.compare} className="grid gap-2 overflow-x-auto">
      <h2 className="text-xl">{copy.bench.compare}</h2>
      <div className="flex flex-wrap gap-3">
        <Select label={copy.bench.first} value={a} choices={choices} onChange={setA} />
        <Select label={copy.bench.second} value={b} choices={choices} onChange={setB} />
      </div>
      <Table
        caption={copy.bench.nameAndName(first.label, second.label)}
        heads={['', copy.bench.first, copy.bench.second]}
        rows={rows}
      />
    </Tray>
  )
}

type Row = Parameters<typeof Table>[0]['rows'][number]

/** cameOf are the figures of two batches; of versions, over all of their batches. */
function cameOf(h: History, a: Side, b: Side): Row[] {
  const of = (s: Side) => {
    const tally = h.versions.find((v) => v.version === s.version)
    const { batch } = s
    return {
      yield: batch ? (batch.measuredML ?? 0) : (tally?.yieldML ?? 0),
      stars: (batch ?? tally)?.stars ?? 0,
      cost: (batch ?? tally)?.perL ?? 0,
    }
  }
  const [x, y] = [of(a), of(b)]
  const { heads } = copy.notes
  const row = (key: string, name: string, write: (v: number) => string, p: number, q: number): Row => ({
    key,
    strong: p !== q,
    cells: [name, orDash(p, write), orDash(q, write)],
  })
  return [
    row('yield', heads.yield, toMillilitres, x.yield, y.yield),
    row('stars', heads.rating, toTenth, x.stars, y.stars),
    row('cost', heads.cost, (v) => toMoney(v, h.currency), x.cost, y.cost),
  ]
}

const shownAs = (v: ComparedFigure['a'], words: string) => words || (v === undefined ? '–' : toThreeFigures(v))

const figureRow = (r: ComparedFigure): Row => ({
  key: `${r.name} ${r.unit}`,
  strong: r.differs,
  cells: [`${r.name} ${r.unit}`.trim(), shownAs(r.a, r.aWords), shownAs(r.b, r.bWords)],
})
