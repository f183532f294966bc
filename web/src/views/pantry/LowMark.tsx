import { answer, api } from '../../api/client'
import { LowAt as limits } from '../../api/limits'
import type { StockPage } from '../../api/schema'
import { copy } from '../../copy/more'
import { Button } from '../../ui/Button'
import { ErrorText, Field } from '../../ui/Field'
import { useFields } from '../../ui/form'
import { numberOf } from '../../ui/limit'
import { useStockChanged } from './StockSections'

/** LowMark is from how much down an ingredient goes onto the shopping list by itself. */
export function LowMark({ stock }: { stock: StockPage }) {
  const changed = useStockChanged()
  const form = useFields(limits, { lowG: stock.lowG > 0 ? String(stock.lowG) : '' })
  const submit = form.submit(async ({ lowG }) => {
    const params = { path: { ingredient: stock.id } }
    await answer(api.PUT('/api/pantry/stock/{ingredient}/low', { params, body: { lowG: numberOf(lowG, 'g') ?? 0 } }))
    await changed()
  })
  return (
    <form onSubmit={submit} className="grid gap-2">
      <Field
        label={copy.pantry.runsLowAt}
        hint={copy.pantry.runsLowHint}
        {...form.field('lowG', { unit: 'g', optional: true })}
      />
      <ErrorText id="low-error">{form.refusal}</ErrorText>
      <Button type="submit" className="justify-self-start" disabled={form.busy}>
        {copy.pantry.saveTheMark}
      </Button>
    </form>
  )
}
