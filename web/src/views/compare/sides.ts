import type { ReactNode } from 'react'
import type { History, BatchLine as Line } from '../../api/schema'
import { copy } from '../../copy/more'
import { toDayAndMonth, toMillilitres, toMoney, toTenth } from '../../ui/format'

/** Side is what is put beside another: a drink as it is now, one of its versions, or a batch of one. */
export type Side = { value: string; label: string; version: number; batch?: Line }

export type Row = { key: string; cells: ReactNode[]; strong?: boolean }

/** sidesOf are what can be compared of a drink: as it is now, its versions, its batches, the newest first. */
export function sidesOf(h: History): Side[] {
  const now = { value: 'now', label: copy.bench.now, version: 0 }
  const versions = h.kept.map((version) => ({
    value: `v${version}`,
    label: copy.notes.version(version),
    version,
  }))
  const batches = h.points.toReversed().map((batch) => ({
    value: `b${batch.id}`,
    label: copy.bench.batchOf(toDayAndMonth(batch.madeOn), copy.notes.version(batch.version)),
    version: batch.version,
    batch,
  }))
  return [now, ...versions, ...batches]
}

export const sideOf = (value: string, h?: History) => h && sidesOf(h).find((s) => s.value === value)

/** cameOf are the figures that were measured: of batches their own, of versions over all of their batches. */
export function cameOf(ha: History, a: Side, hb: History, b: Side): Row[] {
  const of = (h: History, s: Side) => {
    const tally = h.versions.find((v) => v.version === s.version)
    const { batch } = s
    return {
      yield: batch ? (batch.measuredML ?? 0) : (tally?.yieldML ?? 0),
      stars: (batch ?? tally)?.stars ?? 0,
      cost: (batch ?? tally)?.perL ?? 0,
    }
  }
  const [x, y] = [of(ha, a), of(hb, b)]
  const { heads } = copy.notes
  const row = (key: string, name: string, write: (v: number) => string, p: number, q: number): Row => ({
    key,
    strong: p !== q,
    cells: [name, p > 0 ? write(p) : '–', q > 0 ? write(q) : '–'],
  })
  return [
    row('yield', heads.yield, toMillilitres, x.yield, y.yield),
    row('stars', heads.rating, toTenth, x.stars, y.stars),
    row('cost', heads.cost, (v) => toMoney(v, ha.currency), x.cost, y.cost),
  ].filter((r) => r.cells[1] !== '–' || r.cells[2] !== '–')
}
