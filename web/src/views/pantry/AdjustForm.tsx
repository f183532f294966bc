import { answer, api } from '../../api/client'
import { Label as labelLimits, Adjustment as limits } from '../../api/limits'
import type { Adjustment, StockPage } from '../../api/schema'
import { copy } from '../../copy/more'
import { Button } from '../../ui/Button'
import { ErrorText, Field } from '../../ui/Field'
import { useFields } from '../../ui/form'
import { numberOf } from '../../ui/limit'
import { labelFields, labelOf, typedLabel } from './own'
import { useStockChanged } from './StockSections'

const textOf = (v?: number) => (v === undefined ? '' : String(v))

/** AdjustForm takes what the kitchen knows better of a row that ships; empty fields stay as they ship. */
export function AdjustForm({ stock }: { stock: StockPage }) {
  const changed = useStockChanged()
  const a = stock.adjusted
  const form = useFields(
    { ...limits, ...labelLimits },
    { ...typedLabel(a?.label), gPerCup: textOf(a?.gPerCup), pieceG: textOf(a?.pieceG), lifeDays: textOf(a?.lifeDays) },
  )
  const send = async (body: Adjustment) => {
    const params = { path: { ingredient: stock.id } }
    await answer(api.PUT('/api/pantry/stock/{ingredient}/adjustment', { params, body }))
    await changed()
  }
  const submit = form.submit((typed) =>
    send({
      label: labelOf(typed),
      gPerCup: numberOf(typed.gPerCup, 'g'),
      pieceG: numberOf(typed.pieceG, 'g'),
      lifeDays: numberOf(typed.lifeDays, 'days'),
    }),
  )
  const amount = (key: Parameters<typeof form.field>[0], label: string, unit: string) => (
    <Field key={key} label={label} {...form.field(key, { unit, optional: true, number: true })} />
  )
  return (
    <form onSubmit={submit} className="grid gap-3 pt-2">
      <p className="text-note text-mute">{copy.pantry.yourFiguresHint}</p>
      <div className="grid items-start gap-3 sm:grid-cols-3">
        {amount('gPerCup', copy.pantry.weightOfAUsCup, 'g')}
        {amount('pieceG', copy.pantry.weightOfAPiece, 'g')}
        {amount('lifeDays', copy.pantry.keepsOnceOpened, 'days')}
        {labelFields.map((f) => amount(f.field, f.name, f.unit))}
      </div>
      <ErrorText id="adjust-error">{form.refusal}</ErrorText>
      <div className="flex flex-wrap gap-2">
        <Button type="submit" disabled={form.busy}>
          {copy.pantry.useMyFigures}
        </Button>
        {a && (
          <Button onClick={() => send({}).catch(form.refused)} disabled={form.busy}>
            {copy.pantry.backToTheCatalogue}
          </Button>
        )}
      </div>
    </form>
  )
}
