import { Refused } from '../api/client'
import { useKitchen, useSetKitchen } from '../api/hooks'
import { Settings as limits } from '../api/limits'
import type { Settings } from '../api/schema'
import { copy } from '../copy'
import { Button } from '../ui/Button'
import { Dialog } from '../ui/Dialog'
import { Field } from '../ui/Field'
import { numberOf, useFields } from '../ui/form'
import { Notice } from '../ui/Notice'
import { Select } from '../ui/Select'
import { blenders, systems } from './choices'
import { Devices } from './Devices'

const schools = [
  { value: 'cautious', label: copy.app.cautious },
  { value: 'customary', label: copy.app.traditional },
]
const themes = [
  { value: 'system', label: copy.app.sameAsThisDevice },
  { value: 'day', label: copy.app.day },
  { value: 'night', label: copy.app.night },
]

/** KitchenDialog sets the kitchen's own ways. */
export function KitchenDialog({ onClose }: { onClose: () => void }) {
  const kitchen = useKitchen()
  if (!kitchen.data) return null
  return (
    <Dialog open onClose={onClose} title={copy.app.settings} intro={copy.app.howYourKitchenMeasuresChills}>
      <KitchenForm now={kitchen.data} onClose={onClose} />
      <Devices />
      <p className="mt-3 text-note text-mute">
        <a href="/licences.txt" target="_blank" rel="noreferrer" className="underline">
          {copy.app.thirdPartyLicences}
        </a>
      </p>
    </Dialog>
  )
}

type Typed = 'fridgeC' | 'jugML' | 'kitchenC' | 'tapC' | 'panCM' | 'handsQuiet' | 'noiseQuiet' | 'currency'

type Measure = { name: Typed; label: string; unit?: string; optional?: boolean; says?: string; hint?: string }

/** What is typed, in its order. */
const fields: Measure[] = [
  { name: 'fridgeC', label: copy.app.fridgeTemperature, unit: '°C', hint: copy.app.usedForTheDatesOf },
  { name: 'jugML', label: copy.app.oneBlenderLoad, unit: 'mL', says: copy.app.enterAVolumeFrom100 },
  { name: 'kitchenC', label: copy.app.kitchenTemperature, unit: '°C', hint: copy.app.soaksAreShorterInA },
  { name: 'tapC', label: copy.app.tapWaterTemperature, unit: '°C', hint: copy.app.usedForBlendingUnlessA },
  { name: 'panCM', label: copy.app.panWidth, unit: 'cm', optional: true, hint: copy.app.leaveEmptyToUseA },
  { name: 'handsQuiet', label: copy.app.sleepingHours, hint: copy.app.hoursHint('22:30-06:30') },
  { name: 'noiseQuiet', label: copy.app.quietHoursNoBlender, hint: copy.app.hoursHint('21:00-07:30') },
  { name: 'currency', label: copy.app.currency, says: copy.app.enterThreeLettersSuchAs },
]

const typedOf = (now: Settings) => ({
  system: now.system,
  school: now.school,
  theme: now.theme,
  blender: now.blender ?? 'regular',
  fridgeC: String(now.fridgeC),
  jugML: String(now.jugML),
  kitchenC: String(now.kitchenC),
  tapC: String(now.tapC ?? 15),
  panCM: now.panCM ? String(now.panCM) : '',
  handsQuiet: now.handsQuiet,
  noiseQuiet: now.noiseQuiet,
  currency: now.currency,
})

/** settled is what was typed as the settings have it. */
const settled = (typed: ReturnType<typeof typedOf>) => ({
  ...typed,
  currency: typed.currency.trim().toUpperCase(),
  kitchenC: numberOf(typed.kitchenC, '°C') ?? 0,
  fridgeC: numberOf(typed.fridgeC, '°C') ?? 0,
  jugML: numberOf(typed.jugML, 'mL') ?? 0,
  tapC: numberOf(typed.tapC, '°C') ?? 0,
  panCM: numberOf(typed.panCM, 'cm') ?? 0,
})

/** A currency may be typed in small letters. */
const typedLimits = { ...limits, currency: { type: 'string', pattern: '^\\s*[A-Za-z]{3}\\s*$' } }

function KitchenForm({ now, onClose }: { now: Settings; onClose: () => void }) {
  const set = useSetKitchen()
  const form = useFields(typedLimits, typedOf(now))
  const save = form.submit(async (typed) => {
    const { measures, scaleG, revision, timeZone } = now // as they were when this was opened
    await set.mutateAsync({ measures, scaleG, revision, timeZone, ...settled(typed) })
    onClose()
  })
  const refused = set.error instanceof Refused ? set.error : undefined
  return (
    <form onSubmit={save} className="grid gap-4">
      <div className="flex flex-wrap gap-3">
        <Select
          label={copy.app.measureNewDrinksIn}
          value={form.value('system')}
          choices={systems}
          onChange={(v) => form.choose('system')(v as Settings['system'])}
        />
        <Select
          label={copy.app.storageRule}
          value={form.value('school')}
          choices={schools}
          onChange={(v) => form.choose('school')(v as Settings['school'])}
        />
        <Select
          label={copy.app.blender}
          value={form.value('blender')}
          choices={blenders}
          onChange={(v) => form.choose('blender')(v as NonNullable<Settings['blender']>)}
        />
        <Select
          label={copy.app.theme}
          value={form.value('theme')}
          choices={themes}
          onChange={(v) => form.choose('theme')(v as Settings['theme'])}
        />
      </div>
      <div className="grid gap-3 sm:grid-cols-2">
        {fields.map(({ name, label, hint, ...reading }) => (
          <Field key={name} label={label} hint={hint} {...form.field(name, reading)} />
        ))}
      </div>
      {refused?.status === 409 && (
        <Notice urgent>{copy.app.changedOnAnotherDevice(Object.values(refused.fields).join(' '))}</Notice>
      )}
      {form.refusal && <Notice urgent>{form.refusal}</Notice>}
      <div className="flex justify-end gap-2">
        <Button onClick={onClose}>{copy.app.cancel}</Button>
        <Button primary type="submit" disabled={form.busy}>
          {copy.app.save}
        </Button>
      </div>
    </form>
  )
}
