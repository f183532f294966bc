import type { Pantry, PantryRow } from '../../api/schema'
import { copy } from '../../copy/more'
import { toGrams, toMoney } from '../../ui/format'
import { Paper, PaperList, PaperTable } from '../../ui/Paper'

/** PantryPaper is what is in the cupboard and what it costs, and who must not have what. The rest of the catalogue is not for paper. */
export function PantryPaper({ pantry, intro }: { pantry: Pantry; intro: string }) {
  const rows = pantry.ingredients.filter((i) => i.own || i.stockG > 0 || i.price > 0)
  return (
    <Paper title={copy.pantry.pantry} intro={intro}>
      {() => (
        <>
          <PaperTable
            heads={[copy.pantry.ingredientHead, copy.pantry.stockHead, copy.pantry.priceHead, copy.pantry.notesHead]}
            rows={rows.map((i) => cells(i, pantry.currency))}
          />
          <PaperList
            head={copy.pantry.drinkers}
            items={pantry.drinkers.map((d) =>
              [d.name, copy.pantry.ages[d.age], d.allergens.length > 0 && copy.pantry.not(d.allergens.join(', '))]
                .filter(Boolean)
                .join(' · '),
            )}
          />
        </>
      )}
    </Paper>
  )
}

const cells = (i: PantryRow, currency: string) => [
  i.name,
  i.stockG > 0 ? toGrams(i.stockG) : '',
  i.price > 0 ? copy.pantry.for(toMoney(i.price, currency), i.pack) : '',
  [i.allergens.length > 0 && copy.pantry.contains(i.allergens.join(', ')), i.pastDate && copy.pantry.pastItsDate]
    .filter(Boolean)
    .join(' · '),
]
