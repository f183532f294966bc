import { useState } from 'react'
import { Link, useSearchParams } from 'wouter'
import { Refused } from '../../api/client'
import type { Bottle } from '../../api/schema'
import { useBottle } from '../../api/shelf'
import { copy } from '../../copy/more'
import { Button } from '../../ui/Button'
import { ErrorText } from '../../ui/Field'
import { toDayAndClock, toDayAndMonth, toMillilitres, toTwoFigures, toWhole } from '../../ui/format'
import { Notice } from '../../ui/Notice'
import { Tray } from '../../ui/Tray'
import { NotFor } from '../whom/NotFor'
import { MoveMenu } from './MoveMenu'
import { PourOther } from './PourOther'
import { StoryDialog } from './StoryDialog'
import { ThrowOutDialog } from './ThrowOutDialog'

/** BottleTray tells all about one bottle and pours from it. */
export function BottleTray({ b, others }: { b: Bottle; others: Bottle[] }) {
  const act = useBottle(b.id)
  const [throwing, setThrowing] = useState(false)
  const [shown, show] = useShown()
  const past = b.standing === 'past'
  const acts = [act.pour, act.finish, act.undo, act.move, act.merge]
  const error = acts.find((a) => a.error)?.error
  const busy = acts.some((a) => a.isPending)
  const solid = isSolid(b)
  return (
    <Tray label={copy.shelf.bottleOf} className="grid gap-3">
      <div>
        <div className="flex items-start justify-between gap-3">
          <h2 className="text-heading leading-tight">{b.drinkName}</h2>
          <span className="pt-1 whitespace-nowrap text-mute">{copy.shelf.bottle(b.id)}</span>
        </div>
        <p className="text-mute">
          {copy.shelf.made(toDayAndMonth(b.madeOn), toMillilitres(b.volumeML))}
          <Link href={`/bench/${b.drinkID}`} className="underline">
            {copy.shelf.versionNumber(b.version)}
          </Link>{' '}
          ·{' '}
          <Link href={`/notes/batch/${b.batchID}?bottle=${b.id}`} className="underline">
            {copy.shelf.batch}
          </Link>{' '}
          ·{' '}
          <button type="button" className="underline" onClick={() => show('history')}>
            {copy.shelf.history}
          </button>{' '}
          ·{' '}
          <Link href={`/labels?bottles=${b.id}`} className="underline">
            {copy.shelf.label}
          </Link>
        </p>
      </div>
      <div className="grid grid-cols-2 gap-4">
        <p>
          <span className="block font-head text-2xl leading-tight font-bold">{toMillilitres(b.leftML)}</span>
          <span className="text-mute">
            {copy.shelf.servingsOfMlLeft(toTwoFigures(b.servings), toWhole(b.servingML))}
          </span>
        </p>
        <p>
          <span className="block font-head text-2xl leading-tight font-bold">{b.useByWords}</span>
          <span className="text-mute">{past ? b.timeLeft : copy.shelf.timeLeft(b.timeLeft)}</span>
          {!past && b.earliest !== b.latest && (
            <span className="block text-detail text-mute">
              {copy.shelf.toIfTheFridgeIs(toDayAndMonth(b.earliest), toDayAndMonth(b.latest))}
            </span>
          )}
        </p>
      </div>
      <WhyThatDate b={b} past={past} />
      <NotFor whom={b.forWhom} large />
      <div className="flex flex-wrap gap-2">
        <Button primary={!past} disabled={busy || solid} onClick={() => act.pour.mutate({ ml: b.pourML })}>
          {copy.shelf.pourMl(toWhole(b.pourML))}
        </Button>
        <Button disabled={busy} onClick={() => act.undo.mutate()}>
          {copy.shelf.undoTheLastPour}
        </Button>
        <MoveMenu
          b={b}
          others={solid ? [] : others.filter((o) => !isSolid(o))}
          onMove={act.move.mutate}
          onMerge={act.merge.mutate}
        />
        <Button disabled={busy} onClick={() => act.finish.mutate()}>
          {copy.shelf.finished}
        </Button>
        <Button primary={past} disabled={busy} onClick={() => setThrowing(true)}>
          {copy.shelf.throwAway}
        </Button>
      </div>
      {solid ? <p className="text-note">{copy.shelf.thawFirst}</p> : <PourOther onPour={act.pour.mutate} />}
      {act.pour.isSuccess && b.tasted === 0 && (
        <Link
          href={`/notes/batch/${b.batchID}?bottle=${b.id}`}
          className="inline-flex min-h-11 items-center justify-self-start rounded-full bg-oat px-4 font-bold text-day-ink"
        >
          {copy.notes.howWasIt}
        </Link>
      )}
      {b.place === 'freezer' && <p className="text-sm text-mute">{copy.shelf.leaveATenthEmptyLiquid}</p>}
      <ErrorText id="bottle-error">{error instanceof Refused ? error.message : undefined}</ErrorText>
      {shown === 'history' && <StoryDialog id={b.id} onClose={() => show()} />}
      {throwing && <ThrowOutDialog b={b} onClose={() => setThrowing(false)} />}
    </Tray>
  )
}

/** isSolid tells what nothing is poured from yet: it is frozen, or thaws. */
const isSolid = (b: Bottle) => b.place === 'freezer' || b.thawing !== ''

/** useShown is which dialog of the bottle is open, as its address says. */
function useShown() {
  const [params, set] = useSearchParams()
  const show = (what?: 'history') => set(what ? { show: what } : {}, { replace: true })
  return [params.get('show'), show] as const
}

/** WhyThatDate says what a bottle's date rests on, and what else there is to know of keeping it. */
function WhyThatDate({ b, past }: { b: Bottle; past: boolean }) {
  return (
    <>
      {past && (
        <Notice>
          <b>{b.out ? copy.shelf.throwItAway(b.out) : copy.shelf.pastItsDate}</b>{' '}
          {b.out ? copy.shelf.doNotDrinkItWhatever : copy.shelf.throwItAwayNow}
          {!b.out && otherStillGood(b)
            ? copy.shelf.andTheRuleGives(ruleOf(b.otherSchool), toDayAndMonth(b.otherUseBy))
            : ''}
          {copy.shelf.ifItSmellsOffFizzes}
        </Notice>
      )}
      <div className="text-note leading-snug">
        <p>
          <b>{copy.shelf.whyThisDate}</b> {b.reasons.join('; ')}.
        </p>
        {b.otherUseBy !== b.useBy && !past && (
          <p>{copy.shelf.otherRuleGives(ruleOf(b.otherSchool), toDayAndMonth(b.otherUseBy))}</p>
        )}
        {b.longer.length > 0 && (
          <p>
            <b>{copy.shelf.toMakeItLastLonger}</b> {b.longer.join('; ')}.
          </p>
        )}
        {b.thawing && <p>{copy.shelf.thawingInTheFridgeUntil(toDayAndClock(b.thawing))}</p>}
        <p>
          <b>{copy.shelf.shakeBeforeUse}</b>{' '}
          {b.allergens.length > 0 ? copy.shelf.contains(b.allergens.join(', ')) : copy.shelf.noListedAllergens}
        </p>
      </div>
    </>
  )
}

const ruleOf = (school: string) => copy.shelf.rules[school] ?? school

const otherStillGood = (b: Bottle) => b.school === 'cautious' && b.otherGood && b.place !== 'freezer'
