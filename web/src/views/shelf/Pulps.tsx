import { useState } from 'react'
import { answer, api, Refused } from '../../api/client'
import type { PulpEnd, PulpFigure } from '../../api/schema'
import { useShelfChange } from '../../api/shelf'
import { copy } from '../../copy/more'
import { Button } from '../../ui/Button'
import { classes } from '../../ui/classes'
import { ErrorText, Field } from '../../ui/Field'
import { toDayAndMonth, toGrams } from '../../ui/format'
import { Tray } from '../../ui/Tray'

/** Pulps are what was left in the strainer, to be used like any bottle. */
export function Pulps({ pulps }: { pulps: PulpFigure[] }) {
  if (pulps.length === 0) return null
  return (
    <Tray label={copy.shelf.pulp} className="grid gap-2">
      <h2 className="text-xl">{copy.shelf.pulp}</h2>
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
        <b>{p.drinkName}</b>
        {copy.shelf.wetOnceDried(toGrams(p.wetG), toGrams(p.driedG))}
        <b className={classes(p.past && 'text-hibiscus-deep')}>
          {copy.shelf.keepItInTheUse(copy.shelf.places[p.place] ?? p.place, toDayAndMonth(p.useBy))}
        </b>
        , {p.timeLeft}.
      </p>
      <p className="text-mute">
        {copy.shelf.containsProteinFatFibreSugars(
          toGrams(p.proteinG),
          toGrams(p.fatG),
          toGrams(p.fibreG),
          toGrams(p.sugarG),
          p.goodFor.join('; '),
        )}
      </p>
      <details>
        <summary className="min-h-8 cursor-pointer font-bold text-rim">{copy.shelf.usedItOrThrewIt}</summary>
        <div className="flex flex-wrap items-end gap-2 py-1">
          <Field
            className="grow"
            label={copy.shelf.pulpOfWhatForOr(p.drinkName)}
            value={what}
            maxLength={200}
            error={end.error instanceof Refused ? end.error.message : undefined}
            onChange={(e) => setWhat(e.target.value)}
          />
          <Button onClick={() => end.mutate({ for: what, thrown: false })}>{copy.shelf.used}</Button>
          <Button onClick={() => end.mutate({ for: what, thrown: true })}>{copy.shelf.thrownAway}</Button>
          {p.place === 'fridge' && <Button onClick={() => freeze.mutate(undefined)}>{copy.shelf.freeze}</Button>}
        </div>
      </details>
      <ErrorText id={`pulp-${p.id}-error`}>{freeze.error?.message}</ErrorText>
    </li>
  )
}
