import { answer, api } from '../../api/client'
import { usePantryChange } from '../../api/hooks'
import { PackPrice as limits, StockOf as stockLimits } from '../../api/limits'
import type { PackPrice, PantryRow } from '../../api/schema'
import { copy } from '../../copy/more'
import { Button } from '../../ui/Button'
import { Check } from '../../ui/Check'
import { Dialog } from '../../ui/Dialog'
import { ErrorText, Field } from '../../ui/Field'
import { useFields } from '../../ui/form'
import { toWhole } from '../../ui/format'
import { numberOf } from '../../ui/limit'
import { StockSections } from './StockSections'

type Props = { row: PantryRow; currency: string; onClose: () => void }

/** PriceDialog says what a pack of an ingredient costs, and how much of it there is. */
export function PriceDialog({ row, currency, onClose }: Props) {
  const params = { path: { ingredient: row.id } }
  const set = usePantryChange((body: PackPrice) => answer(api.PUT('/api/pantry/prices/{ingredient}', { params, body })))
  const forget = usePantryChange(() => answer(api.DELETE('/api/pantry/prices/{ingredient}', { params })))
  const keepStock = usePantryChange((massG: number) =>
    answer(api.PUT('/api/pantry/stock/{ingredient}', { params, body: { massG } })),
  )
  const form = useFields(
    { ...limits, massG: stockLimits.massG },
    {
      price: row.price > 0 ? String(row.price) : '',
      pack: row.pack,
      massG: row.stockG > 0 ? String(row.stockG) : '',
      inShell: row.inShell,
    },
  )
  const save = form.submit(async ({ price, pack, massG, inShell }) => {
    const hasPrice = price.trim() !== '' || pack.trim() !== '' || row.price > 0
    if (hasPrice) await set.mutateAsync({ price: numberOf(price) ?? 0, pack, inShell, revision: row.priceRevision })
    const stockG = numberOf(massG, 'g') ?? 0
    if (stockG !== row.stockG) await keepStock.mutateAsync(stockG)
    onClose()
  })
  return (
    <Dialog open onClose={onClose} title={row.name} intro={row.source}>
      <form onSubmit={save} className="grid gap-4">
        <div className="grid gap-3 sm:grid-cols-2">
          <Field
            label={copy.pantry.priceOfAPack}
            {...form.field('price', { number: true, optional: true })}
            unit={currency}
          />
          <Field label={copy.pantry.packSize} placeholder="500 g" {...form.field('pack')} />
        </div>
        <Field
          label={copy.pantry.inStockLabel}
          hint={copy.pantry.plannedDrinksReserveStockAnd}
          {...form.field('massG', { unit: 'g', optional: true })}
        />
        {row.inShellPct < 100 && (
          <Check
            label={copy.pantry.boughtWithShellPeelOr(toWhole(row.inShellPct))}
            checked={form.value('inShell')}
            onChange={form.choose('inShell')}
          />
        )}
        <ErrorText id="price-error">{form.refusal}</ErrorText>
        <div className="flex justify-end gap-2">
          {row.price > 0 && (
            <Button onClick={() => forget.mutate(undefined, { onSuccess: onClose })}>
              {copy.pantry.deleteThePrice}
            </Button>
          )}
          <Button primary type="submit" disabled={form.busy}>
            {copy.pantry.save}
          </Button>
        </div>
      </form>
      <StockSections id={row.id} />
    </Dialog>
  )
}
