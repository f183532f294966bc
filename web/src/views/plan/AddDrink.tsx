import { useState } from 'react'
import { answer, api, Refused } from '../../api/client'
import { useDrinks, usePlanChange } from '../../api/hooks'
import { NewItem as limits } from '../../api/limits'
import type { Bowl, NewItem } from '../../api/schema'
import { copy } from '../../copy/more'
import { Button } from '../../ui/Button'
import { Confirm } from '../../ui/Confirm'
import { Dialog } from '../../ui/Dialog'
import { ErrorText, Field } from '../../ui/Field'
import { useFields } from '../../ui/form'
import { numberOf } from '../../ui/limit'
import { Select } from '../../ui/Select'

/** tomorrowAfternoon is a time to begin with, as a field of day and time holds it. */
function tomorrowAfternoon(): string {
  const t = new Date()
  const two = (n: number) => String(n).padStart(2, '0')
  t.setDate(t.getDate() + 1)
  return `${t.getFullYear()}-${two(t.getMonth() + 1)}-${two(t.getDate())}T16:00`
}

const when = [
  { value: 'by', label: copy.plan.atASetTime },
  { value: 'now', label: copy.plan.asSoonAsPossibleStarting },
]

/** AddDrink puts a drink on the plan, at the size it has on the Bench. */
type Props = { bowls: Bowl[]; drinkID?: number; onClose: () => void; onDone?: () => void }

export function AddDrink({ bowls, drinkID, onClose, onDone = onClose }: Props) {
  const drinks = useDrinks()
  const form = useFields(limits, {
    drinkID: drinkID ? String(drinkID) : '',
    start: 'by',
    bowlID: '0',
    readyBy: tomorrowAfternoon(),
    guests: '',
    servingsEach: '',
  })
  const add = usePlanChange((body: NewItem) => answer(api.POST('/api/plan/items', { body })))
  const id = form.value('drinkID') || String(drinks.data?.[0]?.id ?? '')
  const isTimed = form.value('start') === 'by'
  const [asked, setAsked] = useState<{ text: string; again: () => void }>()
  const send = (body: NewItem): Promise<void> =>
    add.mutateAsync(body).then(onDone, (e) => {
      if (!(e instanceof Refused) || !e.fields.anyway) throw e
      setAsked({ text: e.fields.anyway, again: () => send({ ...body, anyway: true }) })
    })
  const submit = form.submit(({ readyBy, bowlID, guests, servingsEach }) =>
    send({
      drinkID: Number(id),
      readyBy,
      startNow: !isTimed,
      bowlID: Number(bowlID),
      guests: numberOf(guests),
      servingsEach: numberOf(servingsEach),
    }),
  )
  return (
    <Dialog onClose={onClose} title={copy.plan.planADrink} intro={copy.plan.atTheSizeSetOn}>
      <form onSubmit={submit} className="grid gap-4">
        <Select
          label={copy.plan.drink}
          value={id}
          choices={(drinks.data ?? []).map((d) => ({ value: String(d.id), label: d.name }))}
          onChange={form.choose('drinkID')}
        />
        <Select label={copy.plan.ready} value={form.value('start')} choices={when} onChange={form.choose('start')} />
        {isTimed && <Field label={copy.plan.readyBy} type="datetime-local" {...form.field('readyBy')} />}
        <div className="grid gap-3 sm:grid-cols-2">
          <Field label={copy.plan.guests} hint={copy.plan.guestsHint} {...form.field('guests', { optional: true })} />
          <Field
            label={copy.plan.servingsEach}
            hint={copy.plan.servingsEachHint}
            {...form.field('servingsEach', { optional: true })}
          />
        </div>
        {bowls.length > 0 && (
          <Select
            label={copy.plan.base}
            value={form.value('bowlID')}
            choices={[
              { value: '0', label: copy.plan.soakedForThisDrink },
              ...bowls.map((b) => ({ value: String(b.id), label: copy.plan.fromTheBowlOf(b.name.toLowerCase()) })),
            ]}
            onChange={form.choose('bowlID')}
          />
        )}
        <ErrorText id="add-error">{form.refusal}</ErrorText>
        {asked && (
          <Confirm
            title={copy.plan.someLinesAreNotCounted}
            text={asked.text}
            confirm={copy.plan.planItAnyway}
            onConfirm={asked.again}
            onClose={() => setAsked(undefined)}
          />
        )}
        <div className="flex justify-end">
          <Button primary type="submit" disabled={id === '' || form.busy}>
            {copy.plan.planIt}
          </Button>
        </div>
      </form>
    </Dialog>
  )
}
