import { Trash2 } from 'lucide-react'
import { useState } from 'react'
import { answer, api, Refused } from '../../api/client'
import { usePantryChange } from '../../api/hooks'
import { OwnMeasure as limits } from '../../api/limits'
import type { OwnMeasure } from '../../api/schema'
import { copy } from '../../copy/more'
import { Button, IconButton } from '../../ui/Button'
import { Confirm } from '../../ui/Confirm'
import { ErrorText, Field } from '../../ui/Field'
import { useFields } from '../../ui/form'
import { toGrams } from '../../ui/format'
import { numberOf } from '../../ui/limit'
import { Tray } from '../../ui/Tray'

/** Measures are the cook's own, calibrated once by the water they hold. */
export function Measures({ measures }: { measures: OwnMeasure[] }) {
  const form = useFields(limits, { name: '', waterG: '' })
  const keep = usePantryChange((body: OwnMeasure) => answer(api.POST('/api/pantry/measures', { body })))
  const [asked, setAsked] = useState<{ title: string; text: string; again: () => void }>()
  const remove = usePantryChange(({ measure, anyway }: { measure: string; anyway: boolean }) =>
    answer(api.DELETE('/api/pantry/measures/{name}', { params: { path: { name: measure }, query: { anyway } } })),
  )
  const askOr = (title: string, again: () => void) => (e: Error) => {
    if (e instanceof Refused && e.status === 409) setAsked({ title, text: e.fields.name ?? e.message, again })
  }
  const takeAway = (measure: string, anyway: boolean) =>
    remove.mutate(
      { measure, anyway },
      { onError: askOr(copy.pantry.deleteThe(measure), () => takeAway(measure, true)) },
    )
  const unremoved = remove.error instanceof Refused ? remove.error : undefined
  const save = form.submit(({ name, waterG }) => {
    const send = (replace: boolean) =>
      keep.mutateAsync({ name, waterG: numberOf(waterG, 'g') ?? 0, replace }).then(form.reset, (e) => {
        if (!(e instanceof Refused) || e.status !== 409) throw e
        setAsked({ title: copy.pantry.replaceThe(name), text: e.fields.name ?? e.message, again: () => send(true) })
      })
    return send(false)
  })
  return (
    <Tray label={copy.pantry.yourOwnMeasures}>
      <h2 className="text-xl">{copy.pantry.yourOwnMeasures}</h2>
      <p className="pb-2 text-note text-mute">{copy.pantry.aMugAJarA}</p>
      <ul>
        {measures.map((m) => (
          <li key={m.name} className="flex items-center gap-2 border-t border-line">
            <span className="grow font-bold">{m.name}</span>
            <span className="text-mute">{copy.pantry.ofWater(toGrams(m.waterG))}</span>
            <IconButton label={copy.pantry.deleteMeasure(m.name)} onClick={() => takeAway(m.name, false)}>
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
          confirm={copy.pantry.continue}
          onConfirm={asked.again}
          onClose={() => setAsked(undefined)}
        />
      )}
      <form onSubmit={save} className="flex flex-wrap items-end gap-2 border-t border-line pt-2">
        <Field
          className="w-28 grow"
          label={copy.pantry.measure}
          placeholder={copy.pantry.mug}
          {...form.field('name')}
        />
        <Field
          className="w-28 grow"
          label={copy.pantry.weightOfWaterItHolds}
          {...form.field('waterG', { unit: 'g', number: true })}
        />
        <Button type="submit">{copy.pantry.addMeasure}</Button>
      </form>
    </Tray>
  )
}
