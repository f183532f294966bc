import { memo } from 'react'
import type { Reckoning } from '../../api/schema'
import { copy } from '../../copy'
import { toGrams, toMillilitres, toRange, toWhole } from '../../ui/format'

/** The jug's inside, in the drawing's own units. It narrows towards the bottom. */
const top = 20
const bottom = 360
const half = { top: 93, bottom: 80 }
const middle = 130

const halfAt = (y: number) => half.bottom + ((half.top - half.bottom) * (bottom - y)) / (bottom - top)

function band(from: number, to: number) {
  const a = halfAt(from)
  const b = halfAt(to)
  return `M${middle - a} ${from}H${middle + a}L${middle + b} ${to}H${middle - b}Z`
}

/** JugDrawing is the blender's jug to scale: pulp, milk above it, and the line one load may reach. */
export const JugDrawing = memo(function JugDrawing({ r }: { r: Reckoning }) {
  const { jug } = r
  const y = (ml: number) => bottom - (ml / jug.topML) * (bottom - top)
  const milkTop = y(jug.milkML + jug.pulpML)
  const pulpTop = y(jug.pulpML)
  const loads = copy.bench.loads(jug.loads)
  return (
    <figure className="flex flex-col items-center">
      <svg
        viewBox="-30 0 330 384"
        className="h-auto max-h-[26.5rem] w-full"
        role="img"
        aria-label={copy.bench.jugOfMilkAndOf(
          toMillilitres(r.drinkML),
          toGrams(r.pulpG),
          loads,
          toMillilitres(jug.fillML),
        )}
      >
        <clipPath id="inside">
          <path
            d={`M${middle - half.top} ${top}H${middle + half.top}L${middle + half.bottom} ${bottom - 22}Q${middle + half.bottom - 1} ${bottom} ${middle + half.bottom - 24} ${bottom}H${middle - half.bottom + 24}Q${middle - half.bottom + 1} ${bottom} ${middle - half.bottom} ${bottom - 22}Z`}
          />
        </clipPath>
        <g clipPath="url(#inside)">
          <rect x="0" y={top} width="300" height={bottom - top} className="fill-enamel" />
          <path d={band(milkTop, pulpTop)} className="eased fill-milk" />
          <path d={band(milkTop, milkTop + Math.min(7, pulpTop - milkTop))} className="fill-oat" />
          <path d={band(pulpTop, bottom)} className="fill-pulp" />
        </g>
        {jug.ticksML.map((ml) => (
          <g key={ml}>
            <path
              d={`M${middle - halfAt(y(ml))} ${y(ml)}h11`}
              strokeWidth="2.5"
              strokeLinecap="round"
              className="stroke-rim"
            />
            <text x={middle - halfAt(y(ml)) - 10} y={y(ml) + 4} textAnchor="end" className="fill-mute text-tiny">
              {toMillilitres(ml)}
            </text>
          </g>
        ))}
        <path
          d={`M${middle - halfAt(y(jug.fillML))} ${y(jug.fillML)}H${middle + halfAt(y(jug.fillML))}`}
          strokeWidth="2"
          strokeDasharray="6 5"
          className="stroke-hibiscus"
        />
        <text x={middle} y={y(jug.fillML) - 6} textAnchor="middle" className="fill-hibiscus-deep text-tiny">
          {copy.bench.fillLine(toMillilitres(jug.fillML), loads)}
        </text>
        <path
          d={`M${middle - half.top} ${top}L${middle - half.bottom} ${bottom - 22}Q${middle - half.bottom + 1} ${bottom} ${middle - half.bottom + 24} ${bottom}H${middle + half.bottom - 24}Q${middle + half.bottom - 1} ${bottom} ${middle + half.bottom} ${bottom - 22}L${middle + half.top} ${top}`}
          fill="none"
          strokeWidth="5"
          strokeLinejoin="round"
          className="stroke-rim"
        />
        <path
          d={`M${middle - 104} ${top - 4}H${middle + 104}`}
          strokeWidth="8"
          strokeLinecap="round"
          className="stroke-rim"
        />
        <path d="M222 82c40-8 48 40 42 82s-22 76-50 84" fill="none" strokeWidth="12" className="stroke-rim" />
        <path d="M222 82c40-8 48 40 42 82s-22 76-50 84" fill="none" strokeWidth="6" className="stroke-linen" />
        <Figures r={r} milkTop={milkTop} pulpTop={pulpTop} />
      </svg>
      <figcaption className="text-center text-note text-mute">
        {copy.bench.kindWords[r.kind] ?? r.kind}
        {r.kindFrom === 'guess' && copy.bench.estimated}, {toWhole(r.drinkG)} g
        {r.fromBatches > 0 && copy.bench.fromYourBatches(r.fromBatches)}
        {jug.strains > 1 && copy.bench.strainedInBatches(jug.strains)}
      </figcaption>
    </figure>
  )
})

/** Figures are written in the milk where there is room for them, above it otherwise. */
function Figures({ r, milkTop, pulpTop }: { r: Reckoning; milkTop: number; pulpTop: number }) {
  const roomy = pulpTop - milkTop > 78
  const centre = roomy ? Math.min((milkTop + pulpTop) / 2 + 8, pulpTop - 34) : milkTop - 34
  const onMilk = roomy ? 'fill-day-ink' : 'fill-ink'
  const onMilkSmall = roomy ? 'fill-scale' : 'fill-mute'
  return (
    <>
      <text x={middle} y={centre} textAnchor="middle" className={`font-head text-figure font-bold ${onMilk}`}>
        {toMillilitres(r.drinkML)}
      </text>
      <text x={middle} y={centre + 24} textAnchor="middle" className={`text-detail ${onMilkSmall}`}>
        {copy.bench.likely(toRange(r.lowML, r.highML))}
      </text>
      {r.pulpG > 0 && bottom - pulpTop > 22 && (
        <text
          x={middle}
          y={(pulpTop + bottom) / 2 + 5}
          textAnchor="middle"
          className="fill-cocoa-ink text-note font-bold"
        >
          {copy.bench.pulp(toGrams(r.pulpG))}
        </text>
      )}
    </>
  )
}
