import { useEffect, useState } from 'react'
import { Refused } from '../../api/client'
import { useSetKitchen } from '../../api/hooks'
import { Settings as limits } from '../../api/limits'
import type { Settings } from '../../api/schema'
import { blenders, systems } from '../../app/choices'
import { copy } from '../../copy/more'
import { Button } from '../../ui/Button'
import { Field } from '../../ui/Field'
import { useFields } from '../../ui/form'
import { Notice } from '../../ui/Notice'
import { type Choice, Select } from '../../ui/Select'
import { Tray } from '../../ui/Tray'
import { QuietHours } from './QuietHours'
import { settled, type Typed, typedOf } from './typed'

const named = (names: Record<string, string>): Choice[] =>
  Object.entries(names).map(([value, label]) => ({ value, label }))

const languages = named(copy.settings.languages)
const locales = [{ value: 'auto', label: copy.settings.asTheLanguage }, ...named(copy.settings.locales)]
const volumes = named(copy.settings.volumeUnits)
const temperatures = named(copy.settings.temperatureUnits)
const weekStarts = named(copy.settings.weekStarts)
const schools = [
  { value: 'cautious', label: copy.app.cautious },
  { value: 'customary', label: copy.app.traditional },
]
const themes = [
  { value: 'system', label: copy.app.sameAsThisDevice },
  { value: 'day', label: copy.app.day },
  { value: 'night', label: copy.app.night },
]

/** A currency may be typed in small letters. */
const typedLimits = { ...limits, currency: { type: 'string', pattern: '^\\s*[A-Za-z]{3}\\s*$' } }

/** What the page is written in is on it before anything runs, so that another choice loads it anew. */
const isOnThePage = (a: Settings, b: Typed) =>
  a.language === b.language &&
  (a.locale || 'auto') === b.locale &&
  a.volumes === b.volumes &&
  a.temperature === b.temperature

/** SettingsForm is all that is chosen and typed, saved at once. */
export function SettingsForm({ now }: { now: Settings }) {
  const set = useSetKitchen()
  const [saved, setSaved] = useState(false)
  const form = useFields(typedLimits, typedOf(now))
  const zone = now.timeZone ?? ''
  const setZone = form.choose('timeZone')
  // biome-ignore lint/correctness/useExhaustiveDependencies: a kitchen without one gets the browser's while this is open, once
  useEffect(() => {
    if (zone !== '') setZone(zone)
  }, [zone])
  const save = form.submit(async (typed) => {
    const { measures, revision, welcomed } = now // as they were when this was opened
    await set.mutateAsync({ measures, revision, welcomed, ...settled(typed) })
    if (!isOnThePage(now, typed)) window.location.reload()
    setSaved(true)
  })
  const select = (name: keyof Typed, label: string, choices: Choice[]) => (
    <Select label={label} value={form.value(name)} choices={choices} onChange={form.choose(name)} />
  )
  const measure = (name: keyof Typed, label: string, unit: string, hint?: string, says?: string) => (
    <Field
      label={label}
      hint={hint}
      {...form.field(name, { unit, says, optional: name === 'panCM' || name === 'scaleG' })}
    />
  )
  const refused = set.error instanceof Refused ? set.error : undefined
  return (
    <form onSubmit={save} className="grid gap-4">
      <div className="grid grid-cols-[minmax(0,1fr)] items-start gap-4 lg:grid-cols-3">
        <Tray label={copy.settings.unitsAndLanguage} className="grid grid-cols-[minmax(0,1fr)] gap-3">
          <h2 className="text-xl">{copy.settings.unitsAndLanguage}</h2>
          {select('language', copy.settings.language, languages)}
          {select('locale', copy.settings.datesAndClock, locales)}
          {select('system', copy.app.measureNewDrinksIn, systems)}
          {select('volumes', copy.settings.showVolumesIn, volumes)}
          {select('temperature', copy.settings.showTemperaturesIn, temperatures)}
          {select('weekStart', copy.settings.weekStartsOn, weekStarts)}
          {select('theme', copy.app.theme, themes)}
          <Field label={copy.app.currency} {...form.field('currency', { says: copy.app.enterThreeLettersSuchAs })} />
          <TimeZoneField {...form.field('timeZone')} />
        </Tray>
        <Tray label={copy.settings.storing} className="grid grid-cols-[minmax(0,1fr)] gap-3">
          <h2 className="text-xl">{copy.settings.storing}</h2>
          {select('school', copy.app.storageRule, schools)}
          {measure('fridgeC', copy.app.fridgeTemperature, '°C', copy.app.usedForTheDatesOf)}
          {measure('kitchenC', copy.app.kitchenTemperature, '°C', copy.app.soaksAreShorterInA)}
          <QuietHours form={form} name="handsQuiet" from="handsFrom" to="handsTo" label={copy.app.sleepingHours} />
          <QuietHours
            form={form}
            name="noiseQuiet"
            from="noiseFrom"
            to="noiseTo"
            label={copy.app.quietHoursNoBlender}
          />
        </Tray>
        <Tray label={copy.settings.equipment} className="grid grid-cols-[minmax(0,1fr)] gap-3">
          <h2 className="text-xl">{copy.settings.equipment}</h2>
          {select('blender', copy.app.blender, blenders)}
          {measure('jugML', copy.app.oneBlenderLoad, 'mL')}
          {measure('panCM', copy.app.panWidth, 'cm', copy.app.leaveEmptyToUseA)}
          {measure('tapC', copy.app.tapWaterTemperature, '°C', copy.app.usedForBlendingUnlessA)}
          {measure('scaleG', copy.settings.scaleStep, 'g', copy.settings.scaleStepHint)}
        </Tray>
      </div>
      {refused?.status === 409 && (
        <Notice urgent>{copy.app.changedOnAnotherDevice(Object.values(refused.fields).join(' '))}</Notice>
      )}
      {form.refusal && <Notice urgent>{form.refusal}</Notice>}
      <div className="flex items-center gap-3">
        <Button primary type="submit" disabled={form.busy}>
          {copy.app.save}
        </Button>
        <span role="status">{saved && !form.busy && copy.settings.saved}</span>
      </div>
    </form>
  )
}

/** TimeZoneField takes the name of a zone; the browser offers those it knows. */
function TimeZoneField(field: Omit<React.ComponentProps<typeof Field>, 'label'>) {
  return (
    <>
      <Field label={copy.settings.timeZone} hint={copy.settings.timeZoneHint} list="time-zones" {...field} />
      <datalist id="time-zones">
        {Intl.supportedValuesOf('timeZone').map((zone) => (
          <option key={zone} value={zone} />
        ))}
      </datalist>
    </>
  )
}
