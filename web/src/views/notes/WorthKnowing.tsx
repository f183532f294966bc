import { lazy, Suspense, useState } from 'react'
import { Link, useLocation } from 'wouter'
import type { Insight, Notes } from '../../api/schema'
import { copy } from '../../copy/more'
import { Button } from '../../ui/Button'
import { ErrorText } from '../../ui/Field'
import { toMillilitres, toMoney } from '../../ui/format'
import { Tray } from '../../ui/Tray'
import { useResize } from './useResize'

const AddDrink = lazy(() => import('../plan/AddDrink').then((m) => ({ default: m.AddDrink })))

/** WorthKnowing are the sentences that the record comes to, each with its figures and one thing to do. */
export function WorthKnowing({ notes }: { notes: Notes }) {
  return (
    <Tray label={copy.notes.worthKnowing}>
      <h2 className="text-xl">{copy.notes.worthKnowing}</h2>
      {notes.insights.length === 0 && <p className="text-note text-mute">{copy.notes.nothingWorthKnowing}</p>}
      <ul>
        {notes.insights.map((i) => (
          <li
            key={`${i.code} ${i.drinkID}`}
            className="flex items-start gap-x-3 gap-y-1 border-line border-t py-2.5 first:mt-2 max-sm:flex-col"
          >
            <p className="grow">
              <b>{i.text}</b>{' '}
              <span className="text-note text-mute">
                {i.evidence}
                {i.money >= 0.01 && ` · ${copy.notes.aWeek(toMoney(i.money, notes.currency))}`}
              </span>
            </p>
            <Act i={i} />
          </li>
        ))}
      </ul>
    </Tray>
  )
}

/** Where an insight leads that only shows something. */
const leads = (i: Insight) =>
  ({ learned: '/settings', taste: `/notes/batch/${i.batchID}`, look: `/notes/drink/${i.drinkID}` })[i.action as string]

function Act({ i }: { i: Insight }) {
  const to = leads(i)
  if (to)
    return (
      <Link
        href={to}
        className="eased button-small inline-flex shrink-0 items-center rounded-full border-2 border-rim bg-enamel font-bold hover:bg-linen"
      >
        {copy.notes.actions[i.action]}
        <span className="sr-only">: {i.text}</span>
      </Link>
    )
  return i.action === 'plan' ? <PlanOne i={i} /> : <MakeLess i={i} />
}

function PlanOne({ i }: { i: Insight }) {
  const [planning, setPlanning] = useState(false)
  const [, go] = useLocation()
  return (
    <>
      <Button size="small" className="shrink-0" onClick={() => setPlanning(true)}>
        {copy.notes.actions.plan}
      </Button>
      {planning && (
        <Suspense>
          <AddDrink bowls={[]} drinkID={i.drinkID} onClose={() => setPlanning(false)} onDone={() => go('/plan')} />
        </Suspense>
      )}
    </>
  )
}

function MakeLess({ i }: { i: Insight }) {
  const resize = useResize(i.drinkID)
  return (
    <div className="shrink-0">
      <Button size="small" disabled={resize.isPending} onClick={() => resize.mutate(i.actionML)}>
        {copy.notes.makes(toMillilitres(i.actionML))}
      </Button>
      <ErrorText id={`resize-${i.drinkID}`}>{resize.error?.message}</ErrorText>
    </div>
  )
}
