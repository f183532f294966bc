import { useQueryClient } from '@tanstack/react-query'
import { query } from '../../api/client'
import { refresh } from '../../api/keys'
import type { StockPage } from '../../api/schema'
import { copy } from '../../copy/more'
import { AdjustForm } from './AdjustForm'
import { BuyForm } from './BuyForm'
import { Lots } from './Lots'
import { LowMark } from './LowMark'
import { OtherPacks } from './OtherPacks'

/** useStockChanged shows what a change answered, and reads anew whatever hangs on it. */
export function useStockChanged() {
  const client = useQueryClient()
  return () =>
    refresh(
      client,
      '/api/pantry',
      '/api/pantry/stock/{ingredient}',
      '/api/plan',
      '/api/reckonings',
      '/api/can-make',
      '/api/library',
    )
}

/** StockSections are what there is of an ingredient: lots, packs of other sizes, when it runs low, and figures of the kitchen's own. */
export function StockSections({ id }: { id: string }) {
  const stock = query.useQuery('get', '/api/pantry/stock/{ingredient}', { params: { path: { ingredient: id } } }).data
  if (!stock) return null
  return (
    <>
      <Section name={copy.pantry.bought}>
        <BuyForm id={id} currency={stock.currency} />
        <Lots stock={stock} />
      </Section>
      <Section name={copy.pantry.lowStock}>
        <LowMark key={stock.lowG} stock={stock} />
      </Section>
      <Section name={copy.pantry.otherPacks}>
        <OtherPacks stock={stock} />
      </Section>
      {stock.canAdjust && (
        <details className="border-line border-t pt-2">
          <summary className="cursor-pointer font-head text-lg font-bold">{copy.pantry.yourFigures}</summary>
          <AdjustForm key={JSON.stringify(stock.adjusted)} stock={stock} />
        </details>
      )}
    </>
  )
}

function Section({ name, children }: { name: string; children: React.ReactNode }) {
  return (
    <section aria-label={name} className="grid gap-2 border-line border-t pt-2">
      <h3 className="text-lg">{name}</h3>
      {children}
    </section>
  )
}

export type { StockPage }
