import type { FoundReadings, ReadAs } from '../../../api/schema'
import { copy } from '../../../copy/more'
import { Select } from '../../../ui/Select'

type Props = { found: FoundReadings; onAs: (as: ReadAs) => void }

/** HowItIsRead shows one line of the file beside what it is read as, and what could be read otherwise. */
export function HowItIsRead({ found, onAs }: Props) {
  const orders = found.orders.map((value) => ({ value, label: copy.shelf[value as 'ymd' | 'dmy' | 'mdy'] }))
  const columns = found.columns.map((c) => ({ value: String(c.column), label: c.name }))
  return (
    <div className="grid gap-2">
      {found.readsAs && (
        <p>
          <code className="rounded bg-linen px-1.5 py-0.5 break-all">{found.line}</code> {copy.shelf.readsAs}{' '}
          <b>{found.readsAs}</b>
        </p>
      )}
      <p className="text-note text-mute">{found.written}</p>
      <div className="flex flex-wrap gap-2">
        {orders.length > 1 && (
          <Select
            label={copy.shelf.dateOrder}
            value={found.order}
            choices={orders}
            onChange={(order) => onAs({ order: order as ReadAs['order'] })}
          />
        )}
        <Select
          label={copy.shelf.temperatureIn}
          value={found.scale}
          choices={[
            { value: 'c', label: '°C' },
            { value: 'f', label: '°F' },
          ]}
          onChange={(scale) => onAs({ scale: scale as ReadAs['scale'] })}
        />
        {columns.length > 1 && (
          <Select
            label={copy.shelf.temperatureColumn}
            value={String(found.column)}
            choices={columns}
            onChange={(column) => onAs({ column: Number(column) })}
          />
        )}
      </div>
    </div>
  )
}
