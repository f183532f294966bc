import { type FormEvent, useState } from 'react'
import { answer, api, Refused } from '../../api/client'
import { useDrinks, usePlanChange } from '../../api/hooks'
import { Button } from '../../ui/Button'
import { Dialog } from '../../ui/Dialog'
import { ErrorText, Field } from '../../ui/Field'
import { Select } from '../../ui/Select'

/** tomorrowNoon is a time to begin with, as a field of day and time holds it. */
function tomorrowNoon(): string {
  const t = new Date()
  const two = (n: number) => String(n).padStart(2, '0')
  t.setDate(t.getDate() + 1)
  return `${t.getFullYear()}-${two(t.getMonth() + 1)}-${two(t.getDate())}T16:00`
}

/** AddDrink puts a drink on the plan, at the size it has on the Bench. */
export function AddDrink({ onClose }: { onClose: () => void }) {
  const drinks = useDrinks()
  const [chosen, setChosen] = useState('')
  const [readyBy, setReadyBy] = useState(tomorrowNoon)
  const add = usePlanChange((body: { drinkID: number; readyBy: string }) =>
    answer(api.POST('/api/plan/items', { body })),
  )
  const id = chosen || String(drinks.data?.[0]?.id ?? '')
  const refused = add.error instanceof Refused ? add.error : undefined
  const submit = (e: FormEvent) => {
    e.preventDefault()
    add.mutate({ drinkID: Number(id), readyBy }, { onSuccess: onClose })
  }
  return (
    <Dialog onClose={onClose} title="Plan a drink" intro="At the size it has on the Bench.">
      <form onSubmit={submit} className="grid gap-4">
        <Select
          label="Drink"
          value={id}
          choices={(drinks.data ?? []).map((d) => ({ value: String(d.id), label: d.name }))}
          onChange={setChosen}
        />
        <Field
          label="Ready by"
          type="datetime-local"
          value={readyBy}
          error={refused?.fields.readyBy}
          onChange={(e) => setReadyBy(e.target.value)}
        />
        <ErrorText id="add-error">{refused && !refused.fields.readyBy ? refused.message : undefined}</ErrorText>
        <div className="flex justify-end">
          <Button primary type="submit" disabled={id === '' || add.isPending}>
            Plan it
          </Button>
        </div>
      </form>
    </Dialog>
  )
}
