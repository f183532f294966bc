import { type FormEvent, useState } from 'react'
import { Refused } from '../../api/client'
import { useSetKitchen } from '../../api/hooks'
import type { SettingsNow } from '../../api/schema'
import { Button } from '../../ui/Button'
import { ErrorText, Field } from '../../ui/Field'
import { asMeasure } from '../../ui/number'
import { Tray } from '../../ui/Tray'

const usual = [
  '1 cup',
  '3/4 cup',
  '1/2 cup',
  '1/3 cup',
  '1/4 cup',
  '1 tbsp',
  '1/2 tbsp',
  '1 tsp',
  '1/2 tsp',
  '1/4 tsp',
  '1/8 tsp',
  '1 pinch',
] // prettier-ignore

/** Drawer is which measures there are, and what the scale reads to. */
export function Drawer({ kitchen }: { kitchen: SettingsNow }) {
  const set = useSetKitchen()
  const [scale, setScale] = useState(kitchen.scaleG > 0 ? String(kitchen.scaleG) : '')
  const [other, setOther] = useState('')
  const refused = set.error instanceof Refused ? set.error : undefined
  const own = kitchen.measures.filter((m) => !usual.includes(m))
  const toggle = (measure: string) => {
    set.mutate(({ measures }) => ({
      measures: measures.includes(measure) ? measures.filter((m) => m !== measure) : [...measures, measure],
    }))
  }
  const add = (e: FormEvent) => {
    e.preventDefault()
    if (other.trim() === '') return
    set.mutate(({ measures }) => ({ measures: [...measures, other.trim()] }), { onSuccess: () => setOther('') })
  }
  const setScaleTo = () => {
    const scaleG = scale.trim() === '' ? 0 : asMeasure(scale, 'g')
    if (scaleG !== kitchen.scaleG) set.mutate({ scaleG: Number.isNaN(scaleG) ? -1 : scaleG })
  }
  return (
    <Tray label="Drawer of measures">
      <h2 className="text-xl">Drawer of measures</h2>
      <p className="pb-2 text-note text-mute">Amounts use as few of these as possible.</p>
      <div className="flex flex-wrap gap-2">
        {[...usual, ...own].map((m) => (
          <Button
            key={m}
            aria-pressed={kitchen.measures.includes(m)}
            primary={kitchen.measures.includes(m)}
            className="!min-h-9 !px-3 max-sm:!min-h-11"
            onClick={() => toggle(m)}
          >
            {m}
          </Button>
        ))}
      </div>
      <form onSubmit={add} className="flex items-end gap-2 pt-3">
        <Field
          className="grow"
          label="Another measure"
          placeholder="2 tbsp, 1 mug"
          value={other}
          onChange={(e) => setOther(e.target.value)}
        />
        <Button type="submit">Put in</Button>
      </form>
      <ErrorText id="drawer-error">{refused?.fields.measures}</ErrorText>
      <Field
        className="pt-3"
        label="The scale reads to"
        unit="g"
        hint="Empty for no scale."
        inputMode="decimal"
        value={scale}
        error={refused?.fields.scaleG && 'Enter 0.1 to 1000 g, or leave it empty.'}
        onChange={(e) => setScale(e.target.value)}
        onBlur={setScaleTo}
      />
    </Tray>
  )
}
