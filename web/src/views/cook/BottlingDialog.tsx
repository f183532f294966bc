import { useState } from 'react'
import { answer, api } from '../../api/client'
import { usePlanChange } from '../../api/hooks'
import { Bottling as limits } from '../../api/limits'
import type { Bottling, PlanItem } from '../../api/schema'
import { copy } from '../../copy/more'
import { Button } from '../../ui/Button'
import { Dialog } from '../../ui/Dialog'
import { ErrorText, Field } from '../../ui/Field'
import { useFields } from '../../ui/form'
import { toMillilitres } from '../../ui/format'
import { numberOf } from '../../ui/limit'
import { BottleRows, BottlingCare, fieldsOf, oneBottle, toBottles } from '../bottling/BottleRows'
import { GiveLife } from '../bottling/GiveLife'

/** BottlingDialog puts a cooked drink into bottles, and records how it was really made. */
export function BottlingDialog({ item, onClose }: { item: PlanItem; onClose: () => void }) {
  const form = useFields(limits, { measuredML: '', pulpG: '' })
  const [bottles, setBottles] = useState(() => oneBottle(item.ml))
  const bottle = usePlanChange((body: Bottling) =>
    answer(api.POST('/api/plan/items/{id}/batch', { params: { path: { id: item.id } }, body })),
  )
  const hasOpen = item.steps.some((s) => s.amounts.some((a) => a.open && !a.used))
  const submit = form.submit(async ({ measuredML, pulpG }) => {
    const measured = { measuredML: numberOf(measuredML, 'mL'), pulpG: numberOf(pulpG, 'g') }
    await bottle.mutateAsync({ ...measured, bottles: toBottles(bottles) })
    onClose()
  })
  return (
    <Dialog
      onClose={onClose}
      title={copy.cook.bottle(item.name)}
      intro={copy.cook.expectedYieldAbout(toMillilitres(item.ml))}
    >
      <form onSubmit={submit} className="grid gap-4">
        <div className="grid gap-3 sm:grid-cols-2">
          <Field
            label={copy.cook.measuredYieldIfYouMeasured}
            {...form.field('measuredML', { unit: 'mL', optional: true })}
          />
          <Field label={copy.cook.wetPulpIfYouWeighed} {...form.field('pulpG', { unit: 'g', optional: true })} />
        </div>
        {hasOpen && <p className="text-note text-mute">{copy.cook.oneAmountWasNotWeighed}</p>}
        <GiveLife names={item.steps.flatMap((s) => s.amounts.map((a) => a.name))} />
        <BottleRows bottles={bottles} fields={fieldsOf(bottle.error)} onChange={setBottles} />
        <BottlingCare />
        <ErrorText id="bottling-error">{form.refusal}</ErrorText>
        <div className="flex justify-end gap-2">
          <Button onClick={onClose}>{copy.cook.cancel}</Button>
          <Button primary type="submit" disabled={form.busy}>
            {copy.cook.bottleButton}
          </Button>
        </div>
      </form>
    </Dialog>
  )
}
