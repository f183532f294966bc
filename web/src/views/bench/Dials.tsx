import { memo } from 'react'
import type { Dial, Reckoning } from '../../api/schema'
import { toDay, toTenth } from '../../ui/format'
import { Notice } from '../../ui/Notice'
import { Tray } from '../../ui/Tray'

/** Pigments of each dial's bands, from faint to full. */
const pigments: Record<string, string> = {
  Sweetness: 'var(--color-turmeric)',
  Fat: '#b9962f',
  Strength: 'var(--color-nutmeg)',
  Spice: 'var(--color-hibiscus)',
}

const figureOf = (d: Dial) => {
  if (!d.known) return 'none'
  if (d.name === 'Strength') return `1 : ${toTenth(d.value)}`
  return toTenth(d.value)
}

/** Dials show sweetness, fat, strength, spice and keeping on their scales. */
export function Dials({ r, onDetails }: { r: Reckoning; onDetails: () => void }) {
  const raised = r.cautions.filter((c) => c.raised)
  const unsettled = r.lines.some((l) => l.errorField === 'ingredient')
  const others = r.cautions.length - raised.length
  return (
    <Tray label="Dials" className="flex min-w-0 flex-col gap-3">
      {r.dials.map((d) => (d.name === 'Keeps' ? <Keeping key={d.name} d={d} r={r} /> : <DialRow key={d.name} d={d} />))}
      <div className="mt-auto grid gap-2">
        {raised.map((c) => (
          <Notice key={c.code}>{c.text}</Notice>
        ))}
        {r.reckoned && (
          <Notice>
            <b>{r.allergens.length > 0 ? `Contains ${r.allergens.join(', ')}.` : 'No listed allergen.'}</b>{' '}
            {unsettled && 'What a line not in the catalogue contains is not known. '}
            <button type="button" className="min-h-6 underline" onClick={onDetails}>
              {others > 0 ? `${others} more to know, and nutrition` : 'Nutrition and what was assumed'}
            </button>
          </Notice>
        )}
      </div>
    </Tray>
  )
}

const DialRow = memo(function DialRow({ d }: { d: Dial }) {
  const said = d.known ? `${figureOf(d)} ${d.unit}, ${d.band}` : 'none'
  return (
    <div>
      <div className="flex items-baseline justify-between">
        <h3 className="text-[17px]">{d.name}</h3>
        <p>
          <span className="font-head text-xl font-bold">{figureOf(d)}</span>{' '}
          {d.known && <span className="text-[13px] text-mute">{d.unit}</span>}
        </p>
      </div>
      <div className="relative mt-0.5" role="img" aria-label={`${d.name}: ${said}`}>
        <div className="flex overflow-hidden rounded-md">
          {d.bands.map((b, n) => (
            <div
              key={b.name}
              style={{
                width: `${(b.to - b.from) * 100}%`,
                backgroundColor: `color-mix(in oklab, ${pigments[d.name]} ${Math.round(14 + (86 * n) / Math.max(1, d.bands.length - 1))}%, var(--color-glass))`,
              }}
              className="h-4"
            />
          ))}
        </div>
        {d.known && (
          <span
            className="eased absolute top-1/2 size-6 -translate-x-1/2 -translate-y-1/2 rounded-full border-[3.5px] border-rim bg-enamel"
            style={{ left: `${4 + d.position * 92}%` }}
          />
        )}
      </div>
      <div className="mt-1 flex text-[12px] leading-tight tracking-tight text-mute" aria-hidden>
        {d.bands.map((b) => (
          <span
            key={b.name}
            style={{ width: `${(b.to - b.from) * 100}%` }}
            className={b.name === d.band ? 'font-bold text-ink' : ''}
          >
            {b.name}
          </span>
        ))}
      </div>
    </div>
  )
})

function Keeping({ d, r }: { d: Dial; r: Reckoning }) {
  const { keeps } = r
  if (!d.known) {
    return (
      <div>
        <h3 className="text-[17px]">Keeps</h3>
        <p className="text-[13px] text-mute">{keeps.reasons.join('; ')}</p>
      </div>
    )
  }
  const also = `${keeps.otherWholeDays} ${keeps.otherWholeDays === 1 ? 'day' : 'days'} by ${keeps.otherSchool === 'customary' ? 'custom' : 'caution'}`
  return (
    <div>
      <div className="flex items-baseline justify-between gap-2">
        <h3 className="text-[17px]">Keeps</h3>
        <p>
          <span className="font-head text-xl font-bold">till {toDay(keeps.useBy)}</span>{' '}
          <span className="text-[13px] text-mute">{also}</span>
        </p>
      </div>
      <div className="mt-0.5 h-4 overflow-hidden rounded-md bg-line" aria-hidden>
        <div className="relative h-full">
          <div className="absolute inset-y-0 left-0 bg-pandan-pale" style={{ width: `${d.furtherPosition * 100}%` }} />
          <div className="absolute inset-y-0 left-0 bg-pandan" style={{ width: `${d.position * 100}%` }} />
        </div>
      </div>
      <p className="mt-1 text-[13px] leading-tight text-mute">{keeps.reasons.join('; ')}</p>
    </div>
  )
}
