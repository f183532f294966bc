import { answer, api } from '../../api/client'
import { usePlanChange } from '../../api/hooks'
import { NewBowl as limits } from '../../api/limits'
import type { Named, NewBowl } from '../../api/schema'
import { copy } from '../../copy/more'
import { Button } from '../../ui/Button'
import { Check } from '../../ui/Check'
import { Dialog } from '../../ui/Dialog'
import { ErrorText, Field } from '../../ui/Field'
import { useFields } from '../../ui/form'
import { numberOf } from '../../ui/limit'
import { Select } from '../../ui/Select'

/** StartBowl puts a lot in to soak, to be drawn from. */
export function StartBowl({ soakable, onClose }: { soakable: Named[]; onClose: () => void }) {
  const form = useFields(limits, { ingredient: soakable[0]?.id ?? '', dryG: '', fridge: true })
  const start = usePlanChange((body: NewBowl) => answer(api.POST('/api/bowls', { body })))
  const submit = form.submit(({ dryG, ...typed }) =>
    start.mutateAsync({ ...typed, dryG: numberOf(dryG, 'g') ?? 0 }).then(onClose),
  )
  return (
    <Dialog onClose={onClose} title={copy.bowls.startASoakingBowl} intro={copy.bowls.aSoakKeepsThreeTimes}>
      <form onSubmit={submit} className="grid gap-4">
        <Select
          label={copy.bowls.ingredient}
          value={form.value('ingredient')}
          choices={soakable.map((i) => ({ value: i.id, label: i.name }))}
          onChange={form.choose('ingredient')}
        />
        <Field label={copy.bowls.dryWeight} {...form.field('dryG', { unit: 'g' })} />
        <Check label={copy.bowls.inTheFridgeLabel} checked={form.value('fridge')} onChange={form.choose('fridge')} />
        <ErrorText id="bowl-error">{form.refusal}</ErrorText>
        <div className="flex justify-end">
          <Button primary type="submit" disabled={form.busy}>
            {copy.bowls.startSoaking}
          </Button>
        </div>
      </form>
    </Dialog>
  )
}
