import { useState } from 'react'
import { Link } from 'wouter'
import { answer, api } from '../../api/client'
import { useDrinks } from '../../api/hooks'
import type { Basic } from '../../api/schema'
import { copy } from '../../copy/more'
import { Button } from '../../ui/Button'
import { Field } from '../../ui/Field'
import { toDayAndMonth } from '../../ui/format'
import { Tray } from '../../ui/Tray'
import { useBegin, useDuplicate } from './useWish'

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
  const [all, setAll] = useState(false)
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
        {found.slice(0, all ? found.length : few).map((b) => (
          <li key={b.name}>
            <Button size="small" onClick={() => open(b)}>
              {b.name}
            </Button>
          </li>
        ))}
      </ul>
      {found.length > few && !all && (
        <div>
          <Button size="small" onClick={() => setAll(true)}>
            {copy.start.andMore(found.length - few)}
          </Button>
        </div>
      )}
      {found.length === 0 && <p className="text-note">{copy.start.noSuchBasic}</p>}
    </Tray>
  )
}

/** OwnDrinks are the kitchen's own that were worked on last, and the way to all of them. */
export function OwnDrinks() {
  const duplicate = useDuplicate()
  const drinks = (useDrinks().data ?? []).filter((d) => !d.archived)
  if (drinks.length === 0) return null
  return (
    <Tray label={copy.start.yourDrinks} className="grid gap-2">
      <h2 className="text-xl">{copy.start.yourDrinks}</h2>
      <ul className="grid">
        {drinks.slice(0, few).map((d) => (
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
      <Link href="/drinks" className="font-bold text-rim underline">
        {copy.drinks.seeAll}
      </Link>
    </Tray>
  )
}
