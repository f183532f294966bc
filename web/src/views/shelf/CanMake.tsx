import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { Link } from 'wouter'
import { answer, api } from '../../api/client'
import { usePlanChange } from '../../api/hooks'
import type { CanMake as CanMakeFigure } from '../../api/schema'
import { Button } from '../../ui/Button'
import { ErrorText } from '../../ui/Field'
import { toDay, toMillilitres } from '../../ui/format'
import { Tray } from '../../ui/Tray'

/** As many as are shown before the rest is asked for. */
const shown = 3

/** CanMake is what can be made with what there is, what would spoil first first. */
export function CanMake() {
  const drinks = useQuery({ queryKey: ['shelf', 'can-make'], queryFn: () => answer(api.GET('/api/can-make')) }).data
  const [all, setAll] = useState(false)
  if (!drinks || drinks.length === 0) return null
  const now = drinks.filter((d) => d.now)
  const rows = all ? drinks : now.slice(0, shown)
  return (
    <Tray label="What can be made now" className="grid gap-2">
      <h2 className="text-xl">What can be made now</h2>
      {now.length === 0 && (
        <p className="text-note text-mute">
          Nothing with what is known to be there. The Pantry keeps the stock; what each drink lacks stands below.
        </p>
      )}
      <ul className="grid gap-2">
        {rows.map((d) => (
          <Row key={d.drinkID} d={d} />
        ))}
      </ul>
      {rows.length < drinks.length && (
        <div>
          <Button onClick={() => setAll(true)}>{restWords(rows.length, drinks.length - rows.length)}</Button>
        </div>
      )}
    </Tray>
  )
}

const restWords = (shown: number, rest: number) => {
  if (shown === 0) return 'What each drink lacks'
  return rest === 1 ? 'What the other one lacks' : `What the other ${rest} lack`
}

function Row({ d }: { d: CanMakeFigure }) {
  const plan = usePlanChange(() =>
    answer(
      api.POST('/api/plan/items', { body: { drinkID: d.drinkID, readyBy: '', startNow: true, volumeML: d.enoughML } }),
    ),
  )
  return (
    <li className="grid gap-1 border-t border-line pt-2 text-note">
      <p>
        <Link href={`/bench/${d.drinkID}`} className="font-bold underline">
          {d.drinkName}
        </Link>
        {d.now && `, ${toMillilitres(d.enoughML)}`}
        {d.now && d.enoughML < d.writtenML && ` of the ${toMillilitres(d.writtenML)} it is written for`}
      </p>
      {d.first && (
        <p>
          First to spoil: {d.first}, {toDay(d.firstBy)}.
        </p>
      )}
      {d.missing.length > 0 && <p className="text-mute">There is no {d.missing.join(', no ')}.</p>}
      {!d.now && d.missing.length === 0 && <p className="text-mute">What there is does for too little of it.</p>}
      {d.now && d.toCheck.length > 0 && <p className="text-mute">Look whether there is {d.toCheck.join(', ')}.</p>}
      {d.now && (
        <div>
          <Button disabled={plan.isPending} onClick={() => plan.mutate(undefined)}>
            Begin it now<span className="sr-only">: {d.drinkName}</span>
          </Button>
        </div>
      )}
      {plan.isSuccess && (
        <p role="status">
          It is on the{' '}
          <Link href="/plan" className="underline">
            plan
          </Link>
          .
        </p>
      )}
      <ErrorText id={`can-make-${d.drinkID}-error`}>{plan.error?.message}</ErrorText>
    </li>
  )
}
