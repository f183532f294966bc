import { useState } from 'react'
import { Link } from 'wouter'
import { answer, api, Refused } from '../../api/client'
import { usePlanChange } from '../../api/hooks'
import type { NextStep, Plan } from '../../api/schema'
import { copy } from '../../copy/more'
import { Button } from '../../ui/Button'
import { Confirm } from '../../ui/Confirm'
import { ErrorText } from '../../ui/Field'
import { toDayAndClock, toMinutes } from '../../ui/format'
import { Tray } from '../../ui/Tray'

const shownAtOnce = 7

/** Next is what needs hands, the soonest first; what was done is marked, and the rest planned anew from it. */
export function Next({ plan }: { plan: Plan }) {
  const [problem, setProblem] = useState<string>()
  const [asked, setAsked] = useState<NextStep>()
  const done = usePlanChange((s: { itemID: number; step: number; ahead: boolean }) =>
    answer(
      api.POST('/api/plan/items/{id}/done', {
        params: { path: { id: s.itemID } },
        body: { step: s.step, undo: false, ahead: s.ahead },
      }),
    ),
  )
  const off = usePlanChange((id: number) => answer(api.DELETE('/api/plan/items/{id}', { params: { path: { id } } })))
  const onError = (e: Error) => setProblem(e instanceof Refused ? e.message : copy.plan.theChangeCouldNotBe)
  const water = usePlanChange((id: number) =>
    answer(
      api.PUT('/api/bowls/{id}', {
        params: { path: { id } },
        body: { freshWater: true, fridge: plan.bowls.find((b) => b.id === id)?.fridge ?? true },
      }),
    ),
  )
  const free = usePlanChange((id: number) =>
    answer(api.DELETE('/api/plan/items/{id}/blocks', { params: { path: { id } } })),
  )
  const mark = (n: NextStep, ahead = false) => {
    if (n.bowlID > 0) return water.mutate(n.bowlID, { onError })
    if (n.ask && !ahead) return setAsked(n)
    done.mutate({ itemID: n.itemID, step: n.step, ahead }, { onError, onSuccess: () => setProblem(undefined) })
  }
  return (
    <Tray label={copy.plan.next}>
      <h2 className="text-xl">{copy.plan.next}</h2>
      <ul>
        {plan.next.slice(0, shownAtOnce).map((n) => (
          <li key={`${n.itemID}-${n.bowlID}-${n.step}`} className="flex items-center gap-3 border-t border-line py-1.5">
            <div className="grow">
              <p className="leading-tight">
                <b>{n.title}</b>
              </p>
              <p className={n.late ? 'text-detail font-bold text-hibiscus-deep' : 'text-detail text-mute'}>
                {n.late && copy.plan.overdue}
                {toDayAndClock(n.at)} · {toMinutes(n.minutes)} · {n.drink}
              </p>
            </div>
            <Button aria-label={copy.plan.doneWhat(n.title, n.drink)} onClick={() => mark(n)}>
              {copy.plan.done}
            </Button>
          </li>
        ))}
      </ul>
      {plan.next.length > shownAtOnce && (
        <p className="text-mute">
          {copy.plan.and}
          {plan.next.length - shownAtOnce}
          {copy.plan.more}
        </p>
      )}
      <ErrorText id="done-error">{problem}</ErrorText>
      {asked && (
        <Confirm
          title={copy.plan.markItDoneEarly}
          text={asked.ask}
          confirm={copy.plan.markItDone}
          onConfirm={() => mark(asked, true)}
          onClose={() => setAsked(undefined)}
        />
      )}
      <ul aria-label={copy.plan.plannedDrinks} className="mt-3 flex flex-wrap gap-2 border-t border-line pt-3">
        {plan.items.map((i) => (
          <li key={i.id} className="flex flex-wrap items-center gap-2">
            <Link href={`/cook/${i.id}`} className="font-bold text-rim underline">
              {i.made && i.batchID === 0 ? copy.plan.bottle : copy.plan.cook} {i.name}
            </Link>
            {i.blocks.some((b) => b.pinned) && (
              <Button size="small" onClick={() => free.mutate(i.id, { onError })}>
                {copy.plan.resetTimes}
              </Button>
            )}
            <Button size="small" onClick={() => off.mutate(i.id, { onError })}>
              {copy.plan.remove(i.name)}
            </Button>
          </li>
        ))}
      </ul>
    </Tray>
  )
}
