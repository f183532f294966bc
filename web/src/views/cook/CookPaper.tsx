import type { ItemStep, PlanItem } from '../../api/schema'
import { copy } from '../../copy/more'
import { toDayAndClock, toGrams, toMillilitres } from '../../ui/format'
import { Paper, PaperTable } from '../../ui/Paper'

/** CookPaper is the whole making by the clock, with what goes in at each step: for a kitchen without a screen. */
export function CookPaper({ item }: { item: PlanItem }) {
  return (
    <Paper
      onePage
      title={item.name}
      intro={`${toMillilitres(item.ml)} · ${copy.cook.readyBy(toDayAndClock(item.readyBy))}`}
    >
      {() => (
        <PaperTable
          heads={[copy.plan.at, copy.plan.step, copy.cook.ingredients]}
          rows={item.steps.map((s) => [toDayAndClock(s.start), <Step key="step" step={s} />, amounts(s)])}
        />
      )}
    </Paper>
  )
}

const amounts = (s: ItemStep) =>
  s.amounts.map((a) => [a.text, a.name, a.massG > 0 && `(${toGrams(a.massG)})`].filter(Boolean).join(' ')).join(', ')

function Step({ step }: { step: ItemStep }) {
  return (
    <>
      <b>{step.title}</b> {step.right} {step.caution} {step.never && `${step.never}.`}{' '}
      {step.doneAt && copy.cook.paperDone}
    </>
  )
}
