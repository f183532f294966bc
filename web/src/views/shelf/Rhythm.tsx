import { useMutation, useQueryClient } from '@tanstack/react-query'
import { X } from 'lucide-react'
import { useState } from 'react'
import { answer, api, Refused } from '../../api/client'
import { useDrinks, useKitchen } from '../../api/hooks'
import { keyOf, refresh } from '../../api/keys'
import type { Rhythm as RhythmNow, RhythmWays } from '../../api/schema'
import { useRhythm } from '../../api/shelf'
import { copy } from '../../copy/more'
import { Button, IconButton } from '../../ui/Button'
import { ErrorText } from '../../ui/Field'
import { toMillilitres, toMoney, toTwoFigures, toWhole } from '../../ui/format'
import { NumberField } from '../../ui/NumberField'
import { Select } from '../../ui/Select'
import { ToggleGroup } from '../../ui/ToggleGroup'
import { Tray } from '../../ui/Tray'
import { locale } from '../../ui/units'
import { PlanNext } from './PlanNext'
import { PouredWeek } from './PouredWeek'

const sunday = new Date('2026-11-29T12:00:00Z')

/** The days of the week by their place in it, Sunday first. */
const days = [0, 1, 2, 3, 4, 5, 6]
const nameOf = (day: number) =>
  new Intl.DateTimeFormat(locale, { weekday: 'short', timeZone: 'UTC' }).format(sunday.getTime() + day * 86_400_000)

const firstOf: Record<string, number> = { monday: 1, sunday: 0, saturday: 6 }

/** Rhythm is when to make the drinks that take turns and how much, so that nothing passes its date. */
export function Rhythm() {
  const rhythm = useRhythm()
  if (!rhythm.data || rhythm.data.drinkIDs.length === 0) return null
  return <RhythmTray now={rhythm.data} />
}

function RhythmTray({ now }: { now: RhythmNow }) {
  const first = firstOf[useKitchen().data?.weekStart ?? 'monday'] ?? 1
  const week = [...days.slice(first), ...days.slice(0, first)]
  const client = useQueryClient()
  const [ways, setWays] = useState({ drinkIDs: now.drinkIDs, perDayML: now.perDayML, days: now.days })
  const set = useMutation({
    scope: { id: 'rhythm' }, // one after the other, each from the revision that the one before came to
    mutationFn: (body: RhythmWays) => {
      const revision = client.getQueryData<RhythmNow>(keyOf('/api/rhythm'))?.revision
      return answer(api.PUT('/api/rhythm', { body: { ...body, revision } }))
    },
    onSuccess: (rhythm) => client.setQueryData(keyOf('/api/rhythm'), rhythm),
    onError: () => refresh(client, '/api/rhythm'),
  })
  const change = (part: Partial<RhythmWays>) => {
    const next = { ...ways, ...part }
    setWays(next)
    set.mutate(next)
  }
  const refused = set.error instanceof Refused ? set.error.message : undefined
  const problem = refused ?? (now.problem || undefined)
  return (
    <Tray label={copy.shelf.weeklyRhythm} className="grid grid-cols-[minmax(0,1fr)] gap-3">
      <h2 className="text-xl">{copy.shelf.weeklyRhythm}</h2>
      <PouredWeek poured={now.poured} />
      <Turns ids={ways.drinkIDs} onChange={(drinkIDs) => change({ drinkIDs })} />
      <NumberField
        label={copy.shelf.drunkPerDay}
        unit="mL"
        hint={now.drinks.map((d) => copy.shelf.drunkOf(toMillilitres(d.perDayML), d.drinkName, d.from)).join('; ')}
        value={ways.perDayML || undefined}
        onNumber={(perDayML) => change({ perDayML })}
        onEmpty={() => change({ perDayML: 0 })}
      />
      <fieldset className="flex flex-wrap gap-1">
        <legend className="mb-1 text-sm font-bold">{copy.shelf.daysYouCanMakeIt}</legend>
        <ToggleGroup
          label={copy.shelf.daysYouCanMakeIt}
          choices={week.map((d) => ({ value: String(d), label: nameOf(d) }))}
          chosen={days.filter((d) => ways.days[d]).map(String)}
          wide
          onToggle={(d) => change({ days: ways.days.map((w, k) => (k === Number(d) ? !w : w)) })}
        />
      </fieldset>
      <ErrorText id="rhythm-error">{problem}</ErrorText>
      {!problem && <Advice r={now} />}
    </Tray>
  )
}

/** Turns are the drinks that take turns, in that order. */
function Turns({ ids, onChange }: { ids: number[]; onChange: (ids: number[]) => void }) {
  const drinks = useDrinks().data ?? []
  const choices = drinks.map((d) => ({ value: String(d.id), label: d.name }))
  const others = choices.filter((c) => !ids.includes(Number(c.value)))
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-2">
      {ids.map((id, n) => (
        <div key={id} className="flex items-center gap-2">
          <Select
            label={n === 0 ? copy.shelf.drink : copy.shelf.afterThat}
            className="min-w-0 grow"
            value={String(id)}
            choices={choices.filter((c) => c.value === String(id) || !ids.includes(Number(c.value)))}
            onChange={(v) => onChange(ids.map((was) => (was === id ? Number(v) : was)))}
          />
          {ids.length > 1 && (
            <IconButton
              label={copy.shelf.remove(choices.find((c) => c.value === String(id))?.label ?? '')}
              onClick={() => onChange(ids.filter((was) => was !== id))}
            >
              <X size={18} aria-hidden />
            </IconButton>
          )}
        </div>
      ))}
      {others[0] && ids.length < 7 && (
        <div>
          <Button onClick={() => onChange([...ids, Number(others[0]?.value)])}>{copy.shelf.addADrinkInTurn}</Button>
        </div>
      )}
    </div>
  )
}

function Advice({ r }: { r: RhythmNow }) {
  const currency = useKitchen().data?.currency ?? 'GBP'
  const money = (v: number) => (v > 0 ? `, ${toMoney(v, currency)}` : '')
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-2 text-note">
      {r.drinks.length === 1 ? (
        <p>
          <b>{r.words}</b>
        </p>
      ) : (
        <Round r={r} />
      )}
      {r.drinks.map((d) => (
        <p key={d.drinkID}>
          {r.drinks.length > 1 && <b>{d.drinkName}. </b>}
          {copy.shelf.itKeeps(d.lifeDays)}
          {copy.shelf.youHave(toMillilitres(d.thereML))}
          <span className="text-mute">
            {d.habit}{' '}
            {d.wasteML >= 1
              ? copy.shelf.throwsAwayAWeek(toMillilitres(d.wasteML), money(d.wasteCost))
              : copy.shelf.throwsAwayNothing}
            {d.dryDays >= 0.5 && copy.shelf.andRunsOutForDays(toTwoFigures(d.dryDays))}.
          </span>
        </p>
      ))}
      <p>
        {copy.shelf.whatYouHaveLastsDays(toTwoFigures(r.lastsDays))}
        {r.passesML >= 1 && copy.shelf.butOfItWillBe(toMillilitres(r.passesML))}.
        {r.freezePct > 0 &&
          copy.shelf.freezeRightAfterMakingIt(
            toWhole(r.freezePct),
            r.drinks.map((d) => toMillilitres(d.bottleML)).join(copy.shelf.and),
          )}
      </p>
      {r.thrownML > 0 && (
        <p className="text-mute">
          {copy.shelf.thrownAwayInFourWeeks(toMillilitres(r.thrownML), money(r.thrownFor), r.thrown.join('; '))}
        </p>
      )}
      {r.next && <PlanNext next={r.next} />}
    </div>
  )
}

/** Round is the table of makings where drinks take turns. */
function Round({ r }: { r: RhythmNow }) {
  return (
    <table className="w-full text-left">
      <caption className="pb-1 text-left font-bold">
        {r.weeks === 1 ? copy.shelf.everyWeek : copy.shelf.aCycleOfWeeks(r.weeks)}
      </caption>
      <tbody>
        {r.makings.map((m) => (
          <tr key={`${m.week} ${m.day}`} className="border-t border-line align-top">
            <td className="py-1 pr-2 whitespace-nowrap">
              {r.weeks > 1 && `${m.week} · `}
              {m.day.slice(0, 3)}
            </td>
            <td className="py-1 pr-2">{m.drinkName}</td>
            <td className="py-1 text-right whitespace-nowrap">
              {toMillilitres(m.batchML)}
              {m.freezeML > 0 && (
                <span className="block text-mute">{copy.shelf.frozen(toMillilitres(m.freezeML))}</span>
              )}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}
