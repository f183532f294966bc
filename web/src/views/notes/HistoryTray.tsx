import { Link } from 'wouter'
import { query } from '../../api/client'
import type { DrinkMade } from '../../api/schema'
import { copy } from '../../copy/more'
import { Select } from '../../ui/Select'
import { Tray } from '../../ui/Tray'
import { Charts } from './Charts'

type Props = { id: number; drinks: DrinkMade[]; onChoose: (id: number) => void }

/** HistoryTray shows how one drink went, in small charts. */
export function HistoryTray({ id, drinks, onChoose }: Props) {
  const history = query.useQuery('get', '/api/drinks/{id}/history', { params: { path: { id } } }).data
  return (
    <Tray label={copy.notes.history} className="grid gap-2">
      <div className="flex flex-wrap items-end justify-between gap-3">
        <h2 className="text-xl">{copy.notes.history}</h2>
        <Select
          label={copy.notes.ofDrink}
          value={String(id)}
          choices={drinks.map((d) => ({ value: String(d.id), label: d.name }))}
          onChange={(v) => onChoose(Number(v))}
        />
      </div>
      {history && <Charts history={history} />}
      {history && (
        <Link href={`/notes/drink/${id}`} className="text-note text-rim underline">
          {copy.notes.allOf(history.name)}
        </Link>
      )}
    </Tray>
  )
}
