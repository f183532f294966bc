import { useState } from 'react'
import { useLocation } from 'wouter'
import { Refused } from '../../api/client'
import { useKitchen, useMakeBatch, useReckoning } from '../../api/hooks'
import { NewBatch as limits } from '../../api/limits'
import type { Reckoning } from '../../api/schema'
import { copy } from '../../copy/more'
import { Button } from '../../ui/Button'
import { Dialog } from '../../ui/Dialog'
import { ErrorText, Field } from '../../ui/Field'
import { useFields } from '../../ui/form'
import { toMillilitres } from '../../ui/format'
import { numberOf } from '../../ui/limit'
import { BottleRows, BottlingCare, fieldsOf, oneBottle, toBottles } from '../bottling/BottleRows'
import { GiveLife } from '../bottling/GiveLife'
import type { BenchDraft } from './useDraft'

/** MadeDialog marks the drink as made and puts it into bottles. */
export function MadeDialog({
  bench,
  expected,
  onClose,
}: {
  bench: BenchDraft
  expected: Reckoning
  onClose: () => void
}) {
  const today = useKitchen().data?.today ?? ''
  const form = useFields(limits, { madeOn: today, measuredML: '' })
  const [bottles, setBottles] = useState(() => oneBottle(expected.drinkML))
  const make = useMakeBatch(bench.kept.id)
  const [, go] = useLocation()
  const { draft } = bench
  const day = form.value('madeOn') || today
  const reckoning = useReckoning(draft.name, draft.recipe, day)
  const wrongDay = reckoning.error instanceof Refused ? reckoning.error.fields.madeOn : undefined
  const submit = form.submit(async ({ measuredML }) => {
    if (!(await bench.saver.settle())) throw new Refused({ detail: copy.bench.notSavedNotBottled }, 0)
    await make.mutateAsync({
      madeOn: day,
      measuredML: numberOf(measuredML, 'mL'),
      bottles: toBottles(bottles),
      anyway: expected.missing.length > 0, // it was asked before this was opened
    })
    go('/shelf')
  })

  return (
    <Dialog
      open
      onClose={onClose}
      title={copy.bench.made(draft.name)}
      intro={copy.bench.expectedYieldAbout(toMillilitres(expected.drinkML))}
    >
      <form onSubmit={submit} className="grid gap-4">
        <div className="grid gap-3 sm:grid-cols-2">
          <Field
            label={copy.bench.madeOn}
            type="date"
            max={today}
            {...form.field('madeOn')}
            error={form.errorOf('madeOn') ?? wrongDay}
          />
          <Field
            label={copy.bench.measuredYieldIfYouMeasured}
            placeholder={String(Math.round(expected.drinkML))}
            {...form.field('measuredML', { unit: 'mL', optional: true })}
          />
        </div>
        <GiveLife names={expected.lines.map((l) => l.name)} />
        <BottleRows
          bottles={bottles}
          keeps={(reckoning.data ?? expected).keeps}
          fields={fieldsOf(make.error)}
          onChange={setBottles}
        />
        <ErrorText id="make-error">{form.refusal}</ErrorText>
        <BottlingCare />
        <div className="flex justify-end gap-2">
          <Button onClick={onClose}>{copy.bench.cancel}</Button>
          <Button primary type="submit" disabled={form.busy}>
            {copy.bench.bottle}
          </Button>
        </div>
      </form>
    </Dialog>
  )
}
