import { Plus, Trash2 } from 'lucide-react'
import { type FormEvent, useState } from 'react'
import { useLocation } from 'wouter'
import { Refused } from '../../api/client'
import { useKitchen, useMakeBatch, useReckoning } from '../../api/hooks'
import type { Keeps, NewBottle, Reckoning } from '../../api/schema'
import { Button, IconButton } from '../../ui/Button'
import { Dialog } from '../../ui/Dialog'
import { ErrorText, Field } from '../../ui/Field'
import { toDayAndMonth, toMillilitres } from '../../ui/format'
import { Select } from '../../ui/Select'
import type { BenchDraft } from './useDraft'

const places = [
  { value: 'fridge', label: 'Fridge' },
  { value: 'freezer', label: 'Freezer' },
]

/** Filling is a bottle in the form; its volume as typed. */
type Filling = { key: number; volume: string; place: NewBottle['place'] }

const asNumber = (typed: string) => Number(typed.replace(',', '.'))

/** MadeDialog marks the drink as made and puts it into bottles. */
export function MadeDialog({
  bench,
  expected,
  onClose,
}: {
  bench: BenchDraft
  expected: Reckoning
  onClose: () => void
}) {
  const kitchen = useKitchen()
  const [madeOn, setMadeOn] = useState<string>()
  const [measured, setMeasured] = useState('')
  const [bottles, setBottles] = useState<Filling[]>([
    { key: 0, volume: String(Math.floor(expected.drinkML)), place: 'fridge' },
  ])
  const make = useMakeBatch(bench.kept.id)
  const [, go] = useLocation()
  const [unsaved, setUnsaved] = useState(false)
  const day = madeOn ?? kitchen.data?.today ?? ''
  const { draft } = bench
  const reckoning = useReckoning(draft.name, draft.formula, day)
  const refused = make.error instanceof Refused ? make.error : undefined
  const wrongDay = reckoning.error instanceof Refused ? reckoning.error.fields.madeOn : undefined

  const submit = async (e: FormEvent) => {
    e.preventDefault()
    const saved = await bench.saver.settle()
    setUnsaved(!saved)
    if (!saved) return
    make.mutate(
      {
        madeOn: day,
        measuredML: measured.trim() === '' ? undefined : asNumber(measured),
        bottles: bottles.map((b) => ({ volumeML: asNumber(b.volume), place: b.place })),
      },
      { onSuccess: () => go('/shelf') },
    )
  }
  const set = (key: number, change: Partial<Filling>) =>
    setBottles(bottles.map((b) => (b.key === key ? { ...b, ...change } : b)))

  return (
    <Dialog
      open
      onClose={onClose}
      title={`Made ${draft.name}`}
      intro={`About ${toMillilitres(expected.drinkML)} was expected.`}
    >
      <form onSubmit={submit} className="grid gap-4">
        <div className="grid gap-3 sm:grid-cols-2">
          <Field
            label="Made on"
            type="date"
            value={day}
            max={kitchen.data?.today}
            onChange={(e) => setMadeOn(e.target.value)}
            error={refused?.fields.madeOn ?? wrongDay}
          />
          <Field
            label="It gave, if you measured it"
            unit="mL"
            inputMode="decimal"
            value={measured}
            placeholder={String(Math.round(expected.drinkML))}
            onChange={(e) => setMeasured(e.target.value)}
            error={refused?.fields.measuredML && 'Enter a volume from 1 mL, or leave it empty.'}
          />
        </div>
        <ul aria-label="Bottles" className="grid gap-2">
          {bottles.map((b, n) => (
            <BottleRow
              key={b.key}
              n={n}
              bottle={b}
              keeps={(reckoning.data ?? expected).keeps}
              error={refused?.fields[`bottles[${n}].volumeML`]}
              onChange={(change) => set(b.key, change)}
              onRemove={bottles.length > 1 ? () => setBottles(bottles.filter((o) => o !== b)) : undefined}
            />
          ))}
        </ul>
        <div>
          <Button onClick={() => setBottles([...bottles, { key: Date.now(), volume: '', place: 'fridge' }])}>
            <Plus size={18} aria-hidden /> Another bottle
          </Button>
          <ErrorText id="bottles-error">{refused?.fields.bottles}</ErrorText>
          {unsaved && (
            <ErrorText id="unsaved-error">The drink could not be saved first, so nothing was bottled.</ErrorText>
          )}
          {refused && Object.keys(refused.fields).length === 0 && (
            <ErrorText id="make-error">{refused.message}</ErrorText>
          )}
        </div>
        <p className="text-sm text-mute">
          Clean hands, and bottles and cloth boiled and dried. Leave a tenth of a bottle empty in the freezer: water
          swells, and full glass cracks. Shake before use.
        </p>
        <div className="flex justify-end gap-2">
          <Button onClick={onClose}>Not yet</Button>
          <Button primary type="submit" disabled={make.isPending}>
            Bottle it
          </Button>
        </div>
      </form>
    </Dialog>
  )
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
          label={`Bottle ${n + 1}`}
          unit="mL"
          inputMode="decimal"
          className="w-32"
          value={bottle.volume}
          onChange={(e) => onChange({ volume: e.target.value })}
        />
        <Select
          label="in the"
          value={bottle.place}
          choices={places}
          onChange={(v) => onChange({ place: v as NewBottle['place'] })}
        />
        {onRemove && (
          <IconButton label={`Remove bottle ${n + 1}`} className="mb-1 ml-auto" onClick={onRemove}>
            <Trash2 size={18} aria-hidden />
          </IconButton>
        )}
      </div>
      <ErrorText id={`bottle-${bottle.key}-error`}>{error && 'Enter a volume from 1 mL.'}</ErrorText>
      {keeps && until && (
        <p className="mt-1 text-[15px]">
          use by <b>{toDayAndMonth(until)}</b>
          <span className="text-mute">
            {bottle.place === 'freezer'
              ? '; then thaw in the fridge and use within 2 days'
              : `: ${keeps.reasons.join('; ')}`}
          </span>
        </p>
      )}
    </li>
  )
}
