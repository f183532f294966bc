import { useDraggable, useDroppable } from '@dnd-kit/core'
import type { KeyboardEvent } from 'react'
import type { Bottle, Moved } from '../../api/schema'
import { copy } from '../../copy/more'
import { classes } from '../../ui/classes'
import { toMillilitres } from '../../ui/format'
import { BottleDrawing } from './BottleDrawing'

type Props = {
  place: Moved['place']
  name: string
  bottles: Bottle[]
  chosen?: number
  drinker: string
  isLifting: boolean
  onChoose: (id: number) => void
  onStep: (b: Bottle, by: number) => void
}

/** Place is a shelf of bottles, onto which others can be put. */
export function Place({ place, name, bottles, chosen, drinker, isLifting, onChoose, onStep }: Props) {
  const { setNodeRef, isOver } = useDroppable({ id: place })
  return (
    <section
      ref={setNodeRef}
      aria-label={name}
      className={classes(
        'eased h-full min-w-0 px-4 pt-2.5',
        bottles.length > 0 ? 'pb-2' : 'pb-2.5',
        isLifting && 'bg-linen',
        isOver && isLifting && 'outline-[3px] -outline-offset-4 outline-rim outline-dashed',
      )}
    >
      <h2 className="!font-text text-note text-rim">
        {name}
        {bottles.length === 0 && <span className="font-normal text-mute">{copy.shelf.empty}</span>}
      </h2>
      <ul className="flex flex-wrap gap-y-1">
        {bottles.map((b) => (
          <OnShelf
            key={b.id}
            b={b}
            isChosen={b.id === chosen}
            drinker={drinker}
            onChoose={() => onChoose(b.id)}
            onStep={(by) => onStep(b, by)}
          />
        ))}
      </ul>
      {bottles.length === 0 && <div className="mt-2 border-b-4 border-rim" />}
    </section>
  )
}

type OnShelfProps = {
  b: Bottle
  isChosen: boolean
  drinker: string
  onChoose: () => void
  onStep: (by: number) => void
}

/** OnShelf is one bottle: chosen with a click, put elsewhere by dragging it, or with Alt and an arrow. */
function OnShelf({ b, isChosen, drinker, onChoose, onStep }: OnShelfProps) {
  const { setNodeRef, listeners, isDragging } = useDraggable({ id: b.id })
  const onKeyDown = (e: KeyboardEvent) => {
    if (!e.altKey || (e.key !== 'ArrowUp' && e.key !== 'ArrowDown')) return
    e.preventDefault()
    onStep(e.key === 'ArrowDown' ? 1 : -1)
  }
  return (
    <li className="flex">
      <button
        ref={setNodeRef}
        type="button"
        aria-pressed={isChosen}
        aria-keyshortcuts="Alt+ArrowUp Alt+ArrowDown"
        {...listeners}
        onKeyDown={onKeyDown}
        onClick={onChoose}
        className={classes(
          'eased flex w-[6.4rem] cursor-grab touch-manipulation flex-col items-center justify-end rounded-2xl pt-1',
          isChosen ? 'bg-linen' : 'hover:bg-linen',
          isDragging && 'opacity-40',
        )}
      >
        <BottleDrawing b={b} />
        <span className="h-[4.1rem] w-full border-t-4 border-rim px-1 pt-1 text-fine leading-tight font-bold">
          <span className={drinker ? 'line-clamp-1' : 'line-clamp-2'}>{b.drinkName}</span>
          <span className="sr-only">
            {copy.shelf.leftOf(toMillilitres(b.leftML), toMillilitres(b.volumeML), b.timeLeft)}
          </span>
          {b.standing === 'past' && <span className="block text-hibiscus-deep">{copy.shelf.pastItsDateMark}</span>}
          <ForDrinker b={b} drinker={drinker} />
        </span>
      </button>
    </li>
  )
}

/** ForDrinker says whether a bottle is for the one that was chosen. */
function ForDrinker({ b, drinker }: { b: Bottle; drinker: string }) {
  const whom = b.forWhom.find((w) => w.name === drinker)
  if (!whom) return null
  if (whom.not) return <span className="block text-hibiscus-deep">{copy.shelf.notFor(drinker)}</span>
  return <span className="block text-pandan">{copy.shelf.for(drinker)}</span>
}
