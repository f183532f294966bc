import {
  DndContext,
  type DragEndEvent,
  DragOverlay,
  MouseSensor,
  TouchSensor,
  useSensor,
  useSensors,
} from '@dnd-kit/core'
import { useState } from 'react'
import { Refused } from '../../api/client'
import type { Bottle, Moved } from '../../api/schema'
import { useMoveBottle } from '../../api/shelf'
import { copy } from '../../copy/more'
import { Notice } from '../../ui/Notice'
import { quietly } from '../../ui/quietly'
import { BottleDrawing } from './BottleDrawing'
import { Place } from './Place'

/** The places in the order Alt and an arrow goes through them. */
const order: Moved['place'][] = ['fridge', 'door', 'freezer', 'outside']

/** A finger rests this long on a bottle before it is lifted, so that the page still scrolls. */
const liftAfterMS = 250
const liftFromPX = 6

type Props = {
  bottles: Bottle[]
  fridgeC?: number
  chosen?: number
  drinker: string
  onChoose: (id: number) => void
}

/** Places are the fridge, its door, the freezer and the table, with bottles to be moved between them. */
export function Places({ bottles, fridgeC, chosen, drinker, onChoose }: Props) {
  const move = useMoveBottle()
  const [lifted, setLifted] = useState<Bottle>()
  const sensors = useSensors(
    useSensor(MouseSensor, { activationConstraint: { distance: liftFromPX } }),
    useSensor(TouchSensor, { activationConstraint: { delay: liftAfterMS, tolerance: liftFromPX } }),
  )
  const put = (b: Bottle, place: Moved['place']) => {
    if (place === b.place) return
    onChoose(b.id)
    move.mutate({ id: b.id, place })
  }
  const drop = ({ over }: DragEndEvent) => {
    if (lifted && over) put(lifted, over.id as Moved['place'])
    setLifted(undefined)
  }
  const step = (b: Bottle, by: number) => {
    const to = order[order.indexOf(b.place as Moved['place']) + by]
    if (to) put(b, to)
  }
  const at = (place: Moved['place'], name: string) => (
    <Place
      place={place}
      name={name}
      bottles={bottles.filter((b) => b.place === place)}
      chosen={chosen}
      drinker={drinker}
      isLifting={lifted !== undefined && lifted.place !== place}
      onChoose={onChoose}
      onStep={step}
    />
  )
  return (
    <div className="grid gap-2 max-sm:hidden">
      <DndContext
        sensors={sensors}
        accessibility={quietly}
        onDragStart={({ active }) => setLifted(bottles.find((b) => b.id === active.id))}
        onDragEnd={drop}
        onDragCancel={() => setLifted(undefined)}
      >
        <div className="overflow-hidden rounded-tray border-tray border-rim bg-glass md:grid md:grid-cols-[minmax(0,2fr)_minmax(0,1fr)]">
          <div className="flex flex-col">
            <div className="grow">{at('fridge', copy.shelf.fridgeSetToC(fridgeC ?? '–'))}</div>
            {at('door', copy.shelf.fridgeDoor)}
          </div>
          <div className="flex flex-col border-rim max-md:border-t-[3px] md:border-l-[3px]">
            <div className="grow">{at('freezer', copy.shelf.freezer)}</div>
            {at('outside', copy.shelf.onTheCounter)}
          </div>
        </div>
        <DragOverlay dropAnimation={null}>{lifted && <BottleDrawing b={lifted} />}</DragOverlay>
      </DndContext>
      <p aria-live="polite" className="sr-only">
        {move.data && copy.shelf.isNowInThe(move.data.drinkName, copy.shelf.places[move.data.place] ?? move.data.place)}
      </p>
      {move.error && (
        <Notice urgent>{move.error instanceof Refused ? move.error.message : copy.shelf.theBottleWasNotMoved}</Notice>
      )}
    </div>
  )
}
