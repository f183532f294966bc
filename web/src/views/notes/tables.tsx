import { Link } from 'wouter'
import type { History } from '../../api/schema'
import { copy } from '../../copy/more'
import { toDayAndMonth, toMillilitres, toMoney, toTenth, toWhole } from '../../ui/format'
import { Table } from '../../ui/Table'

const { heads } = copy.notes

/** orDash writes a figure where there is one. */
export const orDash = (v: number, write: (v: number) => string) => (v > 0 ? write(v) : '–')

/** VersionTable is how each version did, over its batches. */
export function VersionTable({ h }: { h: History }) {
  return (
    <Table
      caption={copy.notes.versions}
      heads={[heads.version, heads.batches, heads.yield, heads.rating, heads.cost, heads.sweetness, heads.waste]}
      rows={h.versions.map((v) => ({
        key: String(v.version),
        cells: [
          copy.notes.version(v.version),
          v.batches,
          orDash(v.yieldML, toMillilitres),
          orDash(v.stars, toTenth),
          orDash(v.perL, (p) => toMoney(p, h.currency)),
          orDash(v.sweetness, toTenth),
          copy.notes.percent(toWhole(v.thrownPct)),
        ],
      }))}
    />
  )
}

/** BatchTable are the figures behind the charts, the newest first. */
export function BatchTable({ h }: { h: History }) {
  return (
    <Table
      caption={copy.notes.batches}
      heads={[heads.made, heads.version, heads.yield, heads.rating, heads.cost, heads.waste]}
      rows={h.points.toReversed().map((p) => ({
        key: String(p.id),
        cells: [
          <Link key="day" href={`/notes/batch/${p.id}`} className="text-rim underline">
            {toDayAndMonth(p.madeOn)}
          </Link>,
          copy.notes.version(p.version),
          orDash(p.measuredML ?? 0, toMillilitres),
          orDash(p.stars, toTenth),
          orDash(p.perL, (v) => toMoney(v, h.currency)),
          orDash(p.thrownML, toMillilitres),
        ],
      }))}
    />
  )
}
