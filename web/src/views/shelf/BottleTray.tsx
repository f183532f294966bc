import { useState } from 'react'
import { Link } from 'wouter'
import { Refused } from '../../api/client'
import { useBottle } from '../../api/hooks'
import type { Bottle } from '../../api/schema'
import { Button } from '../../ui/Button'
import { ErrorText } from '../../ui/Field'
import { toDayAndClock, toDayAndMonth, toMillilitres, toTwoFigures, toWhole } from '../../ui/format'
import { Notice } from '../../ui/Notice'
import { Tray } from '../../ui/Tray'
import { NotFor } from '../whom/NotFor'
import { BatchDialog } from './BatchDialog'
import { MoveMenu } from './MoveMenu'
import { PourOther } from './PourOther'
import { StoryDialog } from './StoryDialog'
import { ThrowOutDialog } from './ThrowOutDialog'

/** BottleTray tells all about one bottle and pours from it. */
export function BottleTray({ b, others }: { b: Bottle; others: Bottle[] }) {
  const act = useBottle(b.id)
  const [throwing, setThrowing] = useState(false)
  const [looking, setLooking] = useState(false)
  const [story, setStory] = useState(false)
  const past = b.standing === 'past'
  const acts = [act.pour, act.finish, act.undo, act.move, act.merge]
  const error = acts.find((a) => a.error)?.error
  const busy = acts.some((a) => a.isPending)
  return (
    <Tray label="Bottle" className="grid gap-3">
      <div>
        <div className="flex items-start justify-between gap-3">
          <h2 className="text-heading leading-tight">{b.drinkName}</h2>
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
          </button>{' '}
          ·{' '}
          <button type="button" className="underline" onClick={() => setStory(true)}>
            its story
          </button>{' '}
          ·{' '}
          <Link href={`/labels?bottles=${b.id}`} className="underline">
            label
          </Link>
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
          <span className="block font-head text-2xl leading-tight font-bold">{b.useByWords}</span>
          <span className="text-mute">{past ? b.timeLeft : `use by · ${b.timeLeft}`}</span>
          {!past && b.earliest !== b.latest && (
            <span className="block text-detail text-mute">
              {toDayAndMonth(b.earliest)} to {toDayAndMonth(b.latest)}, were the fridge a degree warmer or colder
            </span>
          )}
        </p>
      </div>
      <WhyThatDate b={b} past={past} />
      <NotFor whom={b.forWhom} large />
      <div className="flex flex-wrap gap-2">
        <Button primary={!past} disabled={busy} onClick={() => act.pour.mutate({ ml: b.pourML })}>
          Pour {toWhole(b.pourML)} mL
        </Button>
        <Button disabled={busy} onClick={() => act.undo.mutate()}>
          Take the last pour back
        </Button>
        <MoveMenu b={b} others={others} onMove={act.move.mutate} onMerge={act.merge.mutate} />
        <Button disabled={busy} onClick={() => act.finish.mutate()}>
          Finish
        </Button>
        <Button primary={past} disabled={busy} onClick={() => setThrowing(true)}>
          Throw out
        </Button>
      </div>
      <PourOther onPour={act.pour.mutate} />
      {b.place === 'freezer' && (
        <p className="text-sm text-mute">
          A tenth of it left empty: water swells, and full glass cracks. It thaws in the fridge, and is not frozen
          again.
        </p>
      )}
      <ErrorText id="bottle-error">{error instanceof Refused ? error.message : undefined}</ErrorText>
      {looking && <BatchDialog id={b.batchID} onClose={() => setLooking(false)} />}
      {story && <StoryDialog id={b.id} onClose={() => setStory(false)} />}
      {throwing && <ThrowOutDialog b={b} onClose={() => setThrowing(false)} />}
    </Tray>
  )
}

/** WhyThatDate says what a bottle's date rests on, and what else there is to know of keeping it. */
function WhyThatDate({ b, past }: { b: Bottle; past: boolean }) {
  return (
    <>
      {past && (
        <Notice>
          <b>{b.out ? `Throw it out: ${b.out}.` : 'Past its date.'}</b>{' '}
          {b.out ? 'No arithmetic overrides that' : 'Throw it out'}
          {!b.out && otherStillGood(b)
            ? `, though by ${schoolWord(b.otherSchool)} it is good till ${toDayAndMonth(b.otherUseBy)}`
            : ''}
          . Smell, fizz, slime or bulging: out, whatever the date.
        </Notice>
      )}
      <div className="text-note leading-snug">
        <p>
          <b>Why that date.</b> {b.reasons.join('; ')}.
        </p>
        {b.otherUseBy !== b.useBy && !past && (
          <p>
            By {schoolWord(b.otherSchool)}: {toDayAndMonth(b.otherUseBy)}.
          </p>
        )}
        {b.longer.length > 0 && (
          <p>
            <b>What would lengthen it.</b> {b.longer.join('; ')}.
          </p>
        )}
        {b.thawing && <p>It thaws in the fridge until {toDayAndClock(b.thawing)}.</p>}
        <p>
          <b>Shake first.</b> {b.allergens.length > 0 ? `Contains ${b.allergens.join(', ')}.` : 'No listed allergen.'}
        </p>
      </div>
    </>
  )
}

const schoolWord = (school: string) => (school === 'customary' ? 'custom' : 'caution')

const otherStillGood = (b: Bottle) => b.school === 'cautious' && b.otherGood && b.place !== 'freezer'
