import { Soup } from 'lucide-react'
import { useState } from 'react'
import { answer, api, Refused } from '../../api/client'
import { usePlanChange } from '../../api/hooks'
import type { Bowl, Plan } from '../../api/schema'
import { copy } from '../../copy/more'
import { Button } from '../../ui/Button'
import { Confirm } from '../../ui/Confirm'
import { classes } from '../../ui/classes'
import { ErrorText } from '../../ui/Field'
import { toDayAndClock, toGrams, toMillilitres } from '../../ui/format'
import { Notice } from '../../ui/Notice'
import { NumberField } from '../../ui/NumberField'
import { Tray } from '../../ui/Tray'
import { ActButton, Typing } from '../../ui/Typing'
import { StartBowl } from './StartBowl'

/** Bowls are the lots that soak, topped up and drawn from for several drinks. */
export function Bowls({ plan }: { plan: Plan }) {
  const [starting, setStarting] = useState(false)
  return (
    <Tray label={copy.bowls.soakingBowls} className="grid gap-2">
      <h2 className="text-xl">{copy.bowls.soakingBowls}</h2>
      {plan.bowls.length === 0 && <p className="text-note text-mute">{copy.bowls.soakOnceForSeveralDrinks}</p>}
      <ul className="grid gap-3">
        {plan.bowls.map((b) => (
          <Typing key={b.id}>
            <BowlRow b={b} />
          </Typing>
        ))}
      </ul>
      <div>
        <Button onClick={() => setStarting(true)}>
          <Soup size={18} aria-hidden />
          {copy.bowls.startABowl}
        </Button>
      </div>
      {starting && <StartBowl soakable={plan.soakable} onClose={() => setStarting(false)} />}
    </Tray>
  )
}

function BowlRow({ b }: { b: Bowl }) {
  const params = { path: { id: b.id } }
  const [more, setMore] = useState<number>()
  const change = usePlanChange((body: { freshWater: boolean; fridge: boolean }) =>
    answer(api.PUT('/api/bowls/{id}', { params, body })),
  )
  const topUp = usePlanChange((dryG: number) => answer(api.POST('/api/bowls/{id}/top-up', { params, body: { dryG } })))
  const [asked, setAsked] = useState<string>()
  const end = usePlanChange((anyway: boolean) =>
    answer(api.DELETE('/api/bowls/{id}', { params: { ...params, query: { anyway } } })),
  )
  const empty = () =>
    end.mutate(false, { onError: (e) => setAsked(e instanceof Refused ? e.fields.anyway : undefined) })
  const problem = [change.error, topUp.error, end.error].find((e) => e instanceof Refused && !e.fields.anyway)
  return (
    <li className="grid gap-1.5 border-t border-line pt-2">
      <p className="leading-tight">
        <b>{b.name}</b>{' '}
        <span className="text-mute">
          {copy.bowls.drySoaked(toGrams(b.dryG), toGrams(b.wetG))}
          {b.fridge ? copy.bowls.inTheFridge : copy.bowls.onTheCounter}
        </span>
      </p>
      <p className="text-note">
        {copy.bowls.soakingSinceReadyFrom(toDayAndClock(b.since), toDayAndClock(b.ready))}
        <b className={classes(b.past && 'text-hibiscus-deep')}>{copy.bowls.within(toDayAndClock(b.within))}</b>
        {copy.bowls.waterChanged(toDayAndClock(b.changed))}
        {b.vesselML > 0 && copy.bowls.aBowl(toMillilitres(b.vesselML))}.
      </p>
      <p className={classes('text-note', b.shortG > 0 ? 'font-bold text-hibiscus-deep' : 'text-mute')}>{b.enough}</p>
      {b.past && <Notice>{copy.bowls.pastItsTimeIfIt}</Notice>}
      <div className="flex flex-wrap items-end gap-2">
        <Button
          aria-label={copy.bowls.waterChangedOf(b.name)}
          onClick={() => change.mutate({ freshWater: true, fridge: b.fridge })}
        >
          {copy.bowls.waterChangedButton}
        </Button>
        <Button
          aria-label={`${b.fridge ? copy.bowls.ontoTheCounter : copy.bowls.intoTheFridge}: ${b.name}`}
          onClick={() => change.mutate({ freshWater: false, fridge: !b.fridge })}
        >
          {b.fridge ? copy.bowls.ontoTheCounter : copy.bowls.intoTheFridge}
        </Button>
        <Button aria-label={`${b.past ? copy.bowls.throwAway : copy.bowls.empty}: ${b.name}`} onClick={empty}>
          {b.past ? copy.bowls.throwAway : copy.bowls.empty}
        </Button>
      </div>
      <div className="flex flex-wrap items-end gap-2">
        <NumberField
          className="w-36"
          label={copy.bowls.topUp(b.name)}
          unit="g"
          value={more}
          onNumber={setMore}
          onEmpty={() => setMore(undefined)}
        />
        <ActButton
          aria-label={copy.bowls.topUpOf(b.name)}
          disabled={!more}
          onClick={() => more && topUp.mutate(more, { onSuccess: () => setMore(undefined) })}
        >
          {copy.bowls.topUpButton}
        </ActButton>
      </div>
      {asked && (
        <Confirm
          title={copy.bowls.emptyTitle}
          text={asked}
          confirm={copy.bowls.emptyIt}
          onConfirm={() => end.mutate(true)}
          onClose={() => setAsked(undefined)}
        />
      )}
      <ErrorText id={`bowl-${b.id}-error`}>{problem?.message}</ErrorText>
    </li>
  )
}
