import { memo } from 'react'
import type { Caution, LineFigure, Reckoning } from '../../api/schema'
import { copy } from '../../copy'
import { toGrams, toMillilitres, toMoney, toRange, toTenth, toThreeFigures, toWhole } from '../../ui/format'
import { Paper, PaperList, PaperTable } from '../../ui/Paper'
import { figureOf } from './DialRow'

type Props = { name: string; r?: Reckoning; currency: string }

/** BenchPaper is the drink as it stands on the Bench: what goes in, the figures, how it is made, and what to take care of. */
export const BenchPaper = memo(function BenchPaper({ name, r, currency }: Props) {
  if (!r?.reckoned) return null
  return (
    <Paper
      title={name || copy.bench.nameThisDrink}
      intro={copy.bench.paperYield(toMillilitres(r.drinkML), toRange(r.lowML, r.highML))}
      onePage
    >
      {() => (
        <>
          <PaperTable
            heads={[copy.bench.amountHead, copy.bench.ingredient, copy.bench.massHead]}
            rows={r.lines.filter((l) => l.name || l.error).map(lineCells)}
          />
          <PaperList head={copy.bench.atAGlance} items={glance(r, currency)} />
          <PaperList head={copy.bench.method} ordered items={r.process.map((s) => s.text || s.title)} />
          <PaperList head={copy.bench.goodToKnow} items={r.cautions.map(cautionWords)} />
        </>
      )}
    </Paper>
  )
})

const lineCells = (l: LineFigure) => [l.kitchen || l.amount, l.name || l.error, l.massG ? toGrams(l.massG) : '']

function glance(r: Reckoning, currency: string): string[] {
  const { cost, keeps } = r
  return [
    `${toWhole(r.servings)} ${copy.bench.servingsOfMl(toWhole(r.servingML))}`,
    ...r.dials
      .filter((d) => d.known && d.code !== 'keeps')
      .map((d) =>
        [`${d.name}: ${figureOf(d)}${d.code === 'strength' ? '' : ` ${d.unit}`}`, d.band].filter(Boolean).join(', '),
      ),
    `${toWhole(r.perServing.energyKcal)} kcal, ${copy.bench.eachGProtein(toTenth(r.perServing.proteinG))}`,
    `${toTenth(r.perServing.freeSugarsG)} g ${copy.bench.freeSugarsEach}`,
    cost.known && copy.bench.paperCost(toMoney(cost.perServing, currency), toMoney(cost.perLitre, currency)),
    keeps.known && `${copy.bench.daysMany(keeps.wholeDays)} ${copy.bench.inTheFridgeFrozen(keeps.freezerDays)}`,
    r.allergens.length > 0 && copy.bench.containsHead(r.allergens.join(', ')),
  ].filter((w): w is string => !!w)
}

const cautionWords = (c: Caution) =>
  c.value === undefined
    ? c.text
    : `${c.text} (${toThreeFigures(c.value)} ${c.unit}${c.limit === undefined ? '' : copy.bench.ofLimit(toThreeFigures(c.limit), c.unit)})`
