import type { Bottle, Shelf } from '../../api/schema'
import { copy } from '../../copy/more'
import { toDayAndMonth, toGrams, toMillilitres } from '../../ui/format'
import { Paper, PaperList, PaperTable } from '../../ui/Paper'

const places = ['fridge', 'door', 'freezer', 'outside'] as const

const placeNames = {
  fridge: copy.shelf.fridgePlace,
  door: copy.shelf.fridgeDoor,
  freezer: copy.shelf.freezer,
  outside: copy.shelf.onTheCounter,
}

/** ShelfPaper is what stands where, the bottle to use first first. */
export function ShelfPaper({ shelf, intro }: { shelf: Shelf; intro?: string }) {
  return (
    <Paper title={copy.shelf.shelf} intro={intro}>
      {() => (
        <>
          {places.map((place) => (
            <PaperTable
              key={place}
              head={placeNames[place]}
              heads={[copy.shelf.paperBottle, copy.shelf.useByHead, copy.shelf.leftHead, copy.shelf.containsHead]}
              rows={shelf.bottles.filter((b) => b.place === place).map(bottleCells)}
            />
          ))}
          <PaperList
            head={copy.shelf.openPacks}
            items={shelf.packs.map(
              (p) => `${p.name}, ${toGrams(p.leftG)}, ${copy.shelf.dateBy(toDayAndMonth(p.useBy))}`,
            )}
          />
        </>
      )}
    </Paper>
  )
}

const bottleCells = (b: Bottle) => [
  `${b.drinkName} (${copy.shelf.bottle(b.id)})`,
  b.standing === 'past' ? copy.shelf.pastItsDate : `${toDayAndMonth(b.useBy)}, ${b.timeLeft}`,
  toMillilitres(b.leftML),
  b.allergens.join(', '),
]
