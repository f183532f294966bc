import type { BatchLine, Notes } from '../../api/schema'
import { copy } from '../../copy/more'
import { toDayAndMonth, toMoney } from '../../ui/format'
import { Paper, PaperList, PaperTable } from '../../ui/Paper'
import { tasteWords, toStars, yieldWords } from './figures'
import { orDash } from './tables'

const { heads } = copy.notes

/** NotesPaper is the record on paper: what it tells, and the batches it tells it from. */
export function NotesPaper({ notes, intro }: { notes: Notes; intro: string }) {
  return (
    <Paper title={copy.notes.notes} intro={intro}>
      {() => (
        <>
          <PaperList head={copy.notes.worthKnowing} items={notes.insights.map((i) => `${i.text} ${i.evidence}`)} />
          <PaperTable
            head={copy.notes.batches}
            heads={[heads.made, copy.plan.drink, heads.yield, heads.rating, heads.cost, copy.notes.wordsHead]}
            rows={notes.lines.map((b) => cells(b, notes.currency))}
          />
        </>
      )}
    </Paper>
  )
}

const cells = (b: BatchLine, currency: string) => [
  toDayAndMonth(b.madeOn),
  `${b.drinkName}, ${copy.notes.version(b.version)}`,
  yieldWords(b),
  toStars(b.stars),
  orDash(b.perL, (p) => toMoney(p, currency)),
  tasteWords(b),
]
