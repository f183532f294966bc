import { useSetKitchen } from '../../api/hooks'
import { Settings as limits } from '../../api/limits'
import type { SettingsNow } from '../../api/schema'
import { copy } from '../../copy/more'
import { Button } from '../../ui/Button'
import { ErrorText, Field } from '../../ui/Field'
import { useFields } from '../../ui/form'
import { numberOf } from '../../ui/limit'
import { ToggleGroup } from '../../ui/ToggleGroup'
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
  const form = useFields(limits, { scaleG: kitchen.scaleG > 0 ? String(kitchen.scaleG) : '' })
  const adding = useFields(limits, { measures: '' })
  const own = kitchen.measures.filter((m) => !usual.includes(m))
  const toggle = (measure: string) => {
    set.mutate(({ measures }) => ({
      measures: measures.includes(measure) ? measures.filter((m) => m !== measure) : [...measures, measure],
    }))
  }
  const add = adding.submit(({ measures: other }) => {
    if (other.trim() === '') return undefined
    return set.mutateAsync(({ measures }) => ({ measures: [...measures, other.trim()] })).then(adding.reset)
  })
  const setScale = form.submit(async ({ scaleG: typed }) => {
    const scaleG = numberOf(typed, 'g') ?? 0
    if (scaleG !== kitchen.scaleG) await set.mutateAsync({ scaleG })
  })
  return (
    <Tray label={copy.pantry.spoonsAndCups}>
      <h2 className="text-xl">{copy.pantry.spoonsAndCups}</h2>
      <p className="pb-2 text-note text-mute">{copy.pantry.amountsUseAsFewOf}</p>
      <ToggleGroup
        label={copy.pantry.spoonsAndCups}
        choices={[...usual, ...own].map((m) => ({ value: m, label: m }))}
        chosen={kitchen.measures}
        onToggle={toggle}
      />
      <form onSubmit={add} className="flex items-end gap-2 pt-3">
        <Field
          className="grow"
          label={copy.pantry.addAMeasure}
          placeholder={copy.pantry.n2Tbsp1Mug}
          {...adding.field('measures')}
        />
        <Button type="submit">{copy.pantry.add}</Button>
      </form>
      <ErrorText id="drawer-error">{adding.refusal ?? form.refusal}</ErrorText>
      <form onSubmit={setScale} onBlur={setScale}>
        <Field
          className="pt-3"
          label={copy.pantry.smallestStepOfYourScale}
          hint={copy.pantry.leaveEmptyIfYouHave}
          {...form.field('scaleG', { unit: 'g', optional: true })}
        />
      </form>
    </Tray>
  )
}
