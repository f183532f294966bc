import { type FormEvent, useState } from 'react'
import { Refused } from '../api/client'
import { useKitchen, useSetKitchen } from '../api/hooks'
import type { Settings } from '../api/schema'
import { Button } from '../ui/Button'
import { Dialog } from '../ui/Dialog'
import { Field } from '../ui/Field'
import { Notice } from '../ui/Notice'
import { asMeasure } from '../ui/number'
import { Select } from '../ui/Select'
import { blenders, systems } from './choices'
import { Devices } from './Devices'

const schools = [
  { value: 'cautious', label: 'Cautious' },
  { value: 'customary', label: 'Customary' },
]
const themes = [
  { value: 'system', label: 'As the system' },
  { value: 'day', label: 'Day' },
  { value: 'night', label: 'Night kitchen' },
]

/** KitchenDialog sets the kitchen's own ways. */
export function KitchenDialog({ onClose }: { onClose: () => void }) {
  const kitchen = useKitchen()
  if (!kitchen.data) return null
  return (
    <Dialog open onClose={onClose} title="Kitchen" intro="How this kitchen measures, chills and keeps.">
      <KitchenForm now={kitchen.data} onClose={onClose} />
      <Devices />
      <p className="mt-3 text-note text-mute">
        <a href="/licences.txt" target="_blank" rel="noreferrer" className="underline">
          Licences of what this is built of
        </a>
      </p>
    </Dialog>
  )
}

/** The settings that are typed, as they are typed. */
type Typed = Record<
  'fridgeC' | 'jugML' | 'kitchenC' | 'tapC' | 'panCM' | 'handsQuiet' | 'noiseQuiet' | 'currency',
  string
>

type Measure = { name: keyof Typed; label: string; unit?: string; works?: string; hint?: string; placeholder?: string }

/** What is typed, in its order; works is what the field says of what was refused, where the kitchen's own words are too long. */
const fields: Measure[] = [
  {
    name: 'fridgeC',
    label: 'Fridge is set to',
    unit: '°C',
    works: 'Enter a temperature from −2 to 30 °C.',
    hint: 'Bottles filled from now on are dated by it.',
  },
  { name: 'jugML', label: 'One blender load reaches', unit: 'mL', works: 'Enter a volume from 100 mL to 50 L.' },
  {
    name: 'kitchenC',
    label: 'The kitchen is at',
    unit: '°C',
    works: 'Enter a temperature from 5 to 45 °C.',
    hint: 'Soaks are shorter in a warm one.',
  },
  {
    name: 'tapC',
    label: 'Tap water is at',
    unit: '°C',
    works: 'Enter a temperature from 0 to 60 °C.',
    hint: 'It is ground with, where nothing else is said.',
  },
  {
    name: 'panCM',
    label: 'The pan is across',
    unit: 'cm',
    works: 'Enter a width up to 80 cm, or leave it empty.',
    hint: 'Empty for one that fits.',
  },
  { name: 'handsQuiet', label: 'Nobody is up', placeholder: '22:30-06:30' },
  { name: 'noiseQuiet', label: 'No blender', placeholder: '21:00-07:30' },
  { name: 'currency', label: 'Currency', works: 'Enter three letters, such as GBP.' },
]

function KitchenForm({ now, onClose }: { now: Settings; onClose: () => void }) {
  const set = useSetKitchen()
  const [chosen, setChosen] = useState({
    system: now.system,
    school: now.school,
    theme: now.theme,
    blender: now.blender ?? 'regular',
  })
  const [typed, setTyped] = useState<Typed>({
    fridgeC: String(now.fridgeC),
    jugML: String(now.jugML),
    kitchenC: String(now.kitchenC),
    tapC: String(now.tapC ?? 15),
    panCM: now.panCM ? String(now.panCM) : '',
    handsQuiet: now.handsQuiet,
    noiseQuiet: now.noiseQuiet,
    currency: now.currency,
  })
  const choose = (change: Partial<typeof chosen>) => setChosen({ ...chosen, ...change })
  const refused = set.error instanceof Refused ? set.error : undefined
  /** said is what works in a field; of one changed elsewhere, both values. */
  const said = ({ name, works }: Measure) =>
    refused?.fields[name] && (refused.status === 409 ? refused.fields[name] : (works ?? refused.fields[name]))
  const save = (e: FormEvent) => {
    e.preventDefault()
    const { measures, scaleG, revision, timeZone } = now // as they were when this was opened
    set.mutate({ measures, scaleG, revision, timeZone, ...chosen, ...settled(typed) }, { onSuccess: onClose })
  }
  return (
    <form onSubmit={save} className="grid gap-4">
      <div className="flex flex-wrap gap-3">
        <Select
          label="New drinks measured in"
          value={chosen.system}
          choices={systems}
          onChange={(v) => choose({ system: v as Settings['system'] })}
        />
        <Select
          label="Keeping school"
          value={chosen.school}
          choices={schools}
          onChange={(v) => choose({ school: v as Settings['school'] })}
        />
        <Select
          label="Blender"
          value={chosen.blender}
          choices={blenders}
          onChange={(v) => choose({ blender: v as NonNullable<Settings['blender']> })}
        />
        <Select
          label="Light"
          value={chosen.theme}
          choices={themes}
          onChange={(v) => choose({ theme: v as Settings['theme'] })}
        />
      </div>
      <div className="grid gap-3 sm:grid-cols-2">
        {fields.map((m) => (
          <Field
            key={m.name}
            label={m.label}
            unit={m.unit}
            inputMode={m.unit ? 'decimal' : undefined}
            hint={m.hint}
            placeholder={m.placeholder}
            value={typed[m.name]}
            error={said(m)}
            onChange={(e) => setTyped({ ...typed, [m.name]: e.target.value })}
          />
        ))}
      </div>
      {refused && (refused.status === 409 || Object.keys(refused.fields).length === 0) && (
        <Notice urgent>
          {refused.status === 409 ? `Changed elsewhere: ${Object.values(refused.fields).join(' ')}` : refused.message}
        </Notice>
      )}
      <div className="flex justify-end gap-2">
        <Button onClick={onClose}>Leave as it was</Button>
        <Button primary type="submit" disabled={set.isPending}>
          Keep these
        </Button>
      </div>
    </form>
  )
}

/** settled is what was typed as the settings have it. */
const settled = (typed: Typed) => ({
  handsQuiet: typed.handsQuiet,
  noiseQuiet: typed.noiseQuiet,
  currency: typed.currency.trim().toUpperCase(),
  kitchenC: typedAs(typed.kitchenC, '°C'),
  fridgeC: typedAs(typed.fridgeC, '°C'),
  jugML: typedAs(typed.jugML, 'mL'),
  tapC: typedAs(typed.tapC, '°C'),
  panCM: typed.panCM.trim() === '' ? 0 : typedAs(typed.panCM, 'cm'),
})

/** typedAs reads what was typed in a field of a unit; what is none goes to the server as it cannot be accepted there. */
const typedAs = (typed: string, unit: string) => {
  const value = asMeasure(typed, unit)
  return Number.isNaN(value) ? Number.MIN_SAFE_INTEGER : value
}
