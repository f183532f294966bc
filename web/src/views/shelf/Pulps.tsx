import { useState } from 'react'
import { answer, api, Refused } from '../../api/client'
import { useShelfChange } from '../../api/hooks'
import type { PulpEnd, PulpFigure } from '../../api/schema'
import { Button } from '../../ui/Button'
import { classes } from '../../ui/classes'
import { ErrorText, Field } from '../../ui/Field'
import { toDayAndMonth, toGrams } from '../../ui/format'
import { Tray } from '../../ui/Tray'

/** Pulps are what was left in the strainer, to be used like any bottle. */
export function Pulps({ pulps }: { pulps: PulpFigure[] }) {
  if (pulps.length === 0) return null
  return (
    <Tray label="Pulp" className="grid gap-2">
      <h2 className="text-xl">Pulp</h2>
      <ul className="grid gap-3">
        {pulps.map((p) => (
          <PulpRow key={p.id} p={p} />
        ))}
      </ul>
    </Tray>
  )
}

function PulpRow({ p }: { p: PulpFigure }) {
  const params = { path: { id: p.id } }
  const [what, setWhat] = useState('')
  const end = useShelfChange((body: PulpEnd) => answer(api.POST('/api/pulps/{id}/end', { params, body })))
  const freeze = useShelfChange(() => answer(api.POST('/api/pulps/{id}/freeze', { params })))
  return (
    <li className="grid gap-1.5 border-t border-line pt-2 text-note">
      <p>
        <b>{p.drinkName}</b>, {toGrams(p.wetG)} wet, {toGrams(p.driedG)} dried.{' '}
        <b className={classes(p.past && 'text-hibiscus-deep')}>
          In the {p.place} till {toDayAndMonth(p.useBy)}
        </b>
        , {p.timeLeft}.
      </p>
      <p className="text-mute">
        In it: {toGrams(p.proteinG)} protein, {toGrams(p.fatG)} fat, {toGrams(p.fibreG)} fibre, {toGrams(p.sugarG)}{' '}
        sugars. Good for {p.goodFor.join('; ')}.
      </p>
      <details>
        <summary className="min-h-8 cursor-pointer font-bold text-rim">What became of it</summary>
        <div className="flex flex-wrap items-end gap-2 py-1">
          <Field
            className="grow"
            label={`Pulp of ${p.drinkName}: used for, or why it goes`}
            value={what}
            maxLength={200}
            error={end.error instanceof Refused ? end.error.message : undefined}
            onChange={(e) => setWhat(e.target.value)}
          />
          <Button onClick={() => end.mutate({ for: what, thrown: false })}>Used</Button>
          <Button onClick={() => end.mutate({ for: what, thrown: true })}>Thrown out</Button>
          {p.place === 'fridge' && <Button onClick={() => freeze.mutate(undefined)}>Freeze it</Button>}
        </div>
      </details>
      <ErrorText id={`pulp-${p.id}-error`}>{freeze.error?.message}</ErrorText>
    </li>
  )
}
