import { type FormEvent, useState } from 'react'
import { answer, api, Refused } from '../../api/client'
import { useDrinks, usePlanChange } from '../../api/hooks'
import type { Bowl, NewItem } from '../../api/schema'
import { Button } from '../../ui/Button'
import { Confirm } from '../../ui/Confirm'
import { Dialog } from '../../ui/Dialog'
import { ErrorText, Field } from '../../ui/Field'
import { Select } from '../../ui/Select'

/** tomorrowAfternoon is a time to begin with, as a field of day and time holds it. */
function tomorrowAfternoon(): string {
  const t = new Date()
  const two = (n: number) => String(n).padStart(2, '0')
  t.setDate(t.getDate() + 1)
  return `${t.getFullYear()}-${two(t.getMonth() + 1)}-${two(t.getDate())}T16:00`
}

const when = [
  { value: 'by', label: 'by a time' },
  { value: 'now', label: 'as soon as it can be, begun now' },
]

/** AddDrink puts a drink on the plan, at the size it has on the Bench. */
export function AddDrink({ bowls, onClose }: { bowls: Bowl[]; onClose: () => void }) {
  const drinks = useDrinks()
  const [chosen, setChosen] = useState('')
  const [start, setStart] = useState('by')
  const [bowl, setBowl] = useState('0')
  const [readyBy, setReadyBy] = useState(tomorrowAfternoon)
  const add = usePlanChange((body: NewItem) => answer(api.POST('/api/plan/items', { body })))
  const id = chosen || String(drinks.data?.[0]?.id ?? '')
  const refused = add.error instanceof Refused ? add.error : undefined
  const [asked, setAsked] = useState<{ text: string; again: () => void }>()
  const send = (body: NewItem) =>
    add.mutate(body, {
      onSuccess: onClose,
      onError: (e) => {
        if (e instanceof Refused && e.fields.anyway) {
          setAsked({ text: e.fields.anyway, again: () => send({ ...body, anyway: true }) })
        }
      },
    })
  const submit = (e: FormEvent) => {
    e.preventDefault()
    const body = { drinkID: Number(id), readyBy, startNow: start === 'now', bowlID: Number(bowl) }
    send(body)
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
        <Select label="Ready" value={start} choices={when} onChange={setStart} />
        {start === 'by' && (
          <Field
            label="Ready by"
            type="datetime-local"
            value={readyBy}
            error={refused?.fields.readyBy}
            onChange={(e) => setReadyBy(e.target.value)}
          />
        )}
        {bowls.length > 0 && (
          <Select
            label="Its base"
            value={bowl}
            choices={[
              { value: '0', label: 'soaks for itself' },
              ...bowls.map((b) => ({ value: String(b.id), label: `from the bowl of ${b.name.toLowerCase()}` })),
            ]}
            onChange={setBowl}
          />
        )}
        <ErrorText id="add-error">
          {refused && !(start === 'by' && refused.fields.readyBy) ? refused.message : undefined}
        </ErrorText>
        {asked && (
          <Confirm
            title="Some lines are not counted"
            text={asked.text}
            confirm="Plan it anyway"
            onConfirm={asked.again}
            onClose={() => setAsked(undefined)}
          />
        )}
        <div className="flex justify-end">
          <Button primary type="submit" disabled={id === '' || add.isPending}>
            Plan it
          </Button>
        </div>
      </form>
    </Dialog>
  )
}
