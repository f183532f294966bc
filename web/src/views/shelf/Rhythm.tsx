import { useMutation, useQueryClient } from '@tanstack/react-query'
import { X } from 'lucide-react'
import { useState } from 'react'
import { answer, api, Refused } from '../../api/client'
import { useDrinks, useKitchen, useRhythm } from '../../api/hooks'
import type { Rhythm as RhythmNow, RhythmWays } from '../../api/schema'
import { Button, IconButton } from '../../ui/Button'
import { classes } from '../../ui/classes'
import { ErrorText } from '../../ui/Field'
import { toMillilitres, toMoney, toTwoFigures, toWhole } from '../../ui/format'
import { NumberField } from '../../ui/NumberField'
import { Select } from '../../ui/Select'
import { Tray } from '../../ui/Tray'
import { PlanNext } from './PlanNext'
import { PouredWeek } from './PouredWeek'

const days = ['Sun', 'Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat']

/** Rhythm is when to make the drinks that take turns and how much, so that nothing passes its date. */
export function Rhythm() {
  const rhythm = useRhythm()
  if (!rhythm.data || rhythm.data.drinkIDs.length === 0) return null
  return <RhythmTray now={rhythm.data} />
}

function RhythmTray({ now }: { now: RhythmNow }) {
  const client = useQueryClient()
  const [ways, setWays] = useState({ drinkIDs: now.drinkIDs, perDayML: now.perDayML, days: now.days })
  const set = useMutation({
    scope: { id: 'rhythm' }, // one after the other, each from the revision that the one before came to
    mutationFn: (body: RhythmWays) => {
      const revision = client.getQueryData<RhythmNow>(['shelf', 'rhythm'])?.revision
      return answer(api.PUT('/api/rhythm', { body: { ...body, revision } }))
    },
    onSuccess: (rhythm) => client.setQueryData(['shelf', 'rhythm'], rhythm),
    onError: () => client.invalidateQueries({ queryKey: ['shelf', 'rhythm'] }),
  })
  const change = (part: Partial<RhythmWays>) => {
    const next = { ...ways, ...part }
    setWays(next)
    set.mutate(next)
  }
  const refused = set.error instanceof Refused ? set.error.message : undefined
  const problem = refused ?? (now.problem || undefined)
  return (
    <Tray label="Rhythm" className="grid grid-cols-[minmax(0,1fr)] gap-3">
      <h2 className="text-xl">Rhythm</h2>
      <PouredWeek poured={now.poured} />
      <Turns ids={ways.drinkIDs} onChange={(drinkIDs) => change({ drinkIDs })} />
      <NumberField
        label="Drunk a day"
        unit="mL"
        hint={now.drinks.map((d) => `${toMillilitres(d.perDayML)} of ${d.drinkName}, ${d.from}`).join('; ')}
        value={ways.perDayML || undefined}
        onNumber={(perDayML) => change({ perDayML })}
        onEmpty={() => change({ perDayML: 0 })}
      />
      <fieldset className="flex flex-wrap gap-1">
        <legend className="mb-1 text-sm font-bold">Willing to make it on</legend>
        {days.map((d, n) => (
          <button
            key={d}
            type="button"
            aria-pressed={ways.days[n]}
            onClick={() => change({ days: ways.days.map((w, k) => (k === n ? !w : w)) })}
            className={classes(
              'min-h-11 min-w-11 rounded-full border-2 border-rim px-1 text-detail font-bold',
              ways.days[n] ? 'bg-rim text-on-rim' : 'bg-enamel text-mute',
            )}
          >
            {d}
          </button>
        ))}
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
            label={n === 0 ? 'Drink' : 'then'}
            className="min-w-0 grow"
            value={String(id)}
            choices={choices.filter((c) => c.value === String(id) || !ids.includes(Number(c.value)))}
            onChange={(v) => onChange(ids.map((was) => (was === id ? Number(v) : was)))}
          />
          {ids.length > 1 && (
            <IconButton
              label={`Leave out ${choices.find((c) => c.value === String(id))?.label ?? ''}`}
              onClick={() => onChange(ids.filter((was) => was !== id))}
            >
              <X size={18} aria-hidden />
            </IconButton>
          )}
        </div>
      ))}
      {others[0] && ids.length < 7 && (
        <div>
          <Button onClick={() => onChange([...ids, Number(others[0]?.value)])}>Another in turn</Button>
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
          It keeps {d.lifeDays} {d.lifeDays === 1 ? 'day' : 'days'}; {toMillilitres(d.thereML)} is there.{' '}
          <span className="text-mute">
            {d.habit}{' '}
            {d.wasteML >= 1 ? `wastes ${toMillilitres(d.wasteML)} a week${money(d.wasteCost)}` : 'wastes nothing'}
            {d.dryDays >= 0.5 && `, and for ${toTwoFigures(d.dryDays)} days of it there is none`}.
          </span>
        </p>
      ))}
      <p>
        What is there lasts {toTwoFigures(r.lastsDays)} days
        {r.passesML >= 1 && `, and ${toMillilitres(r.passesML)} of it passes its date before its turn comes`}.
        {r.freezePct > 0 &&
          ` Freeze ${toWhole(r.freezePct)} % of what is made at once, in bottles of up to ${r.drinks.map((d) => toMillilitres(d.bottleML)).join(' and ')}.`}
      </p>
      {r.thrownML > 0 && (
        <p className="text-mute">
          Thrown out in four weeks: {toMillilitres(r.thrownML)}
          {money(r.thrownFor)} ({r.thrown.join('; ')}).
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
        {r.weeks === 1 ? 'Every week' : `A round of ${r.weeks} weeks`}
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
              {m.freezeML > 0 && <span className="block text-mute">{toMillilitres(m.freezeML)} frozen</span>}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}
