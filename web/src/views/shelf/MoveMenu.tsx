import type { Bottle, Moved } from '../../api/schema'
import { copy } from '../../copy/more'
import { Button } from '../../ui/Button'
import { toMillilitres } from '../../ui/format'
import { Menu, MenuItem } from '../../ui/Menu'

const places: { place: Moved['place']; words: string }[] = [
  { place: 'fridge', words: copy.shelf.intoTheFridge },
  { place: 'door', words: copy.shelf.intoTheFridgeDoor },
  { place: 'freezer', words: copy.shelf.intoTheFreezer },
  { place: 'outside', words: copy.shelf.ontoTheCounter },
]

type MoveProps = {
  b: Bottle
  others: Bottle[]
  onMove: (place: Moved['place']) => void
  onMerge: (other: number) => void
}

/** MoveMenu puts the bottle elsewhere; the date follows. */
export function MoveMenu({ b, others, onMove, onMerge }: MoveProps) {
  return (
    <Menu trigger={<Button>{copy.shelf.move}</Button>} align="start">
      {places
        .filter((p) => p.place !== b.place)
        .map((p) => (
          <MenuItem
            key={p.place}
            disabled={p.place === 'freezer' && !b.canFreeze}
            hint={p.place === 'freezer' && !b.canFreeze ? copy.shelf.alreadyFrozenOnce : undefined}
            onSelect={() => onMove(p.place)}
          >
            {b.place === 'freezer' && p.place === 'fridge' ? copy.shelf.intoTheFridgeToThaw : p.words}
          </MenuItem>
        ))}
      {others.map((o) => (
        <MenuItem key={o.id} hint={copy.shelf.left(toMillilitres(o.leftML))} onSelect={() => onMerge(o.id)}>
          {copy.shelf.combineWithBottle(o.id)}
        </MenuItem>
      ))}
    </Menu>
  )
}
