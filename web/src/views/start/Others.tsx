import { useState } from 'react'
import { Link } from 'wouter'
import { answer, api } from '../../api/client'
import { useDrinks } from '../../api/hooks'
import type { Basic } from '../../api/schema'
import { copy } from '../../copy'
import { Button } from '../../ui/Button'
import { Field } from '../../ui/Field'
import { toDayAndMonth } from '../../ui/format'
import { Tray } from '../../ui/Tray'
import { useBegin } from './useWish'

/** Write begins with a recipe that is there already, or with an empty page. */
export function Write() {
  const begin = useBegin()
  return (
    <Tray label={copy.start.pasteOrType} className="grid gap-2">
      <h2 className="text-xl">{copy.start.pasteOrType}</h2>
      <p className="text-note text-mute">{copy.start.pasteOrTypeIntro}</p>
      <div className="flex flex-wrap gap-2">
        <Button onClick={() => begin(copy.bench.newDrink, undefined, '?tool=paste')}>{copy.bench.pasteARecipe}</Button>
        <Button onClick={() => begin(copy.bench.newDrink)}>{copy.start.emptyDrink}</Button>
      </div>
    </Tray>
  )
}

/** What is shown of a long list before one searches it. */
const few = 8

/** Basics are plain drinks of one base each. */
export function Basics({ basics }: { basics: Basic[] }) {
  const begin = useBegin()
  const [find, setFind] = useState('')
  const open = async (b: Basic) => {
    const d = await answer(api.POST('/api/wishes', { body: b.wish }))
    await begin(d.name, d.recipe)
  }
  const found = basics.filter((b) => b.name.toLowerCase().includes(find.trim().toLowerCase()))
  return (
    <Tray label={copy.start.startFromABasic} className="grid gap-2">
      <h2 className="text-xl">{copy.start.startFromABasic}</h2>
      <p className="text-note text-mute">{copy.start.basicsIntro}</p>
      <Field label={copy.start.findABasic} value={find} onChange={(e) => setFind(e.target.value)} />
      <ul className="flex flex-wrap gap-1.5">
        {found.slice(0, few).map((b) => (
          <li key={b.name}>
            <Button size="small" onClick={() => open(b)}>
              {b.name}
            </Button>
          </li>
        ))}
      </ul>
      {found.length > few && <p className="text-fine text-mute">{copy.start.andMore(found.length - few)}</p>}
      {found.length === 0 && <p className="text-note">{copy.start.noSuchBasic}</p>}
    </Tray>
  )
}

/** OwnDrinks are the kitchen's own, the one worked on last first; each can be opened, or begun from anew. */
export function OwnDrinks() {
  const begin = useBegin()
  const drinks = useDrinks().data ?? []
  const [find, setFind] = useState('')
  const duplicate = async (id: number) => {
    const d = await answer(api.GET('/api/drinks/{id}', { params: { path: { id } } }))
    await begin(copy.start.copyOf(d.name), d.draft)
  }
  if (drinks.length === 0) return null
  const found = drinks.filter((d) => d.name.toLowerCase().includes(find.trim().toLowerCase()))
  return (
    <Tray label={copy.start.yourDrinks} className="grid gap-2">
      <h2 className="text-xl">{copy.start.yourDrinks}</h2>
      <Field label={copy.start.findADrink} value={find} onChange={(e) => setFind(e.target.value)} />
      <ul className="grid">
        {found.map((d) => (
          <li key={d.id} className="flex items-center gap-2 border-t border-line py-1">
            <Link href={`/bench/${d.id}`} className="grow font-bold underline-offset-4 hover:underline">
              {d.name}
            </Link>
            <span className="text-fine text-mute">{d.lastMade && copy.start.lastMade(toDayAndMonth(d.lastMade))}</span>
            <Button size="small" aria-label={copy.start.duplicateOf(d.name)} onClick={() => duplicate(d.id)}>
              {copy.start.duplicate}
            </Button>
          </li>
        ))}
      </ul>
      {found.length === 0 && <p className="text-note">{copy.start.noSuchDrink}</p>}
    </Tray>
  )
}
