import { Poured as limits } from '../../api/limits'
import type { Poured } from '../../api/schema'
import { copy } from '../../copy/more'
import { Button } from '../../ui/Button'
import { Field } from '../../ui/Field'
import { useFields } from '../../ui/form'
import { numberOf } from '../../ui/limit'
import { Select } from '../../ui/Select'
import { shownUnit } from '../../ui/units'

const units = [
  { value: 'ml', label: shownUnit('mL') ?? '' },
  { value: 'servings', label: copy.shelf.servings },
]

/** PourOther pours another amount than a serving, in millilitres or in servings. */
export function PourOther({ onPour }: { onPour: (poured: Poured) => void }) {
  const form = useFields({ amount: limits.ml }, { amount: '', unit: 'ml' })
  const unit = form.value('unit')
  const read = unit === 'ml' ? 'mL' : undefined
  const pour = form.submit(({ amount }) => onPour({ [unit]: numberOf(amount, read) ?? 0 }))
  return (
    <form onSubmit={pour} className="flex flex-wrap items-end gap-2">
      <Field
        className="w-28"
        label={copy.shelf.anotherAmount}
        {...form.field('amount', { unit: read })}
        unit={undefined}
      />
      <Select label={copy.shelf.in} value={unit} choices={units} onChange={form.choose('unit')} />
      <Button type="submit">{copy.shelf.pour}</Button>
    </form>
  )
}
