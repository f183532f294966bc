import { answer, api } from '../../api/client'
import { Purchase as limits } from '../../api/limits'
import { copy } from '../../copy/more'
import { Button } from '../../ui/Button'
import { ErrorText, Field } from '../../ui/Field'
import { useFields } from '../../ui/form'
import { numberOf } from '../../ui/limit'
import { useStockChanged } from './StockSections'

/** BuyForm writes down what was bought: how much, for how much, and until when it is good. */
export function BuyForm({ id, currency }: { id: string; currency: string }) {
  const changed = useStockChanged()
  const form = useFields(limits, { pack: '', packs: '', price: '', bestBefore: '' })
  const params = { path: { ingredient: id } }
  const submit = form.submit(async ({ pack, packs, price, bestBefore }) => {
    const body = { pack, packs: numberOf(packs) ?? 0, price: numberOf(price) ?? 0, bestBefore }
    await answer(api.POST('/api/pantry/stock/{ingredient}/lots', { params, body }))
    form.reset()
    await changed()
  })
  return (
    <form onSubmit={submit} className="grid gap-2">
      <div className="grid items-start gap-2 sm:grid-cols-4">
        <Field label={copy.pantry.packBought} placeholder="500 g" {...form.field('pack')} />
        <Field label={copy.pantry.howMany} placeholder="1" {...form.field('packs', { number: true, optional: true })} />
        <Field
          label={copy.pantry.paidInAll}
          {...form.field('price', { number: true, optional: true })}
          unit={currency}
        />
        <Field label={copy.pantry.bestBefore} type="date" {...form.field('bestBefore', { optional: true })} />
      </div>
      <ErrorText id="buy-error">{form.refusal}</ErrorText>
      <Button type="submit" className="justify-self-start" disabled={form.busy}>
        {copy.pantry.addToStock}
      </Button>
    </form>
  )
}
