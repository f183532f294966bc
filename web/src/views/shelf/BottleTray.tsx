import { type FormEvent, useState } from 'react'
import { Link } from 'wouter'
import { Refused } from '../../api/client'
import { useBottle, useStory } from '../../api/hooks'
import type { Bottle, Moved } from '../../api/schema'
import { Button } from '../../ui/Button'
import { Dialog } from '../../ui/Dialog'
import { ErrorText, Field } from '../../ui/Field'
import { toDayAndClock, toDayAndMonth, toMillilitres, toTwoFigures, toWhole } from '../../ui/format'
import { Menu, MenuItem } from '../../ui/Menu'
import { Notice } from '../../ui/Notice'
import { NumberField } from '../../ui/NumberField'
import { Tray } from '../../ui/Tray'
import { BatchDialog } from './BatchDialog'
import { StoryDialog } from './StoryDialog'

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
          <span className="block font-head text-2xl leading-tight font-bold">{toDayAndMonth(b.useBy)}</span>
          <span className="text-mute">{past ? b.timeLeft : `last good day · ${b.timeLeft}`}</span>
          {!past && b.earliest !== b.latest && (
            <span className="block text-[14px] text-mute">
              {toDayAndMonth(b.earliest)} to {toDayAndMonth(b.latest)}, were the fridge a degree warmer or colder
            </span>
          )}
        </p>
      </div>
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
      <div className="text-[15px] leading-snug">
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
      <NotFor id={b.id} />
      <PourOther b={b} onPour={act.pour.mutate} />
      <div className="flex flex-wrap gap-2">
        <Button primary={!past} disabled={busy} onClick={() => act.pour.mutate(b.pourML)}>
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

const places: { place: Moved['place']; words: string }[] = [
  { place: 'fridge', words: 'Into the fridge' },
  { place: 'door', words: 'Into the fridge door' },
  { place: 'freezer', words: 'Into the freezer' },
  { place: 'outside', words: 'Outside, onto the table' },
]

type MoveProps = {
  b: Bottle
  others: Bottle[]
  onMove: (place: Moved['place']) => void
  onMerge: (other: number) => void
}

/** MoveMenu puts the bottle elsewhere; the date follows. */
function MoveMenu({ b, others, onMove, onMerge }: MoveProps) {
  return (
    <Menu trigger={<Button>Move</Button>} align="start">
      {places
        .filter((p) => p.place !== b.place)
        .map((p) => (
          <MenuItem
            key={p.place}
            disabled={p.place === 'freezer' && !b.canFreeze}
            hint={p.place === 'freezer' && !b.canFreeze ? 'frozen once already' : undefined}
            onSelect={() => onMove(p.place)}
          >
            {b.place === 'freezer' && p.place === 'fridge' ? 'Into the fridge, to thaw' : p.words}
          </MenuItem>
        ))}
      {others.map((o) => (
        <MenuItem key={o.id} hint={`${toMillilitres(o.leftML)} left`} onSelect={() => onMerge(o.id)}>
          Pour together with bottle {o.id}
        </MenuItem>
      ))}
    </Menu>
  )
}

/** PourOther pours another amount than a serving. */
function PourOther({ b, onPour }: { b: Bottle; onPour: (ml: number) => void }) {
  const [ml, setML] = useState<number>()
  return (
    <div className="flex items-end gap-2">
      <NumberField
        className="w-36"
        label="Another amount"
        unit="mL"
        value={ml}
        onNumber={setML}
        onEmpty={() => setML(undefined)}
      />
      <Button disabled={!ml} onClick={() => ml && onPour(ml)}>
        Pour it
      </Button>
      <span className="pb-3 text-[14px] text-mute">of {toMillilitres(b.leftML)}</span>
    </div>
  )
}

/** NotFor names the drinkers it is not for, and why. */
function NotFor({ id }: { id: number }) {
  const not = useStory(id).data?.forWhom.filter((w) => w.not) ?? []
  if (not.length === 0) return null
  return (
    <Notice>
      <b>Not for</b> {not.map((w) => `${w.name} (${w.reasons.join(', ')})`).join('; ')}.
    </Notice>
  )
}

const schoolWord = (school: string) => (school === 'customary' ? 'custom' : 'caution')

const otherStillGood = (b: Bottle) => b.school === 'cautious' && b.otherGood && b.place !== 'freezer'

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
