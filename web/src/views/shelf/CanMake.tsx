import { useState } from 'react'
import { Link } from 'wouter'
import { answer, api, query } from '../../api/client'
import { usePlanChange } from '../../api/hooks'
import type { CanMake as CanMakeFigure } from '../../api/schema'
import { copy } from '../../copy/more'
import { Button } from '../../ui/Button'
import { ErrorText } from '../../ui/Field'
import { toDay, toMillilitres } from '../../ui/format'
import { Tray } from '../../ui/Tray'

/** As many as are shown before the rest is asked for. */
const shown = 3

/** CanMake is what can be made with what there is, what would spoil first first. */
export function CanMake() {
  const drinks = query.useQuery('get', '/api/can-make').data
  const [all, setAll] = useState(false)
  if (!drinks || drinks.length === 0) return null
  const now = drinks.filter((d) => d.now)
  const rows = all ? drinks : now.slice(0, shown)
  return (
    <Tray label={copy.shelf.readyToMake} className="grid gap-2">
      <h2 className="text-xl">{copy.shelf.readyToMake}</h2>
      {now.length === 0 && <p className="text-note text-mute">{copy.shelf.nothingCanBeMadeFrom}</p>}
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
  if (shown === 0) return copy.shelf.missingIngredients
  return copy.shelf.missingIngredientsOf(rest)
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
        {d.now && d.enoughML < d.writtenML && copy.shelf.ofTheUsual(toMillilitres(d.writtenML))}
      </p>
      {d.first && <p>{copy.shelf.firstToUse(d.first, toDay(d.firstBy))}</p>}
      {d.missing.length > 0 && <p className="text-mute">{copy.shelf.missing(d.missing.join(copy.shelf.text))}</p>}
      {!d.now && d.missing.length === 0 && <p className="text-mute">{copy.shelf.thereIsOnlyEnoughFor}</p>}
      {d.now && d.toCheck.length > 0 && (
        <p className="text-mute">{copy.shelf.checkWhetherYouHave(d.toCheck.join(', '))}</p>
      )}
      {d.now && (
        <div>
          <Button disabled={plan.isPending} onClick={() => plan.mutate(undefined)}>
            {copy.shelf.startNow}
            <span className="sr-only">: {d.drinkName}</span>
          </Button>
        </div>
      )}
      {plan.isSuccess && (
        <p role="status">
          {copy.shelf.itIsOnThe}
          <Link href="/plan" className="underline">
            {copy.shelf.plan}
          </Link>
          .
        </p>
      )}
      <ErrorText id={`can-make-${d.drinkID}-error`}>{plan.error?.message}</ErrorText>
    </li>
  )
}
