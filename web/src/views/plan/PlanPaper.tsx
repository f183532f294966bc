import type { Plan, PlanItem } from '../../api/schema'
import { copy } from '../../copy/more'
import { toClock, toDayAndClock, toGrams, toMillilitres } from '../../ui/format'
import { Paper, PaperList, PaperTable } from '../../ui/Paper'
import { agendaOf } from './Agenda'
import { packWords } from './ToBuy'

/** PlanPaper is the plan to hang up: what is ready when, what to do each day by the clock, and what to buy. */
export function PlanPaper({ plan, intro }: { plan: Plan; intro: string }) {
  if (plan.items.length === 0) return null
  return (
    <Paper title={copy.plan.plan} intro={intro} onePage>
      {() => (
        <>
          <PaperTable
            heads={[copy.plan.drink, copy.plan.ready, copy.plan.amountHead]}
            rows={plan.items.map(itemCells)}
          />
          <div className="paper-columns">
            {agendaOf(plan).map(({ day, entries }) => (
              <PaperTable
                key={entries[0]?.step.start}
                head={day}
                heads={[copy.plan.at, copy.plan.step, copy.plan.drink]}
                rows={entries.map((e, n) => [
                  toClock(e.step.start),
                  e.step.title,
                  e.drink === entries[n - 1]?.drink ? '' : e.drink,
                ])}
              />
            ))}
          </div>
          <PaperList
            head={copy.plan.shoppingList}
            items={plan.toBuy.filter((b) => b.buyG > 0).map((b) => `${b.name}, ${packWords(b)}`)}
          />
          <PaperList
            head={copy.bowls.soakingBowls}
            items={plan.bowls.map(
              (b) => `${b.name}, ${toGrams(b.dryG)}: ${copy.bowls.within(toDayAndClock(b.within))}`,
            )}
          />
        </>
      )}
    </Paper>
  )
}

const itemCells = (i: PlanItem) => [i.name, toDayAndClock(i.readyBy), i.trouble || toMillilitres(i.ml)]
