import type { Bottle, Moved } from '../../api/schema'
import { Button } from '../../ui/Button'
import { toMillilitres } from '../../ui/format'
import { Menu, MenuItem } from '../../ui/Menu'

const places: { place: Moved['place']; words: string }[] = [
  { place: 'fridge', words: 'Into the fridge' },
  { place: 'door', words: 'Into the fridge door' },
  { place: 'freezer', words: 'Into the freezer' },
  { place: 'outside', words: 'Outside, onto the table' },
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
    <Menu trigger={<Button>Move</Button>} align="start">
      {places
        .filter((p) => p.place !== b.place)
        .map((p) => (
          <MenuItem
            key={p.place}
            disabled={p.place === 'freezer' && !b.canFreeze}
            hint={p.place === 'freezer' && !b.canFreeze ? 'frozen once already' : undefined}
            onSelect={() => onMove(p.place)}
          >
            {b.place === 'freezer' && p.place === 'fridge' ? 'Into the fridge, to thaw' : p.words}
          </MenuItem>
        ))}
      {others.map((o) => (
        <MenuItem key={o.id} hint={`${toMillilitres(o.leftML)} left`} onSelect={() => onMerge(o.id)}>
          Pour together with bottle {o.id}
        </MenuItem>
      ))}
    </Menu>
  )
}
