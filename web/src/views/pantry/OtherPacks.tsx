import { X } from 'lucide-react'
import { answer, api, query } from '../../api/client'
import { NewPack as limits } from '../../api/limits'
import type { StockPage } from '../../api/schema'
import { copy } from '../../copy/more'
import { Button, IconButton } from '../../ui/Button'
import { ErrorText, Field } from '../../ui/Field'
import { useFields } from '../../ui/form'
import { toMoney } from '../../ui/format'
import { numberOf } from '../../ui/limit'
import { useStockChanged } from './StockSections'

/** OtherPacks are packs of other sizes, among which the shopping list chooses the cheapest. */
export function OtherPacks({ stock }: { stock: StockPage }) {
  const changed = useStockChanged()
  const remove = query.useMutation('delete', '/api/pantry/packs/{id}', { onSettled: changed })
  const form = useFields(limits, { pack: '', price: '' })
  const submit = form.submit(async ({ pack, price }) => {
    const params = { path: { ingredient: stock.id } }
    const body = { pack, price: numberOf(price) ?? 0 }
    await answer(api.POST('/api/pantry/stock/{ingredient}/packs', { params, body }))
    form.reset()
    await changed()
  })
  return (
    <form onSubmit={submit} className="grid gap-2">
      <ul>
        {stock.packs.map((p) => (
          <li key={p.id} className="flex items-center justify-between gap-3 border-line border-t py-1 text-note">
            <span>{copy.pantry.for(toMoney(p.price, stock.currency), p.pack)}</span>
            <IconButton
              label={copy.pantry.removePack(p.pack)}
              disabled={remove.isPending}
              onClick={() => remove.mutate({ params: { path: { id: p.id } } })}
            >
              <X size={18} aria-hidden />
            </IconButton>
          </li>
        ))}
      </ul>
      <div className="grid items-start gap-2 sm:grid-cols-2">
        <Field label={copy.pantry.otherPackSize} placeholder="200 g" {...form.field('pack')} />
        <Field label={copy.pantry.itsPrice} {...form.field('price', { number: true })} unit={stock.currency} />
      </div>
      <ErrorText id="pack-error">{form.refusal}</ErrorText>
      <Button type="submit" className="justify-self-start" disabled={form.busy}>
        {copy.pantry.addThisPack}
      </Button>
    </form>
  )
}
