import { X } from 'lucide-react'
import { query } from '../../api/client'
import type { LotRow, StockPage } from '../../api/schema'
import { copy } from '../../copy/more'
import { IconButton } from '../../ui/Button'
import { toDayAndMonth, toGrams, toMoney } from '../../ui/format'
import { useStockChanged } from './StockSections'

/** Lots are what was bought, the newest first: what is left of each, until when, and what it cost. */
export function Lots({ stock }: { stock: StockPage }) {
  const changed = useStockChanged()
  const remove = query.useMutation('delete', '/api/pantry/lots/{id}', { onSettled: changed })
  return (
    <>
      {stock.paidPerKg > 0 && (
        <p className="text-note">{copy.pantry.paidAKilogram(toMoney(stock.paidPerKg, stock.currency))}</p>
      )}
      <ul>
        {stock.lots.map((l) => (
          <li key={l.id} className="flex items-center gap-3 border-line border-t py-1 text-note">
            <LotWords l={l} currency={stock.currency} />
            <IconButton
              label={copy.pantry.removeLot(l.pack, toDayAndMonth(l.boughtOn))}
              disabled={remove.isPending}
              onClick={() => remove.mutate({ params: { path: { id: l.id } } })}
            >
              <X size={18} aria-hidden />
            </IconButton>
          </li>
        ))}
      </ul>
    </>
  )
}

function LotWords({ l, currency }: { l: LotRow; currency: string }) {
  return (
    <p className="grow">
      <b>{l.pack}</b> · {toDayAndMonth(l.boughtOn)}
      {l.price > 0 && ` · ${toMoney(l.price, currency)} · ${copy.pantry.aKilogram(toMoney(l.perKg, currency))}`}
      <span className={l.past ? 'block font-bold text-hibiscus-deep' : 'block text-mute'}>
        {l.leftG > 0 ? copy.pantry.leftOfLot(toGrams(l.leftG)) : copy.pantry.lotUsedUp}
        {l.bestBefore && ` · ${copy.pantry.bestBeforeDay(toDayAndMonth(l.bestBefore))}`}
      </span>
    </p>
  )
}
