import { memo } from 'react'
import type { Dial, Reckoning } from '../../api/schema'
import { copy } from '../../copy'
import { Notice } from '../../ui/Notice'
import { Tray } from '../../ui/Tray'
import { DialRow } from './DialRow'
import { Lacking } from './Lacking'
import type { Turnable } from './useTurn'
import { WorkingButton } from './WorkingButton'
import type { Figure } from './WorkingDialog'

type Props = { r: Reckoning; bench: Turnable; onDetails: () => void; onWorking: (figure: Figure) => void }

/** Dials show sweetness, fat, strength, spice and keeping on their scales; all but keeping can be set. */
export const Dials = memo(function Dials({ r, bench, onDetails, onWorking }: Props) {
  const raised = r.cautions.filter((c) => c.raised)
  const unsettled = r.lines.some((l) => l.errorField === 'ingredient')
  const others = r.cautions.length - raised.length
  return (
    <Tray label={copy.bench.dials} className="flex min-w-0 flex-col gap-3">
      <Lacking r={r} />
      {r.dials.map((d) =>
        d.code === 'keeps' ? (
          <Keeping key={d.code} d={d} r={r} onWorking={onWorking} />
        ) : (
          <DialRow key={d.code} d={d} bench={bench} onWorking={onWorking} />
        ),
      )}
      <div className="mt-auto grid gap-2">
        {raised.map((c) => (
          <Notice key={c.code}>{c.text}</Notice>
        ))}
        {r.reckoned && (
          <Notice>
            <NotFor r={r} />
            <b>{r.allergens.length > 0 ? copy.bench.contains(r.allergens.join(', ')) : copy.bench.noListedAllergens}</b>{' '}
            {unsettled && copy.bench.allergensOfLinesNotIn}
            <button type="button" className="min-h-6 underline" onClick={onDetails}>
              {others > 0 ? copy.bench.cautionsNutritionAndCost(others) : copy.bench.nutritionCautionsAndCost}
            </button>
          </Notice>
        )}
      </div>
    </Tray>
  )
})

/** NotFor says whom the drink is not for, and why. */
function NotFor({ r }: { r: Reckoning }) {
  const not = r.forWhom.filter((f) => f.not)
  if (not.length === 0) return null
  return (
    <>
      <b>{copy.bench.notForWhom(not.map((f) => `${f.name} (${f.reasons[0]})`).join(', '))}</b>{' '}
    </>
  )
}

function Keeping({ d, r, onWorking }: { d: Dial; r: Reckoning; onWorking: (figure: Figure) => void }) {
  const { keeps } = r
  if (!d.known) {
    return (
      <div>
        <h3 className="text-lead">{copy.bench.storage}</h3>
        <p className="text-fine text-mute">{keeps.reasons.join('; ')}</p>
      </div>
    )
  }
  const also = copy.bench.byOtherRule(keeps.otherWholeDays, copy.bench.rules[keeps.otherSchool] ?? keeps.otherSchool)
  return (
    <div>
      <div className="flex items-baseline justify-between gap-2">
        <h3 className="text-lead">{copy.bench.keeps}</h3>
        <p className="text-right leading-tight">
          <WorkingButton figure="keeps" of={copy.bench.ofStorage} onWorking={onWorking}>
            {copy.bench.dateBy(keeps.useByWords)}
          </WorkingButton>
          <span className="block text-fine text-mute">{also}</span>
        </p>
      </div>
      <div className="mt-0.5 h-4 overflow-hidden rounded-md bg-line" aria-hidden>
        <div className="relative h-full">
          <div className="absolute inset-y-0 left-0 bg-pandan-pale" style={{ width: `${d.furtherPosition * 100}%` }} />
          <div className="absolute inset-y-0 left-0 bg-pandan" style={{ width: `${d.position * 100}%` }} />
        </div>
      </div>
      <p className="mt-1 text-fine leading-tight text-mute">{keeps.reasons.join('; ')}</p>
    </div>
  )
}
