import { CalendarPlus, Plus } from 'lucide-react'
import { useState } from 'react'
import { answer, api, Refused } from '../../api/client'
import { usePlan, usePlanChange } from '../../api/hooks'
import type { Plan } from '../../api/schema'
import { useRhythm } from '../../api/shelf'
import { copy } from '../../copy/more'
import { Button } from '../../ui/Button'
import { toMillilitres, toMinutes } from '../../ui/format'
import { Notice } from '../../ui/Notice'
import { ToggleGroup } from '../../ui/ToggleGroup'
import { Tray } from '../../ui/Tray'
import { Bowls } from '../bowls/Bowls'
import { PlanNext } from '../shelf/PlanNext'
import { AddDrink } from './AddDrink'
import { Agenda } from './Agenda'
import { Marked } from './Marked'
import { Next } from './Next'
import { PlanPaper } from './PlanPaper'
import { Strip } from './Strip'
import { ToBuy } from './ToBuy'

/** PlanView is when everything is to be done, and what to buy for it. */
export function PlanView() {
  const plan = usePlan()
  const [adding, setAdding] = useState(false)
  const [tried, setTried] = useState<Plan>()
  const [problem, setProblem] = useState<string>()
  const [as, setAs] = useState('strip')
  const anew = usePlanChange(() => answer(api.POST('/api/plan/anew')))
  if (!plan.data) return plan.error ? <Notice urgent>{plan.error.detail}</Notice> : null
  const shown = tried ?? plan.data
  const refused = anew.error instanceof Refused ? anew.error.message : undefined
  return (
    <main className="grid grid-cols-[minmax(0,1fr)] gap-3">
      <PlanPaper plan={shown} intro={summary(shown)} />
      <div className="flex flex-wrap items-end justify-between gap-x-4 gap-y-2">
        <div>
          <h1 className="text-title leading-tight">{copy.plan.plan}</h1>
          <p className="text-mute">{summary(shown)}</p>
          {shown.items.length > 0 && (
            <p className="text-note text-mute">
              {shown.proved ? copy.plan.thisIsTheBestPossible : copy.plan.thisIsTheBestPlan}
              {shown.ownPace && ` ${copy.plan.ownPace}`}
            </p>
          )}
        </div>
        <div className="flex flex-wrap gap-2">
          <Button onClick={() => setAdding(true)}>
            <Plus size={18} aria-hidden />
            {copy.plan.addADrink}
          </Button>
          {shown.items.length > 0 && (
            <a
              href={shown.calendar}
              download="plush-ladle.ics"
              className="flex min-h-11 items-center gap-2 rounded-full border-2 border-rim bg-enamel px-4 font-bold"
            >
              <CalendarPlus size={18} aria-hidden />
              {copy.plan.calendarFile}
            </a>
          )}
        </div>
      </div>
      <NextByRhythm />
      {plan.error && <Notice urgent>{copy.plan.tryingAgain(plan.error.detail ?? '')}</Notice>}
      {plan.data.late && (
        <Notice>
          <p>{copy.plan.aStepIsOverdueMark}</p>
          <div className="mt-2">
            <Button onClick={() => anew.mutate(undefined)}>{copy.plan.planAgainFromNow}</Button>
          </div>
        </Notice>
      )}
      {(problem ?? refused) && <Notice urgent>{problem ?? refused}</Notice>}
      {shown.items.length === 0 ? (
        <>
          <Tray className="max-w-xl">
            <h2 className="text-2xl">{copy.plan.nothingPlannedYet}</h2>
            <p className="my-2">{copy.plan.sayWhenYouWantA}</p>
            <Button primary onClick={() => setAdding(true)}>
              {copy.plan.planADrink}
            </Button>
          </Tray>
          <div className="max-w-xl">
            <Bowls plan={plan.data} />
          </div>
        </>
      ) : (
        <>
          <div className="max-sm:hidden">
            <ToggleGroup
              label={copy.plan.showAs}
              choices={[
                { value: 'strip', label: copy.plan.asStrip },
                { value: 'list', label: copy.plan.asList },
              ]}
              chosen={as}
              onToggle={setAs}
            />
          </div>
          <Agenda plan={shown} className={as === 'list' ? '' : 'sm:hidden'} />
          {as === 'strip' && <Strip plan={shown} onTry={setTried} onProblem={setProblem} />}
          <div className="grid grid-cols-[minmax(0,1fr)] items-start gap-4 lg:grid-cols-2">
            <div className="grid min-w-0 grid-cols-[minmax(0,1fr)] gap-4">
              <Next plan={plan.data} />
              <Marked plan={plan.data} />
            </div>
            <div className="grid min-w-0 grid-cols-[minmax(0,1fr)] gap-4">
              <ToBuy plan={plan.data} />
              <Bowls plan={plan.data} />
            </div>
          </div>
          <p className="text-note text-mute">
            {copy.plan.toKeepYourCalendarUp(window.location.origin, shown.calendar)}
          </p>
        </>
      )}
      {adding && <AddDrink bowls={plan.data.bowls} onClose={() => setAdding(false)} />}
    </main>
  )
}

function summary(p: Plan): string {
  if (p.items.length === 0) return copy.plan.soaksArePlannedBackwardsFrom
  const drinks = copy.plan.drinks(p.items.length)
  const visits = copy.plan.visits(p.visits)
  return copy.plan.handsOn(drinks, toMillilitres(p.volumeML), visits, toMinutes(p.handsOnMin))
}

/** NextByRhythm is the next making of the Shelf's rhythm, until it is on the plan. */
function NextByRhythm() {
  const next = useRhythm().data?.next
  if (!next || next.planned) return null
  return (
    <Tray label={copy.plan.fromYourWeeklyRhythm} className="text-note">
      <PlanNext next={next} />
    </Tray>
  )
}
