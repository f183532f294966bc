import { type FormEvent, useState } from 'react'
import { Refused } from '../api/client'
import { useKitchen, useSetKitchen } from '../api/hooks'
import type { Kitchen } from '../api/schema'
import { Button } from '../ui/Button'
import { Dialog } from '../ui/Dialog'
import { Field } from '../ui/Field'
import { Select } from '../ui/Select'
import { systems } from './choices'
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
    </Dialog>
  )
}

function KitchenForm({ now, onClose }: { now: Kitchen; onClose: () => void }) {
  const set = useSetKitchen()
  const [system, setSystem] = useState(now.system)
  const [school, setSchool] = useState(now.school)
  const [theme, setTheme] = useState(now.theme)
  const [fridgeC, setFridgeC] = useState(String(now.fridgeC))
  const [currency, setCurrency] = useState(now.currency)
  const [kitchenC, setKitchenC] = useState(String(now.kitchenC))
  const [handsQuiet, setHandsQuiet] = useState(now.handsQuiet)
  const [noiseQuiet, setNoiseQuiet] = useState(now.noiseQuiet)
  const [jugML, setJugML] = useState(String(now.jugML))
  const refused = set.error instanceof Refused ? set.error : undefined
  const save = (e: FormEvent) => {
    e.preventDefault()
    const { measures, scaleG } = now
    const hours = { kitchenC: asNumber(kitchenC), handsQuiet, noiseQuiet }
    const numbers = { ...hours, fridgeC: asNumber(fridgeC), jugML: asNumber(jugML) }
    const body = { system, school, theme, measures, scaleG, currency: currency.trim().toUpperCase(), ...numbers }
    set.mutate(body, { onSuccess: onClose })
  }
  return (
    <form onSubmit={save} className="grid gap-4">
      <div className="flex flex-wrap gap-3">
        <Select
          label="New drinks measured in"
          value={system}
          choices={systems}
          onChange={(v) => setSystem(v as Kitchen['system'])}
        />
        <Select
          label="Keeping school"
          value={school}
          choices={schools}
          onChange={(v) => setSchool(v as Kitchen['school'])}
        />
        <Select label="Light" value={theme} choices={themes} onChange={(v) => setTheme(v as Kitchen['theme'])} />
      </div>
      <div className="grid gap-3 sm:grid-cols-2">
        <Field
          label="Fridge is set to"
          unit="°C"
          inputMode="decimal"
          value={fridgeC}
          onChange={(e) => setFridgeC(e.target.value)}
          error={refused?.fields.fridgeC && 'Enter a temperature from −2 to 30 °C.'}
          hint="Bottles filled from now on are dated by it."
        />
        <Field
          label="One blender load reaches"
          unit="mL"
          inputMode="numeric"
          value={jugML}
          onChange={(e) => setJugML(e.target.value)}
          error={refused?.fields.jugML && 'Enter a volume from 100 to 50,000 mL.'}
        />
        <Field
          label="The kitchen is at"
          unit="°C"
          inputMode="decimal"
          value={kitchenC}
          onChange={(e) => setKitchenC(e.target.value)}
          error={refused?.fields.kitchenC && 'Enter a temperature from 5 to 45 °C.'}
          hint="Soaks are shorter in a warm one."
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
          error={refused?.fields.currency && 'Enter three letters, such as GBP.'}
        />
      </div>
      {refused && Object.keys(refused.fields).length === 0 && <p role="alert">{refused.message}</p>}
      <div className="flex justify-end gap-2">
        <Button onClick={onClose}>Leave as it was</Button>
        <Button primary type="submit" disabled={set.isPending}>
          Keep these
        </Button>
      </div>
    </form>
  )
}

/** asNumber reads a typed number; what is none goes to the server as it cannot be accepted there. */
const asNumber = (typed: string) => (typed.trim() === '' ? Number.MIN_SAFE_INTEGER : Number(typed.replace(',', '.')))
