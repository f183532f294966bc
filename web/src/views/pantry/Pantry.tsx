import { useState } from 'react'
import { useKitchen, usePantry } from '../../api/hooks'
import { copy } from '../../copy/more'
import { Notice } from '../../ui/Notice'
import { Drawer } from './Drawer'
import { Drinkers } from './Drinkers'
import { Ingredients } from './Ingredients'
import { Measures } from './Measures'
import { Names } from './Names'
import { PantryPaper } from './PantryPaper'

/** Pantry is what the kitchen has: ingredients and prices, measures, and who drinks. */
export function Pantry() {
  const pantry = usePantry()
  const kitchen = useKitchen()
  const [find, setFind] = useState('')
  if (pantry.error) return <Notice urgent>{pantry.error.detail}</Notice>
  if (!pantry.data || !kitchen.data) return null
  const priced = pantry.data.ingredients.filter((i) => i.price > 0).length
  const summary = copy.pantry.ingredientsWithAPriceDrinkers(
    pantry.data.ingredients.length,
    priced,
    pantry.data.drinkers.length,
  )
  return (
    <main className="grid grid-cols-[minmax(0,1fr)] gap-3">
      <PantryPaper pantry={pantry.data} intro={summary} />
      <div>
        <h1 className="text-title leading-tight">{copy.pantry.pantry}</h1>
        <p className="text-mute">{summary}</p>
      </div>
      <div className="grid grid-cols-[minmax(0,1fr)] items-start gap-4 lg:grid-cols-[minmax(0,1fr)_minmax(0,23.5rem)]">
        <Ingredients pantry={pantry.data} find={find} onFind={setFind} />
        <div className="grid min-w-0 grid-cols-[minmax(0,1fr)] gap-4">
          <Drawer kitchen={kitchen.data} />
          <Measures measures={pantry.data.measures} />
          <Names names={pantry.data.names} />
          <Drinkers drinkers={pantry.data.drinkers} />
        </div>
      </div>
    </main>
  )
}
