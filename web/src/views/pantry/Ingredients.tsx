import { Plus } from 'lucide-react'
import { useState } from 'react'
import type { Pantry, PantryRow } from '../../api/schema'
import { copy } from '../../copy/more'
import { Button } from '../../ui/Button'
import { Field } from '../../ui/Field'
import { toGrams, toMoney } from '../../ui/format'
import { Tray } from '../../ui/Tray'
import { OwnDialog } from './OwnDialog'
import { PriceDialog } from './PriceDialog'

type Props = { pantry: Pantry; find: string; onFind: (text: string) => void }

const shownAtOnce = 60

/** Ingredients is the catalogue with what a pack costs here, and the cook's own rows first. */
export function Ingredients({ pantry, find, onFind }: Props) {
  const [priced, setPriced] = useState<PantryRow>()
  const [own, setOwn] = useState<PantryRow | 'new'>()
  const [all, setAll] = useState(false)
  const wanted = find.trim().toLowerCase()
  const roleOf = (i: PantryRow) => copy.pantry.roles[i.role] ?? i.role
  const rows = pantry.ingredients.filter(
    (i) =>
      i.name.toLowerCase().includes(wanted) ||
      roleOf(i).includes(wanted) ||
      i.allergens.some((a) => a.includes(wanted)),
  )
  return (
    <Tray label={copy.pantry.ingredients} className="min-w-0">
      <div className="flex flex-wrap items-end gap-3 pb-3">
        <Field
          className="grow"
          label={copy.pantry.findAnIngredient}
          value={find}
          placeholder={copy.pantry.nameRoleOrAllergen}
          onChange={(e) => onFind(e.target.value)}
        />
        <Button onClick={() => setOwn('new')}>
          <Plus size={18} aria-hidden />
          {copy.pantry.addYourOwn}
        </Button>
      </div>
      {rows.length === 0 && <p className="text-mute">{copy.pantry.nothingFoundYouCanAdd}</p>}
      <ul>
        {rows.slice(0, all ? rows.length : shownAtOnce).map((i) => (
          <li key={i.id} className="flex flex-wrap items-center gap-x-3 border-t border-line py-1.5">
            <div className="min-w-40 basis-0 grow max-sm:basis-full">
              <p className="font-bold leading-tight">{i.name}</p>
              <p className="text-fine leading-tight text-mute">
                {[
                  roleOf(i),
                  i.allergens.length > 0 && copy.pantry.contains(i.allergens.join(', ')),
                  i.stockG > 0 && copy.pantry.inStock(toGrams(i.stockG)),
                  i.low && copy.pantry.runsLow,
                  i.pastDate && copy.pantry.pastItsDate,
                  i.adjusted && copy.pantry.yourFigures.toLowerCase(),
                  i.lacks,
                ]
                  .filter(Boolean)
                  .join(' · ')}
              </p>
            </div>
            <p className="text-right text-note max-sm:grow max-sm:text-left">
              {i.price > 0 ? (
                <>
                  {copy.pantry.for(toMoney(i.price, pantry.currency), i.pack)}
                  <span className="block text-fine text-mute">
                    {copy.pantry.aKilogram(toMoney(i.perKilogram, pantry.currency))}
                    {i.inShell && copy.pantry.ofTheEdiblePart}
                  </span>
                </>
              ) : (
                <span className="text-mute">{copy.pantry.noPrice}</span>
              )}
            </p>
            {i.own && (
              <Button aria-label={copy.pantry.editWhom(i.name)} size="small" onClick={() => setOwn(i)}>
                {copy.pantry.edit}
              </Button>
            )}
            <Button aria-label={copy.pantry.priceAndStockOf(i.name)} size="small" onClick={() => setPriced(i)}>
              {copy.pantry.priceAndStock}
            </Button>
          </li>
        ))}
      </ul>
      {rows.length > shownAtOnce && !all && (
        <div className="border-t border-line pt-2">
          <Button onClick={() => setAll(true)}>{copy.start.andMore(rows.length - shownAtOnce)}</Button>
        </div>
      )}
      {priced && <PriceDialog row={priced} currency={pantry.currency} onClose={() => setPriced(undefined)} />}
      {own && <OwnDialog row={own === 'new' ? undefined : own} onClose={() => setOwn(undefined)} />}
    </Tray>
  )
}
