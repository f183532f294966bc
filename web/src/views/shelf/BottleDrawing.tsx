import type { Bottle } from '../../api/schema'
import { copy } from '../../copy/more'
import { classes } from '../../ui/classes'

/** Bottles are drawn taller the more they hold, between these volumes. */
const smallest = 250
const largest = 1000
const width = 78
const ring = 20

const heightOf = (ml: number) => 104 + 56 * Math.min(1, Math.max(0, (ml - smallest) / (largest - smallest)))

const ringOf: Record<Bottle['standing'], string> = {
  fine: 'stroke-pandan',
  soon: 'stroke-turmeric',
  'last day': 'stroke-turmeric',
  past: 'stroke-hibiscus',
}

const pigmentOf: Record<Bottle['pigment'], string> = {
  milk: 'fill-milk',
  oat: 'fill-oat',
  nut: 'fill-nut-milk',
  cocoa: 'fill-cocoa-milk',
}

const shortWords = (b: Bottle) => {
  if (b.standing === 'past') return copy.shelf.past
  if (b.standing === 'last day') return copy.shelf.today
  const [longUnit, shortUnit] = Object.entries(copy.shelf.timeLeftShort).find(([long]) =>
    b.timeLeft.endsWith(long),
  ) ?? ['', '']
  return b.timeLeft.replace(longUnit, shortUnit)
}

/** BottleDrawing is a bottle at its fill height with its life as a ring. Past its date it is crossed and dashed. */
export function BottleDrawing({ b }: { b: Bottle }) {
  const past = b.standing === 'past'
  const height = heightOf(b.volumeML)
  const bodyTop = 44
  const floor = height - 4
  const shape = `M28 18V26C28 34 4 34 4 56V${floor - 10}Q4 ${floor} 14 ${floor}H${width - 14}Q${width - 4} ${floor} ${width - 4} ${floor - 10}V56C${width - 4} 34 ${width - 28} 34 ${width - 28} 26V18Z`
  const level = floor - (floor - bodyTop) * b.fillShare
  const centre = { x: width / 2, y: Math.max(70, floor - 40) }
  const round = 2 * Math.PI * ring
  const clip = `bottle-${b.id}`
  return (
    <svg viewBox={`0 0 ${width} ${height}`} width={width} height={height} aria-hidden="true">
      <clipPath id={clip}>
        <path d={shape} />
      </clipPath>
      <path d={shape} className="fill-enamel" />
      <rect
        x="0"
        y={level}
        width={width}
        height={height - level}
        clipPath={`url(#${clip})`}
        className={classes('eased', b.place === 'freezer' ? 'fill-water' : pigmentOf[b.pigment])}
      />
      {past && (
        <path
          d={`M8 60L${width - 8} ${floor - 4}M${width - 8} 60L8 ${floor - 4}`}
          strokeWidth="2"
          className="stroke-hibiscus"
        />
      )}
      <path
        d={shape}
        fill="none"
        strokeWidth="3.5"
        strokeDasharray={past ? '4 5' : undefined}
        className={past ? 'stroke-hibiscus' : 'stroke-rim'}
      />
      <rect x="21" y="6" width={width - 42} height="11" rx="4" className={past ? 'fill-hibiscus' : 'fill-rim'} />
      <circle cx={centre.x} cy={centre.y} r={ring + 3.5} className="fill-enamel" />
      <circle cx={centre.x} cy={centre.y} r={ring} fill="none" strokeWidth="5" className="stroke-line" />
      <circle
        cx={centre.x}
        cy={centre.y}
        r={ring}
        fill="none"
        strokeWidth="5"
        strokeDasharray={`${round * (past ? 1 : b.lifeShare)} ${round}`}
        transform={`rotate(-90 ${centre.x} ${centre.y})`}
        className={ringOf[b.standing]}
      />
      <text x={centre.x} y={centre.y + 4.5} textAnchor="middle" className="fill-ink text-tiny font-bold tracking-tight">
        {shortWords(b)}
      </text>
    </svg>
  )
}
