import { Plus } from 'lucide-react'
import { useState } from 'react'
import type { Pantry, PantryRow } from '../../api/schema'
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
  const wanted = find.trim().toLowerCase()
  const rows = pantry.ingredients.filter(
    (i) =>
      i.name.toLowerCase().includes(wanted) || i.role.includes(wanted) || i.allergens.some((a) => a.includes(wanted)),
  )
  return (
    <Tray label="Ingredients" className="min-w-0">
      <div className="flex flex-wrap items-end gap-3 pb-3">
        <Field
          className="grow"
          label="Find an ingredient"
          value={find}
          placeholder="a name, a role, an allergen"
          onChange={(e) => onFind(e.target.value)}
        />
        <Button onClick={() => setOwn('new')}>
          <Plus size={18} aria-hidden /> One of your own
        </Button>
      </div>
      {rows.length === 0 && <p className="text-mute">Nothing goes by that. Add it as one of your own.</p>}
      <ul>
        {rows.slice(0, shownAtOnce).map((i) => (
          <li key={i.id} className="flex flex-wrap items-center gap-x-3 border-t border-line py-1.5">
            <div className="min-w-40 basis-0 grow max-sm:basis-full">
              <p className="font-bold leading-tight">{i.name}</p>
              <p className="text-fine leading-tight text-mute">
                {[
                  i.role,
                  i.allergens.length > 0 && `contains ${i.allergens.join(', ')}`,
                  i.stockG > 0 && `${toGrams(i.stockG)} here`,
                  i.lacks,
                ]
                  .filter(Boolean)
                  .join(' · ')}
              </p>
            </div>
            <p className="text-right text-note max-sm:grow max-sm:text-left">
              {i.price > 0 ? (
                <>
                  {toMoney(i.price, pantry.currency)} for {i.pack}
                  <span className="block text-fine text-mute">
                    {toMoney(i.perKilogram, pantry.currency)} a kilogram{i.inShell && ' of what is eaten'}
                  </span>
                </>
              ) : (
                <span className="text-mute">no price</span>
              )}
            </p>
            {i.own && (
              <Button
                aria-label={`Change ${i.name}`}
                className="!min-h-9 !px-3 max-sm:!min-h-11"
                onClick={() => setOwn(i)}
              >
                Change
              </Button>
            )}
            <Button
              aria-label={`Price and stock of ${i.name}`}
              className="!min-h-9 !px-3 max-sm:!min-h-11"
              onClick={() => setPriced(i)}
            >
              Price and stock
            </Button>
          </li>
        ))}
      </ul>
      {rows.length > shownAtOnce && (
        <p className="border-t border-line pt-2 text-mute">
          {rows.length - shownAtOnce} more; type part of a name to find one.
        </p>
      )}
      {priced && <PriceDialog row={priced} currency={pantry.currency} onClose={() => setPriced(undefined)} />}
      {own && <OwnDialog row={own === 'new' ? undefined : own} onClose={() => setOwn(undefined)} />}
    </Tray>
  )
}
