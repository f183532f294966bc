import type { Thermo } from '../../api/schema'
import { copy } from '../../copy/more'
import { hoursFromMidnight, toWeekday } from '../../ui/format'

const width = 1000
const height = 130
const coldest = -2
const warmest = 16

/** TemperatureStrip draws seven days of the fridge, 5 °C as a line, warm spells in red. */
export function TemperatureStrip({ thermo }: { thermo: Thermo }) {
  const from = new Date(thermo.from).getTime()
  const to = new Date(thermo.to).getTime()
  const x = (iso: string | number) => ((new Date(iso).getTime() - from) / (to - from)) * width
  const y = (c: number) => height - ((Math.min(warmest, Math.max(coldest, c)) - coldest) / (warmest - coldest)) * height
  const line = thermo.points.map((p) => `M${x(p.at)} ${y(p.lowC) + 1}V${y(p.highC) - 1}`).join('')
  return (
    <svg
      viewBox={`0 0 ${width} ${height + 22}`}
      className="w-full"
      role="img"
      aria-label={copy.shelf.fridgeTemperatureOverSevenDays(thermo.spells.length)}
    >
      {thermo.spells.map((s) => (
        <rect
          key={s.from}
          x={x(s.from)}
          y="0"
          width={Math.max(3, x(s.to) - x(s.from))}
          height={height}
          className="fill-hibiscus-pale"
        />
      ))}
      <path d={`M0 ${y(5)}H${width}`} strokeDasharray="5 6" strokeWidth="1.5" className="stroke-hibiscus" />
      <path d={`M0 ${y(thermo.setC)}H${width}`} strokeWidth="1" className="stroke-line" />
      <path d={line} strokeWidth="3.4" strokeLinecap="round" className="stroke-rim" />
      <text x="2" y={y(5) - 4} className="fill-hibiscus-deep text-note">
        5 °C
      </text>
      {midnights(from, to).map((at) => (
        <g key={at}>
          <path d={`M${x(at)} 0V${height}`} strokeWidth="1" className="stroke-line" />
          {x(at) < width * 0.92 && (
            <text x={x(at) + 4} y={height + 17} className="fill-mute text-note">
              {toWeekday(new Date(at))}
            </text>
          )}
        </g>
      ))}
    </svg>
  )
}

function midnights(from: number, to: number): number[] {
  const hour = 3_600_000
  const out: number[] = []
  for (let at = from + (24 - hoursFromMidnight(new Date(from))) * hour; at < to; at += 24 * hour) out.push(at)
  return out
}
