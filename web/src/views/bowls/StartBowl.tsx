import { type FormEvent, useState } from 'react'
import { answer, api, Refused } from '../../api/client'
import { usePlanChange } from '../../api/hooks'
import type { Named, NewBowl } from '../../api/schema'
import { Button } from '../../ui/Button'
import { Check } from '../../ui/Check'
import { Dialog } from '../../ui/Dialog'
import { ErrorText, Field } from '../../ui/Field'
import { asMeasure } from '../../ui/number'
import { Select } from '../../ui/Select'

/** StartBowl puts a lot in to soak, to be drawn from. */
export function StartBowl({ soakable, onClose }: { soakable: Named[]; onClose: () => void }) {
  const [ingredient, setIngredient] = useState(soakable[0]?.id ?? '')
  const [typed, setTyped] = useState('')
  const [fridge, setFridge] = useState(true)
  const start = usePlanChange((body: NewBowl) => answer(api.POST('/api/bowls', { body })))
  const refused = start.error instanceof Refused ? start.error : undefined
  const submit = (e: FormEvent) => {
    e.preventDefault()
    const dryG = asMeasure(typed, 'g')
    start.mutate({ ingredient, dryG: Number.isNaN(dryG) ? 0 : dryG, fridge }, { onSuccess: onClose })
  }
  return (
    <Dialog
      onClose={onClose}
      title="Start a soaking bowl"
      intro="In the fridge a soak keeps three times as long, and never past three days. Its water is changed every day."
    >
      <form onSubmit={submit} className="grid gap-4">
        <Select
          label="Soaks"
          value={ingredient}
          choices={soakable.map((i) => ({ value: i.id, label: i.name }))}
          onChange={setIngredient}
        />
        <Field
          label="Dry"
          unit="g"
          inputMode="decimal"
          value={typed}
          error={refused?.fields.dryG && 'Enter grams, from 1 to 20000.'}
          onChange={(e) => setTyped(e.target.value)}
        />
        <Check label="In the fridge" checked={fridge} onChange={setFridge} />
        <ErrorText id="bowl-error">{refused && !refused.fields.dryG ? refused.message : undefined}</ErrorText>
        <div className="flex justify-end">
          <Button primary type="submit" disabled={start.isPending}>
            Put it in to soak
          </Button>
        </div>
      </form>
    </Dialog>
  )
}
