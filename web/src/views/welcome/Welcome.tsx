import { useState } from 'react'
import { useLocation } from 'wouter'
import { useKitchen, usePantry, useSetKitchen } from '../../api/hooks'
import type { Settings } from '../../api/schema'
import { systems } from '../../app/choices'
import { copy } from '../../copy/more'
import { Button } from '../../ui/Button'
import { Notice } from '../../ui/Notice'
import { Select } from '../../ui/Select'
import { Tray } from '../../ui/Tray'
import { Drinkers } from '../pantry/Drinkers'

/** The steps, each of which can be skipped, and all of them at once. */
const steps = copy.welcome.steps.length

const named = (names: Record<string, string>) => Object.entries(names).map(([value, label]) => ({ value, label }))

/** Welcome asks an empty kitchen the three things that everything else hangs on. */
export function Welcome() {
  const kitchen = useKitchen().data
  const pantry = usePantry().data
  const set = useSetKitchen()
  const [at, setAt] = useState(0)
  const [, go] = useLocation()
  if (!kitchen) return null
  const done = () => set.mutate({ welcomed: true }, { onSuccess: () => go('/start') })
  const next = () => (at + 1 < steps ? setAt(at + 1) : done())
  return (
    <main className="grid max-w-3xl grid-cols-[minmax(0,1fr)] gap-4 pt-4">
      <div>
        <h1 className="text-title leading-tight">{copy.welcome.welcome}</h1>
        <p className="text-mute">{copy.welcome.intro}</p>
      </div>
      <Tray label={copy.welcome.steps[at] ?? ''} className="grid gap-4">
        <p role="status" className="text-note text-mute">
          {copy.welcome.stepOf(at + 1, steps)}
        </p>
        <h2 className="text-2xl">{copy.welcome.steps[at]}</h2>
        {at === 0 && <Units now={kitchen} onChange={(part) => set.mutate(part, { onSuccess: () => reloaded(part) })} />}
        {at === 1 && <Drinkers drinkers={pantry?.drinkers ?? []} />}
        {at === 2 && <p>{copy.welcome.firstDrink}</p>}
        {set.error && <Notice urgent>{set.error.message}</Notice>}
        <div className="flex flex-wrap gap-2">
          <Button primary onClick={next}>
            {at + 1 < steps ? copy.welcome.next : copy.welcome.chooseADrink}
          </Button>
          <Button onClick={done}>{copy.welcome.skip}</Button>
        </div>
      </Tray>
    </main>
  )
}

/** The page's own words are chosen before any of it runs. */
const reloaded = (part: Partial<Settings>) => {
  if (part.language || part.volumes || part.temperature) window.location.reload()
}

type UnitsProps = { now: Settings; onChange: (part: Partial<Settings>) => void }

function Units({ now, onChange }: UnitsProps) {
  return (
    <div className="flex flex-wrap gap-3">
      <Select
        label={copy.settings.language}
        value={now.language ?? 'en'}
        choices={named(copy.settings.languages)}
        onChange={(v) => onChange({ language: v as Settings['language'] })}
      />
      <Select
        label={copy.app.measureNewDrinksIn}
        value={now.system}
        choices={systems}
        onChange={(v) => onChange({ system: v as Settings['system'] })}
      />
      <Select
        label={copy.settings.showVolumesIn}
        value={now.volumes ?? 'metric'}
        choices={named(copy.settings.volumeUnits)}
        onChange={(v) => onChange({ volumes: v as Settings['volumes'] })}
      />
      <Select
        label={copy.settings.showTemperaturesIn}
        value={now.temperature ?? 'c'}
        choices={named(copy.settings.temperatureUnits)}
        onChange={(v) => onChange({ temperature: v as Settings['temperature'] })}
      />
    </div>
  )
}
