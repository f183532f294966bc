import { Plus } from 'lucide-react'
import { lazy, Suspense, useState } from 'react'
import type { Drinker, PantryDrinker } from '../../api/schema'
import { copy } from '../../copy/more'
import { useAllergenNames } from '../../ui/Allergens'
import { Button } from '../../ui/Button'
import { Tray } from '../../ui/Tray'

const DrinkerDialog = lazy(() => import('./DrinkerDialog').then((m) => ({ default: m.DrinkerDialog })))

/** Drinkers are who drinks here: cautions use their limits, and each drink says whom it is not for. */
export function Drinkers({ drinkers }: { drinkers: PantryDrinker[] }) {
  const [open, setOpen] = useState<PantryDrinker | 'new'>()
  const nameOf = useAllergenNames()
  return (
    <Tray label={copy.pantry.drinkers}>
      <h2 className="text-xl">{copy.pantry.drinkers}</h2>
      <p className="pb-2 text-note text-mute">{copy.pantry.useAnyNameYouLike}</p>
      <ul>
        {drinkers.map((d) => (
          <li key={d.id} className="flex items-center gap-2 border-t border-line py-1.5">
            <div className="grow">
              <p className="font-bold leading-tight">{d.name}</p>
              <p className="text-fine leading-tight text-mute">{wordsOf(d, nameOf)}</p>
            </div>
            <Button aria-label={copy.pantry.editWhom(d.name)} size="small" onClick={() => setOpen(d)}>
              {copy.pantry.edit}
            </Button>
          </li>
        ))}
      </ul>
      <Button className="mt-2" onClick={() => setOpen('new')}>
        <Plus size={18} aria-hidden />
        {copy.pantry.addADrinker}
      </Button>
      {open && (
        <Suspense>
          <DrinkerDialog drinker={open === 'new' ? undefined : open} onClose={() => setOpen(undefined)} />
        </Suspense>
      )}
    </Tray>
  )
}

const wordsOf = (d: Drinker, nameOf: (code: string) => string) =>
  [
    d.age,
    d.weightKG > 0 && copy.pantry.kg(d.weightKG),
    d.allergens.length > 0 && copy.pantry.no(d.allergens.map(nameOf).join(', ')),
    d.vegan && copy.pantry.veganTag,
    d.dairyFree && copy.pantry.noDairy,
    d.dislikes.length > 0 && copy.pantry.dislikes(d.dislikes.join(', ')),
    d.servingsDay > 0 && copy.pantry.servingsADay(d.servingsDay),
  ]
    .filter(Boolean)
    .join(' · ')
