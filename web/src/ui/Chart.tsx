import type { Chart as Drawn } from '../api/schema'

const wide = 540
const high = 56
const edge = 5

const x = (v: number) => edge + v * (wide - 2 * edge)
const y = (v: number) => high - edge - v * (high - 2 * edge)

type Props = { chart: Drawn; label: string; className: string }

/** Chart is one small line over the batches, its points where the server put them: 0 to 1 along both sides. */
export function Chart({ chart, label, className }: Props) {
  const line = chart.dots.map((d, n) => `${n === 0 ? 'M' : 'L'}${x(d.x).toFixed(1)} ${y(d.y).toFixed(1)}`).join('')
  const last = chart.dots[chart.dots.length - 1]
  return (
    <svg viewBox={`0 0 ${wide} ${high}`} role="img" aria-label={label} className={`w-full ${className}`}>
      {chart.aim >= 0 && (
        <path d={`M0 ${y(chart.aim)}H${wide}`} className="stroke-pandan" strokeWidth="1.5" strokeDasharray="5 4" />
      )}
      <path d={line} fill="none" stroke="currentColor" strokeWidth="2.5" strokeLinejoin="round" />
      {last && (
        <circle cx={x(last.x)} cy={y(last.y)} r="4.5" className="fill-enamel" stroke="currentColor" strokeWidth="2.5" />
      )}
    </svg>
  )
}
