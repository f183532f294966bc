import type { Dial, Reckoning } from '../../api/schema'
import { Notice } from '../../ui/Notice'
import { Tray } from '../../ui/Tray'
import { DialRow } from './DialRow'
import { Lacking } from './Lacking'
import type { Turnable } from './useTurn'
import { WorkingButton } from './WorkingButton'
import type { Figure } from './WorkingDialog'

type Props = { r: Reckoning; bench: Turnable; onDetails: () => void; onWorking: (figure: Figure) => void }

/** Dials show sweetness, fat, strength, spice and keeping on their scales; all but keeping can be set. */
export function Dials({ r, bench, onDetails, onWorking }: Props) {
  const raised = r.cautions.filter((c) => c.raised)
  const unsettled = r.lines.some((l) => l.errorField === 'ingredient')
  const others = r.cautions.length - raised.length
  return (
    <Tray label="Dials" className="flex min-w-0 flex-col gap-3">
      <Lacking r={r} />
      {r.dials.map((d) =>
        d.name === 'Keeps' ? (
          <Keeping key={d.name} d={d} r={r} onWorking={onWorking} />
        ) : (
          <DialRow key={d.name} d={d} bench={bench} onWorking={onWorking} />
        ),
      )}
      <div className="mt-auto grid gap-2">
        {raised.map((c) => (
          <Notice key={c.code}>{c.text}</Notice>
        ))}
        {r.reckoned && (
          <Notice>
            <NotFor r={r} />
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

/** NotFor says whom the drink is not for, and why. */
function NotFor({ r }: { r: Reckoning }) {
  const not = r.forWhom.filter((f) => f.not)
  if (not.length === 0) return null
  return (
    <>
      <b>Not for {not.map((f) => `${f.name} (${f.reasons[0]})`).join(', ')}.</b>{' '}
    </>
  )
}

function Keeping({ d, r, onWorking }: { d: Dial; r: Reckoning; onWorking: (figure: Figure) => void }) {
  const { keeps } = r
  if (!d.known) {
    return (
      <div>
        <h3 className="text-lead">Keeps</h3>
        <p className="text-fine text-mute">{keeps.reasons.join('; ')}</p>
      </div>
    )
  }
  const also = `${keeps.otherWholeDays} ${keeps.otherWholeDays === 1 ? 'day' : 'days'} by ${keeps.otherSchool === 'customary' ? 'custom' : 'caution'}`
  return (
    <div>
      <div className="flex items-baseline justify-between gap-2">
        <h3 className="text-lead">Keeps</h3>
        <p>
          <WorkingButton figure="keeps" of="keeping" onWorking={onWorking}>
            use by {keeps.useByWords}
          </WorkingButton>{' '}
          <span className="text-fine text-mute">{also}</span>
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
