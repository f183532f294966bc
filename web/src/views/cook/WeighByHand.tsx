import { answer, api } from '../../api/client'
import { useWeighing } from '../../api/cooking'
import { WeighedNow as limits } from '../../api/limits'
import type { ItemAmount, PlanItem, WeighedNow } from '../../api/schema'
import { copy } from '../../copy/more'
import { Button } from '../../ui/Button'
import { ErrorText, Field } from '../../ui/Field'
import { useFields } from '../../ui/form'
import { toGrams } from '../../ui/format'
import { numberOf } from '../../ui/limit'

type Props = { item: PlanItem; amount: ItemAmount; onDone: () => void }

/** WeighByHand records what was weighed by hand. */
export function WeighByHand({ item, amount, onDone }: Props) {
  const form = useFields(limits, { massG: '' })
  const weigh = useWeighing((body: WeighedNow) =>
    answer(api.POST('/api/plan/items/{id}/weighings', { params: { path: { id: item.id } }, body })),
  )
  const { used } = amount
  const take = async (massG: number, taken = false) => {
    await weigh.mutateAsync({ key: amount.key, massG, taken })
    form.reset()
    onDone()
  }
  const byButton = (massG: number, taken = false) => take(massG, taken).catch(form.refused)
  const under = used?.verdict === 'under' && !used.settled
  return (
    <form
      onSubmit={form.submit(({ massG }) => take(numberOf(massG, 'g') ?? 0))}
      className="flex flex-wrap items-end gap-2 pt-1 text-base"
    >
      <Field className="w-36" label={copy.cook.weighed(amount.name)} {...form.field('massG', { unit: 'g' })} />
      <Button type="submit">{copy.cook.record}</Button>
      {amount.text && !amount.open && !used && (
        <Button onClick={() => byButton(amount.massG)}>
          <span>
            {copy.cook.useAsMeasured}
            {amount.fine && copy.cook.withASpoon}
          </span>
        </Button>
      )}
      {under && (
        <>
          <Button onClick={() => byButton(used.massG, true)}>{copy.cook.skip}</Button>
          <p className="w-full font-bold text-hibiscus-deep">{copy.cook.toGo(toGrams(-used.offByG))}</p>
        </>
      )}
      <ErrorText id="weigh-error">{form.refusal}</ErrorText>
    </form>
  )
}
