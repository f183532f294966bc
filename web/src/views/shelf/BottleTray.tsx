import { type FormEvent, useState } from 'react'
import { Link } from 'wouter'
import { Refused } from '../../api/client'
import { useBottle } from '../../api/hooks'
import type { Bottle } from '../../api/schema'
import { Button } from '../../ui/Button'
import { Dialog } from '../../ui/Dialog'
import { ErrorText, Field } from '../../ui/Field'
import { toDayAndMonth, toMillilitres, toTwoFigures, toWhole } from '../../ui/format'
import { Notice } from '../../ui/Notice'
import { Tray } from '../../ui/Tray'
import { BatchDialog } from './BatchDialog'

/** BottleTray tells all about one bottle and pours from it. */
export function BottleTray({ b }: { b: Bottle }) {
  const act = useBottle(b.id)
  const [throwing, setThrowing] = useState(false)
  const [looking, setLooking] = useState(false)
  const past = b.standing === 'past'
  const error = act.pour.error ?? act.finish.error
  const busy = act.pour.isPending || act.finish.isPending
  return (
    <Tray label="Bottle" className="grid gap-3">
      <div>
        <div className="flex items-start justify-between gap-3">
          <h2 className="text-[23px] leading-tight">{b.drinkName}</h2>
          <span className="pt-1 whitespace-nowrap text-mute">bottle {b.id}</span>
        </div>
        <p className="text-mute">
          made {toDayAndMonth(b.madeOn)} · {toMillilitres(b.volumeML)} ·{' '}
          <Link href={`/bench/${b.drinkID}`} className="underline">
            version {b.version}
          </Link>{' '}
          ·{' '}
          <button type="button" className="underline" onClick={() => setLooking(true)}>
            how it was made
          </button>
        </p>
      </div>
      <div className="grid grid-cols-2 gap-4">
        <p>
          <span className="block font-head text-2xl leading-tight font-bold">{toMillilitres(b.leftML)}</span>
          <span className="text-mute">
            {toTwoFigures(b.servings)} servings of {toWhole(b.servingML)} mL left
          </span>
        </p>
        <p>
          <span className="block font-head text-2xl leading-tight font-bold">{toDayAndMonth(b.useBy)}</span>
          <span className="text-mute">{past ? b.timeLeft : `last good day · ${b.timeLeft}`}</span>
        </p>
      </div>
      {past && (
        <Notice>
          <b>Past its date.</b> Throw it out
          {otherStillGood(b)
            ? `, though by ${schoolWord(b.otherSchool)} it is good till ${toDayAndMonth(b.otherUseBy)}`
            : ''}
          . Smell, fizz, slime or bulging: out, whatever the date.
        </Notice>
      )}
      <div className="text-[15px] leading-snug">
        <p>
          <b>Why that date.</b> {b.reasons.join('; ')}.
        </p>
        {b.otherUseBy !== b.useBy && !past && (
          <p>
            By {schoolWord(b.otherSchool)}: {toDayAndMonth(b.otherUseBy)}.
          </p>
        )}
        <p>
          <b>Shake first.</b> {b.allergens.length > 0 ? `Contains ${b.allergens.join(', ')}.` : 'No listed allergen.'}
        </p>
      </div>
      <div className="flex flex-wrap gap-2">
        <Button primary={!past} disabled={busy} onClick={() => act.pour.mutate(b.pourML)}>
          Pour {toWhole(b.pourML)} mL
        </Button>
        <Button disabled={busy} onClick={() => act.finish.mutate()}>
          Finish
        </Button>
        <Button primary={past} disabled={busy} onClick={() => setThrowing(true)}>
          Throw out
        </Button>
      </div>
      <ErrorText id="bottle-error">{error instanceof Refused ? error.message : undefined}</ErrorText>
      {looking && <BatchDialog id={b.batchID} onClose={() => setLooking(false)} />}
      {throwing && <ThrowOutDialog b={b} onClose={() => setThrowing(false)} />}
    </Tray>
  )
}

const schoolWord = (school: string) => (school === 'customary' ? 'custom' : 'caution')

const otherStillGood = (b: Bottle) => b.school === 'cautious' && b.otherUseBy > b.useBy && b.place === 'fridge'

const usualReasons = ['past its date', 'smelled sour', 'split or slimy', 'nobody drank it']

function ThrowOutDialog({ b, onClose }: { b: Bottle; onClose: () => void }) {
  const { throwOut } = useBottle(b.id)
  const [why, setWhy] = useState(b.standing === 'past' ? 'past its date' : '')
  const submit = (e: FormEvent) => {
    e.preventDefault()
    throwOut.mutate(why, { onSuccess: onClose })
  }
  return (
    <Dialog open onClose={onClose} title="Throw out" intro={`${toMillilitres(b.leftML)} of ${b.drinkName} goes.`}>
      <form onSubmit={submit} className="grid gap-4">
        <Field
          label="Why"
          value={why}
          maxLength={200}
          onChange={(e) => setWhy(e.target.value)}
          error={throwOut.error instanceof Refused ? throwOut.error.message : undefined}
        />
        <div className="flex flex-wrap gap-2">
          {usualReasons.map((reason) => (
            <Button
              key={reason}
              aria-pressed={why === reason}
              onClick={() => setWhy(reason)}
              className="!min-h-9 !px-3"
            >
              {reason}
            </Button>
          ))}
        </div>
        <div className="flex justify-end gap-2">
          <Button onClick={onClose}>Keep it</Button>
          <Button primary type="submit" disabled={throwOut.isPending}>
            Throw it out
          </Button>
        </div>
      </form>
    </Dialog>
  )
}
