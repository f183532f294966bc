import type { PouredDay } from '../../api/schema'
import { copy } from '../../copy/more'
import { toDay, toMillilitres } from '../../ui/format'

const height = 56
const width = 30
const gap = 12

/** PouredWeek is what was poured on each of the last seven days. */
export function PouredWeek({ poured }: { poured: PouredDay[] }) {
  if (!poured.some((d) => d.ml > 0)) return null
  const words = poured.map((d) => `${toDay(d.day)}: ${toMillilitres(d.ml)}`).join(', ')
  return (
    <figure>
      <figcaption className="mb-1 text-sm font-bold">{copy.shelf.pouredThisWeek}</figcaption>
      <svg
        viewBox={`0 0 ${poured.length * (width + gap)} ${height + 20}`}
        className="max-w-80"
        role="img"
        aria-label={words}
      >
        {poured.map((d, n) => (
          <g key={d.day} transform={`translate(${n * (width + gap)} 0)`}>
            <rect
              y={height - Math.max(2, height * d.share)}
              width={width}
              height={Math.max(2, height * d.share)}
              rx="6"
              className="fill-nutmeg"
            >
              <title>{`${toDay(d.day)}: ${toMillilitres(d.ml)}`}</title>
            </rect>
            <text x={width / 2} y={height + 16} textAnchor="middle" className="fill-mute text-fine">
              {toDay(d.day).slice(0, 1)}
            </text>
          </g>
        ))}
      </svg>
    </figure>
  )
}
