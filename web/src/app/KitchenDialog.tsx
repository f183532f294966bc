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
      <p className="mt-3 text-[15px] text-mute">
        <a href="/licences.txt" target="_blank" rel="noreferrer" className="underline">
          Licences of what this is built of
        </a>
      </p>
    </Dialog>
  )
}

function KitchenForm({ now, onClose }: { now: Settings; onClose: () => void }) {
  const set = useSetKitchen()
  const [system, setSystem] = useState(now.system)
  const [school, setSchool] = useState(now.school)
  const [theme, setTheme] = useState(now.theme)
  const [fridgeC, setFridgeC] = useState(String(now.fridgeC))
  const [currency, setCurrency] = useState(now.currency)
  const [kitchenC, setKitchenC] = useState(String(now.kitchenC))
  const [handsQuiet, setHandsQuiet] = useState(now.handsQuiet)
  const [noiseQuiet, setNoiseQuiet] = useState(now.noiseQuiet)
  const [blender, setBlender] = useState(now.blender ?? 'regular')
  const [tapC, setTapC] = useState(String(now.tapC ?? 15))
  const [panCM, setPanCM] = useState(now.panCM ? String(now.panCM) : '')
  const [jugML, setJugML] = useState(String(now.jugML))
  const refused = set.error instanceof Refused ? set.error : undefined
  /** said is what works in a field; of one changed elsewhere, both values. */
  const said = (field: string, works: string) =>
    refused?.fields[field] && (refused.status === 409 ? refused.fields[field] : works)
  const save = (e: FormEvent) => {
    e.preventDefault()
    const { measures, scaleG, revision, timeZone } = now
    const hours = { kitchenC: typedAs(kitchenC, '°C'), handsQuiet, noiseQuiet }
    const numbers = {
      ...hours,
      fridgeC: typedAs(fridgeC, '°C'),
      jugML: typedAs(jugML, 'mL'),
      tapC: typedAs(tapC, '°C'),
      panCM: panCM.trim() === '' ? 0 : typedAs(panCM, 'cm'),
    }
    const body = {
      system,
      school,
      theme,
      measures,
      scaleG,
      revision,
      timeZone,
      blender,
      currency: currency.trim().toUpperCase(),
      ...numbers,
    }
    set.mutate(body, { onSuccess: onClose })
  }
  return (
    <form onSubmit={save} className="grid gap-4">
      <div className="flex flex-wrap gap-3">
        <Select
          label="New drinks measured in"
          value={system}
          choices={systems}
          onChange={(v) => setSystem(v as Settings['system'])}
        />
        <Select
          label="Keeping school"
          value={school}
          choices={schools}
          onChange={(v) => setSchool(v as Settings['school'])}
        />
        <Select
          label="Blender"
          value={blender}
          choices={blenders}
          onChange={(v) => setBlender(v as NonNullable<Settings['blender']>)}
        />
        <Select label="Light" value={theme} choices={themes} onChange={(v) => setTheme(v as Settings['theme'])} />
      </div>
      <div className="grid gap-3 sm:grid-cols-2">
        <Field
          label="Fridge is set to"
          unit="°C"
          inputMode="decimal"
          value={fridgeC}
          onChange={(e) => setFridgeC(e.target.value)}
          error={said('fridgeC', 'Enter a temperature from −2 to 30 °C.')}
          hint="Bottles filled from now on are dated by it."
        />
        <Field
          label="One blender load reaches"
          unit="mL"
          inputMode="numeric"
          value={jugML}
          onChange={(e) => setJugML(e.target.value)}
          error={said('jugML', 'Enter a volume from 100 mL to 50 L.')}
        />
        <Field
          label="The kitchen is at"
          unit="°C"
          inputMode="decimal"
          value={kitchenC}
          onChange={(e) => setKitchenC(e.target.value)}
          error={said('kitchenC', 'Enter a temperature from 5 to 45 °C.')}
          hint="Soaks are shorter in a warm one."
        />
        <Field
          label="Tap water is at"
          unit="°C"
          inputMode="decimal"
          value={tapC}
          onChange={(e) => setTapC(e.target.value)}
          error={said('tapC', 'Enter a temperature from 0 to 60 °C.')}
          hint="It is ground with, where nothing else is said."
        />
        <Field
          label="The pan is across"
          unit="cm"
          inputMode="decimal"
          value={panCM}
          onChange={(e) => setPanCM(e.target.value)}
          error={said('panCM', 'Enter a width up to 80 cm, or leave it empty.')}
          hint="Empty for one that fits."
        />
        <Field
          label="Nobody is up"
          value={handsQuiet}
          placeholder="22:30-06:30"
          onChange={(e) => setHandsQuiet(e.target.value)}
          error={refused?.fields.handsQuiet}
        />
        <Field
          label="No blender"
          value={noiseQuiet}
          placeholder="21:00-07:30"
          onChange={(e) => setNoiseQuiet(e.target.value)}
          error={refused?.fields.noiseQuiet}
        />
        <Field
          label="Currency"
          value={currency}
          maxLength={3}
          onChange={(e) => setCurrency(e.target.value)}
          error={said('currency', 'Enter three letters, such as GBP.')}
        />
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

/** typedAs reads what was typed in a field of a unit; what is none goes to the server as it cannot be accepted there. */
const typedAs = (typed: string, unit: string) => {
  const value = asMeasure(typed, unit)
  return Number.isNaN(value) ? Number.MIN_SAFE_INTEGER : value
}
