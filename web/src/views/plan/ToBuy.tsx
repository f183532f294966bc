import { Link } from 'wouter'
import { answer, api } from '../../api/client'
import { useKitchen, usePlanChange } from '../../api/hooks'
import type { Bought, ToBuy as Item, Plan } from '../../api/schema'
import { copy } from '../../copy/more'
import { Button } from '../../ui/Button'
import { toGrams, toMoney } from '../../ui/format'
import { Tray } from '../../ui/Tray'

/** ToBuy is what the plan needs less what the pantry has. What is bought is ticked off into the pantry. */
export function ToBuy({ plan }: { plan: Plan }) {
  const bought = usePlanChange((body: Bought) => answer(api.POST('/api/plan/bought', { body })))
  const wanted = plan.toBuy.filter((b) => b.buyG > 0)
  const enough = plan.toBuy.filter((b) => b.buyG === 0)
  return (
    <Tray label={copy.plan.shoppingList}>
      <h2 className="text-xl">{copy.plan.shoppingList}</h2>
      {wanted.length === 0 && <p>{copy.plan.youHaveEnoughOfEverything}</p>}
      <ul>
        {wanted.map((b) => (
          <li key={b.id} className="flex items-center gap-3 border-t border-line py-1.5">
            <div className="grow">
              <p className="font-bold leading-tight">{b.name}</p>
              <p className="text-detail text-mute">
                {copy.plan.needed(toGrams(b.needG))}
                {b.need && `, ${b.need}`}
                {b.low && copy.plan.runsLow}
                {b.haveG > 0 && copy.plan.inStock(toGrams(b.haveG))}
              </p>
            </div>
            <p className="font-bold">{packWords(b)}</p>
            <Button aria-label={copy.plan.boughtWhat(b.name)} onClick={() => bought.mutate(boughtOf(b))}>
              {copy.plan.bought}
            </Button>
          </li>
        ))}
      </ul>
      {wanted.length > 0 && <Total plan={plan} />}
      {enough.length > 0 && (
        <p className="border-t border-line pt-2 text-note text-mute">
          {copy.plan.enoughInStock(enough.map((b) => b.name).join(', '))}
        </p>
      )}
    </Tray>
  )
}

/** Total is what the list comes to, and the way to take it along. */
function Total({ plan }: { plan: Plan }) {
  const currency = useKitchen().data?.currency ?? ''
  const { cost, unpriced } = plan.bill
  return (
    <p className="flex flex-wrap items-baseline justify-between gap-2 border-t border-line py-2">
      <span className="font-bold">
        {copy.plan.inAll(toMoney(cost, currency))}
        {unpriced > 0 && <span className="font-normal text-mute">{copy.plan.withoutPrice(unpriced)}</span>}
      </span>
      <Link href="/plan/shopping" className="font-bold text-rim underline">
        {copy.plan.takeTheListAlong}
      </Link>
    </p>
  )
}

/** boughtOf is an item as it was bought: in packs, at their price, where those are known. */
export const boughtOf = (b: Item): Bought =>
  b.packs > 0 ? { ingredient: b.id, massG: b.packsG, pack: b.pack, price: b.cost } : { ingredient: b.id, massG: b.buyG }

/** packWords are how much to buy: packs where they are known. */
export const packWords = (b: Item) => (b.packs > 0 ? b.pack : toGrams(b.buyG))
