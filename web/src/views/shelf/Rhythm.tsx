import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { answer, api, Refused } from '../../api/client'
import { useDrinks, useKitchen, usePlanChange } from '../../api/hooks'
import type { NewItem, RhythmFigure } from '../../api/schema'
import { Button } from '../../ui/Button'
import { classes } from '../../ui/classes'
import { ErrorText } from '../../ui/Field'
import { toDayAndClock, toMillilitres, toMoney, toTwoFigures, toWhole } from '../../ui/format'
import { NumberField } from '../../ui/NumberField'
import { Select } from '../../ui/Select'
import { Tray } from '../../ui/Tray'

const days = ['Sun', 'Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat']

/** Rhythm is when to make a drink and how much, so that nothing passes its date. */
export function Rhythm() {
  const drinks = useDrinks().data ?? []
  const [chosen, setChosen] = useState('')
  const [perDayML, setPerDayML] = useState(0)
  const [willing, setWilling] = useState<boolean[]>(days.map(() => true))
  const drinkID = Number(chosen || drinks[0]?.id || 0)
  const body = { drinkID, perDayML, days: willing }
  const rhythm = useQuery({
    queryKey: ['shelf', 'rhythm', body],
    queryFn: () => answer(api.POST('/api/rhythm', { body })),
    enabled: drinkID > 0,
    retry: false,
  })
  if (drinks.length === 0) return null
  const refused = rhythm.error instanceof Refused ? rhythm.error.message : undefined
  return (
    <Tray label="Rhythm" className="grid gap-3">
      <h2 className="text-xl">Rhythm</h2>
      <Select
        label="Drink"
        value={String(drinkID)}
        choices={drinks.map((d) => ({ value: String(d.id), label: d.name }))}
        onChange={setChosen}
      />
      <NumberField
        label="Drunk a day"
        unit="mL"
        hint={rhythm.data && `${toMillilitres(rhythm.data.perDayML)}, ${rhythm.data.from}`}
        value={perDayML || undefined}
        onNumber={setPerDayML}
        onEmpty={() => setPerDayML(0)}
      />
      <fieldset className="flex flex-wrap gap-1">
        <legend className="mb-1 text-sm font-bold">Willing to make it on</legend>
        {days.map((d, n) => (
          <button
            key={d}
            type="button"
            aria-pressed={willing[n]}
            onClick={() => setWilling(willing.map((w, k) => (k === n ? !w : w)))}
            className={classes(
              'min-h-11 min-w-11 rounded-full border-2 border-rim px-1 text-[14px] font-bold',
              willing[n] ? 'bg-rim text-on-rim' : 'bg-enamel text-mute',
            )}
          >
            {d}
          </button>
        ))}
      </fieldset>
      <ErrorText id="rhythm-error">{refused}</ErrorText>
      {rhythm.data && <Advice r={rhythm.data} drinkID={drinkID} />}
    </Tray>
  )
}

function Advice({ r, drinkID }: { r: RhythmFigure; drinkID: number }) {
  const currency = useKitchen().data?.currency ?? 'GBP'
  const plan = usePlanChange((body: NewItem) => answer(api.POST('/api/plan/items', { body })))
  return (
    <div className="grid gap-2 text-[15px]">
      <p>
        <b>{r.words}</b> It keeps {r.lifeDays} {r.lifeDays === 1 ? 'day' : 'days'}.
      </p>
      <p>
        {toMillilitres(r.thereML)} is there: {toTwoFigures(r.lastsDays)} days.
        {r.freezePct > 0 &&
          ` Freeze ${toWhole(r.freezePct)} % of it at once, in bottles of up to ${toMillilitres(r.bottleML)}.`}
      </p>
      {r.wasteML > 0 && (
        <p className="text-mute">
          One batch a week, none of it frozen, would waste {toMillilitres(r.wasteML)} of it
          {r.wasteCost > 0 && `, ${toMoney(r.wasteCost, currency)}`}.
        </p>
      )}
      {r.nextMaking && (
        <div>
          <Button onClick={() => plan.mutate({ drinkID, readyBy: r.nextMaking })} disabled={plan.isPending}>
            Plan the next for {toDayAndClock(r.nextMaking)}
          </Button>
        </div>
      )}
      {plan.isSuccess && <p role="status">It is on the plan.</p>}
      <ErrorText id="rhythm-plan-error">{plan.error?.message}</ErrorText>
    </div>
  )
}
