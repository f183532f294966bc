import { type FormEvent, useState } from 'react'
import { Link } from 'wouter'
import { answer, api, Refused } from '../../api/client'
import { useShelfChange } from '../../api/hooks'
import type { OpenedPack, PackEnd, PackFigure } from '../../api/schema'
import { Button } from '../../ui/Button'
import { classes } from '../../ui/classes'
import { ErrorText, Field } from '../../ui/Field'
import { toDayAndMonth, toGrams, toMillilitres } from '../../ui/format'
import { NumberField } from '../../ui/NumberField'
import { Tray } from '../../ui/Tray'

/** Packs are what is left in open packs, each with a life of its own. */
export function Packs({ packs }: { packs: PackFigure[] }) {
  return (
    <Tray label="Open packs" className="grid gap-2">
      <h2 className="text-xl">Open packs</h2>
      {packs.length === 0 && (
        <p className="text-note text-mute">
          What was opened and not used up stands here, with how long the rest keeps and what it would go into.
        </p>
      )}
      <ul className="grid gap-3">
        {packs.map((p) => (
          <PackRow key={p.id} p={p} />
        ))}
      </ul>
      <OpenPack />
    </Tray>
  )
}

function PackRow({ p }: { p: PackFigure }) {
  return (
    <li className="grid gap-1 border-t border-line pt-2 text-note">
      <p>
        <b>{p.name}</b>, {toGrams(p.leftG)} left.{' '}
        <b className={classes(p.past && 'text-hibiscus-deep')}>Till {toDayAndMonth(p.useBy)}</b>, {p.timeLeft}
        {p.past ? ': throw it out.' : '.'}
      </p>
      <p className="text-mute">
        Opened {toDayAndMonth(p.openedOn)}; {p.why}. {p.where && `It belongs into ${p.where}.`}
      </p>
      {p.goesInto.length > 0 && (
        <p>
          Used up by{' '}
          {p.goesInto.map((g, n) => (
            <span key={g.drinkID}>
              {n > 0 && ', '}
              <Link href={`/bench/${g.drinkID}?volume=${Math.round(g.drinkML)}`} className="underline">
                {toMillilitres(g.drinkML)} of {g.drinkName}
              </Link>
            </span>
          ))}
          .
        </p>
      )}
      <WhatBecame p={p} />
    </li>
  )
}

function WhatBecame({ p }: { p: PackFigure }) {
  const params = { path: { id: p.id } }
  const [massG, setMassG] = useState<number>()
  const [why, setWhy] = useState('')
  const use = useShelfChange((g: number) => answer(api.POST('/api/packs/{id}/use', { params, body: { massG: g } })))
  const end = useShelfChange((body: PackEnd) => answer(api.POST('/api/packs/{id}/end', { params, body })))
  return (
    <details>
      <summary className="min-h-8 cursor-pointer font-bold text-rim">Take some, or say what became of it</summary>
      <div className="flex flex-wrap items-end gap-2 py-1">
        <NumberField
          className="w-36"
          label="Taken from it"
          unit="g"
          value={massG}
          error={use.error?.message}
          onNumber={setMassG}
          onEmpty={() => setMassG(undefined)}
        />
        <Button disabled={!massG} onClick={() => massG && use.mutate(massG)}>
          Take it
        </Button>
        <Button onClick={() => end.mutate({ thrown: false, why: '' })}>Used up</Button>
        <Field
          className="grow"
          label={`${p.name}: why it goes`}
          value={why}
          maxLength={200}
          error={end.error instanceof Refused ? end.error.message : undefined}
          onChange={(e) => setWhy(e.target.value)}
        />
        <Button onClick={() => end.mutate({ thrown: true, why })}>Thrown out</Button>
      </div>
    </details>
  )
}

function OpenPack() {
  const [what, setWhat] = useState('')
  const [openedOn, setOpenedOn] = useState('')
  const [printed, setPrinted] = useState('')
  const open = useShelfChange((body: OpenedPack) => answer(api.POST('/api/packs', { body })))
  const refused = open.error instanceof Refused ? open.error : undefined
  const send = (e: FormEvent) => {
    e.preventDefault()
    open.mutate(
      { what, openedOn, printed },
      {
        onSuccess: () => {
          setWhat('')
          setPrinted('')
        },
      },
    )
  }
  return (
    <form onSubmit={send} className="flex flex-wrap items-start gap-2 border-t border-line pt-2">
      <Field
        className="grow basis-56"
        label="Opened, and what is left in it"
        placeholder="240 g coconut milk, canned"
        value={what}
        maxLength={300}
        error={refused?.fields.what}
        onChange={(e) => setWhat(e.target.value)}
      />
      <Field
        label="Opened on"
        type="date"
        value={openedOn}
        error={refused?.fields.openedOn}
        onChange={(e) => setOpenedOn(e.target.value)}
      />
      <Field
        label="Date printed on it"
        type="date"
        value={printed}
        error={refused?.fields.printed}
        onChange={(e) => setPrinted(e.target.value)}
      />
      <Button type="submit" className="mt-6" disabled={what.trim() === '' || open.isPending}>
        Put it on the shelf
      </Button>
      <ErrorText id="open-pack-error">
        {refused && Object.keys(refused.fields).length === 0 ? refused.message : undefined}
      </ErrorText>
    </form>
  )
}
