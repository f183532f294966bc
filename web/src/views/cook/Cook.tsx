import { useQueryClient } from '@tanstack/react-query'
import { ArrowLeft } from 'lucide-react'
import { useState } from 'react'
import { Link } from 'wouter'
import { answer, api, Kept } from '../../api/client'
import { useFollow } from '../../api/cooking'
import { usePlan, usePlanChange } from '../../api/hooks'
import { keyOf } from '../../api/keys'
import { withMark } from '../../api/patches'
import type { Plan, PlanItem } from '../../api/schema'
import { useKeys } from '../../app/keys'
import { copy } from '../../copy/more'
import { ErrorText } from '../../ui/Field'
import { Notice } from '../../ui/Notice'
import { NotFor } from '../whom/NotFor'
import { BottlingDialog } from './BottlingDialog'
import { CookPaper } from './CookPaper'
import { StepCard } from './StepCard'
import { TimerRow } from './TimerRow'
import { useAwake } from './useAwake'

/** Cook is one step at a time, in large type, with the timers along the top. */
export function Cook({ id }: { id?: number }) {
  const plan = usePlan()
  const item = plan.data && itemOf(plan.data, id)
  useAwake()
  useFollow()
  return (
    <main className="flex min-h-[calc(100dvh-1rem)] flex-col gap-4 pt-3">
      {item && <CookPaper item={item} />}
      <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
        <Link href="/plan" className="flex min-h-11 items-center gap-2 font-bold text-rim underline">
          <ArrowLeft size={20} aria-hidden />
          {copy.cook.plan}
        </Link>
        <TimerRow />
      </div>
      {plan.error && <Notice urgent>{copy.cook.yourProgressIsSafeTrying(plan.error.detail ?? '')}</Notice>}
      {plan.data && !item && <NothingToCook />}
      {item && <AtWork key={item.id} item={item} />}
    </main>
  )
}

/** itemOf is the item asked for, or the one with the next thing to do. */
function itemOf(plan: Plan, id?: number): PlanItem | undefined {
  const wanted = id ?? plan.next.find((n) => n.itemID > 0)?.itemID
  return plan.items.find((i) => i.id === wanted)
}

function NothingToCook() {
  return (
    <div className="max-w-2xl text-2xl">
      <h1 className="text-figure leading-tight">{copy.cook.nothingToCook}</h1>
      <p className="my-3">{copy.cook.planADrinkAndIts}</p>
      <Link href="/plan" className="font-bold text-rim underline">
        {copy.cook.goToThePlan}
      </Link>
    </div>
  )
}

function AtWork({ item }: { item: PlanItem }) {
  const client = useQueryClient()
  const [problem, setProblem] = useState<string>()
  const [bottling, setBottling] = useState(false)
  const mark = usePlanChange((body: { step: number; undo: boolean; skip?: boolean; ahead?: boolean }) =>
    answer(api.POST('/api/plan/items/{id}/done', { params: { path: { id: item.id } }, body })),
  )
  const front = item.front
  // Whoever cooks the step does it, whenever it was planned for: nothing is asked.
  const set = (step: number, how: { undo?: boolean; skip?: boolean }) => {
    if (step < 0 || mark.isPending) return
    const body = { step, undo: false, ahead: true, ...how }
    const goOn = () =>
      client.setQueryData<Plan>(
        keyOf('/api/plan'),
        (plan) => plan && withMark(plan, item.id, body, new Date().toISOString()),
      )
    mark.mutate(body, {
      onError: (e) => (e instanceof Kept ? goOn() : setProblem(e.message)),
      onSuccess: () => setProblem(undefined),
    })
  }
  useKeys({
    Space: (e) => {
      if (!front || e.repeat || bottling) return
      if (e.target instanceof HTMLElement && e.target.closest('input, button, a, summary')) return
      e.preventDefault()
      const step = item.steps[front.step]
      if (step?.kind === 'bottle' && item.batchID === 0) setBottling(true)
      else set(front.step, {})
    },
  })
  if (!front) return null
  return (
    <>
      <NotFor whom={item.forWhom} large />
      <StepCard
        item={item}
        front={front}
        onDone={() => set(front.step, {})}
        onSkip={() => set(front.step, { skip: true })}
        onUndo={() => set(front.undo, { undo: true })}
        onBottle={() => setBottling(true)}
      />
      <ErrorText id="cook-error">{problem}</ErrorText>
      {bottling && <BottlingDialog item={item} onClose={() => setBottling(false)} />}
    </>
  )
}
