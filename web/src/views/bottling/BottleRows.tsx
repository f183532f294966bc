import { Plus, Trash2 } from 'lucide-react'
import { Refused } from '../../api/client'
import type { Keeps, NewBottle } from '../../api/schema'
import { copy } from '../../copy/more'
import { Button, IconButton } from '../../ui/Button'
import { ErrorText, Field } from '../../ui/Field'
import { toDayAndMonth } from '../../ui/format'
import { accepts, asMeasure } from '../../ui/number'
import { Select } from '../../ui/Select'
import { toShown } from '../../ui/units'

const places = [
  { value: 'fridge', label: copy.bottling.fridge },
  { value: 'freezer', label: copy.bottling.freezer },
]

/** Filling is a bottle in the form; its volume as typed. */
export type Filling = { key: number; volume: string; place: NewBottle['place'] }

/** oneBottle is all of it in one. */
export const oneBottle = (ml: number): Filling[] => [
  { key: 0, volume: String(Math.floor(toShown(ml, 'mL'))), place: 'fridge' },
]

/** toBottles are the bottles as they are sent. */
export const toBottles = (fillings: Filling[]): NewBottle[] =>
  fillings.map((f) => ({ volumeML: asMeasure(f.volume, 'mL') || 0, place: f.place }))

/** fieldsOf is what was wrong with the bottles, by field. */
export const fieldsOf = (error: Error | null): Record<string, string> => (error instanceof Refused ? error.fields : {})

type Props = {
  bottles: Filling[]
  keeps?: Keeps
  /** What was wrong, by field. */
  fields: Record<string, string>
  onChange: (bottles: Filling[]) => void
}

/** BottleRows are the bottles a batch goes into. */
export function BottleRows({ bottles, keeps, fields, onChange }: Props) {
  const set = (key: number, change: Partial<Filling>) =>
    onChange(bottles.map((b) => (b.key === key ? { ...b, ...change } : b)))
  return (
    <div className="grid gap-2">
      <ul aria-label={copy.bottling.bottles} className="grid gap-2">
        {bottles.map((b, n) => (
          <BottleRow
            key={b.key}
            n={n}
            bottle={b}
            keeps={keeps}
            error={fields[`bottles[${n}].volumeML`]}
            onChange={(change) => set(b.key, change)}
            onRemove={bottles.length > 1 ? () => onChange(bottles.filter((o) => o !== b)) : undefined}
          />
        ))}
      </ul>
      <div>
        <Button onClick={() => onChange([...bottles, { key: Date.now(), volume: '', place: 'fridge' }])}>
          <Plus size={18} aria-hidden />
          {copy.bottling.addABottle}
        </Button>
        <ErrorText id="bottles-error">{fields.bottles}</ErrorText>
      </div>
    </div>
  )
}

/** BottlingCare is what to mind while bottling. */
export function BottlingCare() {
  return <p className="text-sm text-mute">{copy.bottling.washYourHandsBoilAnd}</p>
}

type RowProps = {
  n: number
  bottle: Filling
  keeps?: Keeps
  error?: string
  onChange: (change: Partial<Filling>) => void
  onRemove?: () => void
}

function BottleRow({ n, bottle, keeps, error, onChange, onRemove }: RowProps) {
  const until = bottle.place === 'freezer' ? keeps?.freezerUseBy : keeps?.useBy
  return (
    <li>
      <div className="flex items-end gap-2">
        <Field
          label={copy.bottling.bottle(n + 1)}
          unit="mL"
          className="w-32"
          value={bottle.volume}
          onChange={(e) => onChange({ volume: e.target.value })}
        />
        <Select
          label={copy.bottling.inThe}
          value={bottle.place}
          choices={places}
          onChange={(v) => onChange({ place: v as NewBottle['place'] })}
        />
        {onRemove && (
          <IconButton label={copy.bottling.removeBottle(n + 1)} className="mb-1 ml-auto" onClick={onRemove}>
            <Trash2 size={18} aria-hidden />
          </IconButton>
        )}
      </div>
      <ErrorText id={`bottle-${bottle.key}-error`}>{error && accepts('mL')}</ErrorText>
      {keeps && until && (
        <p className="mt-1 text-note">
          {copy.bottling.useBy}
          <b>{toDayAndMonth(until)}</b>
          <span className="text-mute">
            {bottle.place === 'freezer' ? copy.bottling.thenThawInTheFridge : `: ${keeps.reasons.join('; ')}`}
          </span>
        </p>
      )}
    </li>
  )
}
