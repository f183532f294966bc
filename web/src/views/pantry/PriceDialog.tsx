import { type FormEvent, useState } from 'react'
import { answer, api, Refused } from '../../api/client'
import { usePantryChange } from '../../api/hooks'
import type { PackPrice, PantryRow } from '../../api/schema'
import { Button } from '../../ui/Button'
import { Check } from '../../ui/Check'
import { Dialog } from '../../ui/Dialog'
import { Field } from '../../ui/Field'
import { toWhole } from '../../ui/format'
import { accepts, asMeasure, asNumber } from '../../ui/number'

/** PriceDialog says what a pack of an ingredient costs. */
export function PriceDialog({ row, currency, onClose }: { row: PantryRow; currency: string; onClose: () => void }) {
  const [price, setPrice] = useState(row.price > 0 ? String(row.price) : '')
  const [pack, setPack] = useState(row.pack)
  const [inShell, setInShell] = useState(row.inShell)
  const params = { path: { ingredient: row.id } }
  const set = usePantryChange((body: PackPrice) => answer(api.PUT('/api/pantry/prices/{ingredient}', { params, body })))
  const forget = usePantryChange(() => answer(api.DELETE('/api/pantry/prices/{ingredient}', { params })))
  const [stock, setStock] = useState(row.stockG > 0 ? String(row.stockG) : '')
  const keepStock = usePantryChange((massG: number) =>
    answer(api.PUT('/api/pantry/stock/{ingredient}', { params, body: { massG } })),
  )
  const refused = set.error instanceof Refused ? set.error : undefined
  const badStock = keepStock.error instanceof Refused
  const keepThere = () => {
    const massG = stock.trim() === '' ? 0 : asMeasure(stock, 'g')
    if (massG === row.stockG) return onClose()
    keepStock.mutate(Number.isNaN(massG) ? -1 : massG, { onSuccess: onClose })
  }
  const save = (e: FormEvent) => {
    e.preventDefault()
    if (price.trim() === '' && pack.trim() === '' && row.price === 0) return keepThere()
    set.mutate({ price: asNumber(price) || 0, pack, inShell, revision: row.priceRevision }, { onSuccess: keepThere })
  }
  return (
    <Dialog open onClose={onClose} title={row.name} intro={row.source}>
      <form onSubmit={save} className="grid gap-4">
        <div className="grid gap-3 sm:grid-cols-2">
          <Field
            label="A pack costs"
            unit={currency}
            inputMode="decimal"
            value={price}
            error={refused?.fields.price}
            onChange={(e) => setPrice(e.target.value)}
          />
          <Field
            label="There is in it"
            value={pack}
            placeholder="500 g"
            error={refused?.fields.pack}
            onChange={(e) => setPack(e.target.value)}
          />
        </div>
        <Field
          label="In the pantry there is"
          unit="g"
          value={stock}
          hint="What is planned takes from it, and what is bought for the plan is added."
          error={badStock ? `${accepts('g')} Or leave it empty.` : undefined}
          onChange={(e) => setStock(e.target.value)}
        />
        {row.inShellPct < 100 && (
          <Check
            label={`Bought in shell, peel or with stones: ${toWhole(row.inShellPct)} % of it is used`}
            checked={inShell}
            onChange={setInShell}
          />
        )}
        <div className="flex justify-end gap-2">
          {row.price > 0 && (
            <Button onClick={() => forget.mutate(undefined, { onSuccess: onClose })}>Forget the price</Button>
          )}
          <Button primary type="submit">
            Keep it
          </Button>
        </div>
      </form>
    </Dialog>
  )
}
