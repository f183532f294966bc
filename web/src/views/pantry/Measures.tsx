import { Trash2 } from 'lucide-react'
import { type FormEvent, useState } from 'react'
import { answer, api, Refused } from '../../api/client'
import { usePantryChange } from '../../api/hooks'
import type { OwnMeasure } from '../../api/schema'
import { Button, IconButton } from '../../ui/Button'
import { Confirm } from '../../ui/Confirm'
import { ErrorText, Field } from '../../ui/Field'
import { toGrams } from '../../ui/format'
import { asMeasure } from '../../ui/number'
import { Tray } from '../../ui/Tray'

/** Measures are the cook's own, calibrated once by the water they hold. */
export function Measures({ measures }: { measures: OwnMeasure[] }) {
  const [name, setName] = useState('')
  const [water, setWater] = useState('')
  const keep = usePantryChange((body: OwnMeasure) => answer(api.POST('/api/pantry/measures', { body })))
  const [asked, setAsked] = useState<{ title: string; text: string; again: () => void }>()
  const remove = usePantryChange(({ measure, anyway }: { measure: string; anyway: boolean }) =>
    answer(api.DELETE('/api/pantry/measures/{name}', { params: { path: { name: measure }, query: { anyway } } })),
  )
  const askOr = (title: string, again: () => void) => (e: Error) => {
    if (e instanceof Refused && e.status === 409) setAsked({ title, text: e.fields.name ?? e.message, again })
  }
  const takeAway = (measure: string, anyway: boolean) =>
    remove.mutate({ measure, anyway }, { onError: askOr(`Remove the ${measure}?`, () => takeAway(measure, true)) })
  const refused = keep.error instanceof Refused ? keep.error : undefined
  const unremoved = remove.error instanceof Refused ? remove.error : undefined
  const save = (e: FormEvent) => {
    e.preventDefault()
    const cleared = () => {
      setName('')
      setWater('')
    }
    const send = (replace: boolean) =>
      keep.mutate(
        { name, waterG: asMeasure(water, 'g') || 0, replace },
        { onSuccess: cleared, onError: askOr(`Replace the ${name}?`, () => send(true)) },
      )
    send(false)
  }
  return (
    <Tray label="Your own measures">
      <h2 className="text-xl">Your own measures</h2>
      <p className="pb-2 text-note text-mute">A mug, a jar, a capful: weigh the water it holds, once.</p>
      <ul>
        {measures.map((m) => (
          <li key={m.name} className="flex items-center gap-2 border-t border-line">
            <span className="grow font-bold">{m.name}</span>
            <span className="text-mute">{toGrams(m.waterG)} of water</span>
            <IconButton label={`Forget the ${m.name}`} onClick={() => takeAway(m.name, false)}>
              <Trash2 size={18} aria-hidden />
            </IconButton>
          </li>
        ))}
      </ul>
      <ErrorText id="measure-error">{unremoved?.status === 409 ? undefined : unremoved?.message}</ErrorText>
      {asked && (
        <Confirm
          title={asked.title}
          text={asked.text}
          confirm="Go on"
          onConfirm={asked.again}
          onClose={() => setAsked(undefined)}
        />
      )}
      <form onSubmit={save} className="flex flex-wrap items-end gap-2 border-t border-line pt-2">
        <Field
          className="w-28 grow"
          label="Measure"
          placeholder="mug"
          value={name}
          error={asked ? undefined : refused?.fields.name}
          onChange={(e) => setName(e.target.value)}
        />
        <Field
          className="w-28 grow"
          label="Holds water"
          unit="g"
          inputMode="decimal"
          value={water}
          error={refused?.fields.waterG}
          onChange={(e) => setWater(e.target.value)}
        />
        <Button type="submit">Keep the measure</Button>
      </form>
    </Tray>
  )
}
