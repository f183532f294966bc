import { type FormEvent, useState } from 'react'
import { answer, api, Refused } from '../../api/client'
import { usePlanChange } from '../../api/hooks'
import type { Bottling, PlanItem } from '../../api/schema'
import { Button } from '../../ui/Button'
import { Dialog } from '../../ui/Dialog'
import { ErrorText, Field } from '../../ui/Field'
import { toMillilitres } from '../../ui/format'
import { accepts, asMeasure } from '../../ui/number'
import { BottleRows, BottlingCare, oneBottle, toBottles } from '../bottling/BottleRows'

const measured = (typed: string, unit: string) => (typed.trim() === '' ? undefined : asMeasure(typed, unit))

/** BottlingDialog puts a cooked drink into bottles, and records how it was really made. */
export function BottlingDialog({ item, onClose }: { item: PlanItem; onClose: () => void }) {
  const [gave, setGave] = useState('')
  const [pulp, setPulp] = useState('')
  const [bottles, setBottles] = useState(() => oneBottle(item.ml))
  const bottle = usePlanChange((body: Bottling) =>
    answer(api.POST('/api/plan/items/{id}/batch', { params: { path: { id: item.id } }, body })),
  )
  const refused = bottle.error instanceof Refused ? bottle.error : undefined
  const hasOpen = item.steps.some((s) => s.amounts.some((a) => a.open && !a.used))
  const wrong = (typed: string, unit: string) => typed.trim() !== '' && !(asMeasure(typed, unit) >= 1)
  const submit = (e: FormEvent) => {
    e.preventDefault()
    if (wrong(gave, 'mL') || wrong(pulp, 'g')) return
    bottle.mutate(
      { measuredML: measured(gave, 'mL'), pulpG: measured(pulp, 'g'), bottles: toBottles(bottles) },
      { onSuccess: onClose },
    )
  }
  return (
    <Dialog onClose={onClose} title={`Bottle ${item.name}`} intro={`About ${toMillilitres(item.ml)} was expected.`}>
      <form onSubmit={submit} className="grid gap-4">
        <div className="grid gap-3 sm:grid-cols-2">
          <Field
            label="It gave, if you measured it"
            unit="mL"
            value={gave}
            error={wrong(gave, 'mL') || refused?.fields.measuredML ? `${accepts('mL')} Or leave it empty.` : undefined}
            onChange={(e) => setGave(e.target.value)}
          />
          <Field
            label="Wet pulp, if you weighed it"
            unit="g"
            value={pulp}
            error={wrong(pulp, 'g') || refused?.fields.pulpG ? `${accepts('g')} Or leave it empty.` : undefined}
            onChange={(e) => setPulp(e.target.value)}
          />
        </div>
        {hasOpen && (
          <p className="text-note text-mute">
            An amount was left open: from these two it is worked back, with how sure that is.
          </p>
        )}
        <BottleRows bottles={bottles} fields={refused?.fields ?? {}} onChange={setBottles} />
        <BottlingCare />
        <ErrorText id="bottling-error">
          {bottle.error && Object.keys(refused?.fields ?? {}).length === 0 ? bottle.error.message : undefined}
        </ErrorText>
        <div className="flex justify-end gap-2">
          <Button onClick={onClose}>Not yet</Button>
          <Button primary type="submit" disabled={bottle.isPending}>
            Bottle it
          </Button>
        </div>
      </form>
    </Dialog>
  )
}
