import { answer, api } from '../../api/client'
import { usePantryChange } from '../../api/hooks'
import { Drinker as limits } from '../../api/limits'
import type { ChangedDrinker, Drinker, PantryDrinker } from '../../api/schema'
import { copy } from '../../copy/more'
import { Allergens, useAllergenChoices, useAllergenNames } from '../../ui/Allergens'
import { Button } from '../../ui/Button'
import { Check } from '../../ui/Check'
import { Dialog } from '../../ui/Dialog'
import { ErrorText, Field } from '../../ui/Field'
import { useFields } from '../../ui/form'
import { numberOf } from '../../ui/limit'
import { Select } from '../../ui/Select'

const ages = Object.entries(copy.pantry.ages).map(([value, label]) => ({ value, label }))

const listOf = (text: string) =>
  text
    .split(',')
    .map((t) => t.trim())
    .filter(Boolean)

/** withoutRevision is someone new, who was not read from anywhere. */
const withoutRevision = ({ revision: _, ...drinker }: ChangedDrinker): Drinker => drinker

const typedOf = (d?: PantryDrinker) => ({
  name: d?.name ?? '',
  age: d?.age ?? ('adult' as Drinker['age']),
  weightKG: d?.weightKG ? String(d.weightKG) : '',
  servingsDay: d?.servingsDay ? String(d.servingsDay) : '',
  allergens: d?.allergens ?? [],
  cleared: d?.cleared ?? [],
  dislikes: d?.dislikes.join(', ') ?? '',
  vegan: d?.vegan ?? false,
  dairyFree: d?.dairyFree ?? false,
})

/** DrinkerDialog is someone who drinks here: what they must not and will not have. */
export function DrinkerDialog({ drinker, onClose }: { drinker?: PantryDrinker; onClose: () => void }) {
  const form = useFields(limits, typedOf(drinker))
  const keep = usePantryChange((body: ChangedDrinker) =>
    drinker
      ? answer(api.PUT('/api/pantry/drinkers/{id}', { params: { path: { id: drinker.id } }, body }))
      : answer(api.POST('/api/pantry/drinkers', { body: withoutRevision(body) })),
  )
  const remove = usePantryChange((id: number) =>
    answer(api.DELETE('/api/pantry/drinkers/{id}', { params: { path: { id } } })),
  )
  const save = form.submit(async ({ weightKG, servingsDay, dislikes, ...typed }) => {
    const numbers = { weightKG: numberOf(weightKG, 'kg') ?? 0, servingsDay: numberOf(servingsDay) ?? 0 }
    await keep.mutateAsync({ ...typed, ...numbers, dislikes: listOf(dislikes), revision: drinker?.revision ?? 0 })
    onClose()
  })
  return (
    <Dialog open onClose={onClose} title={drinker ? copy.pantry.editWhom(drinker.name) : copy.pantry.newDrinker}>
      <form onSubmit={save} className="grid gap-3 sm:grid-cols-2">
        <Field label={copy.pantry.name} {...form.field('name')} />
        <div className="self-end">
          <Select
            label={copy.pantry.age}
            value={form.value('age')}
            choices={ages}
            onChange={(age) => form.choose('age')(age as Drinker['age'])}
          />
        </div>
        <Field
          label={copy.pantry.weight}
          hint={copy.pantry.leaveEmptyForATypical}
          {...form.field('weightKG', { unit: 'kg', optional: true })}
        />
        <Field
          label={copy.pantry.servingsADayLabel}
          hint={copy.pantry.leaveEmptyForOne}
          {...form.field('servingsDay', { optional: true })}
        />
        <Allergens
          label={copy.pantry.allergies}
          codes={form.value('allergens')}
          error={form.errorOf('allergens')}
          onChange={form.choose('allergens')}
        />
        <Field label={copy.pantry.dislikesLabel} placeholder={copy.pantry.cinnamon} {...form.field('dislikes')} />
        <Kin allergens={form.value('allergens')} cleared={form.value('cleared')} onChange={form.choose('cleared')} />
        <Check label={copy.pantry.vegan} checked={form.value('vegan')} onChange={form.choose('vegan')} />
        <Check label={copy.pantry.noDairyLabel} checked={form.value('dairyFree')} onChange={form.choose('dairyFree')} />
        <div className="sm:col-span-2">
          <ErrorText id="drinker-error">{form.refusal}</ErrorText>
        </div>
        <div className="flex justify-end gap-2 sm:col-span-2">
          {drinker && (
            <Button onClick={() => remove.mutate(drinker.id, { onSuccess: onClose })}>{copy.pantry.delete}</Button>
          )}
          <Button primary type="submit" disabled={form.busy}>
            {copy.pantry.save}
          </Button>
        </div>
      </form>
    </Dialog>
  )
}

type KinProps = { allergens: string[]; cleared: string[]; onChange: (cleared: string[]) => void }

/** Kin are what is avoided along with an allergen, such as pecan with walnut, unless an allergist cleared it. */
function Kin({ allergens, cleared, onChange }: KinProps) {
  const all = useAllergenChoices()
  const kin = all.filter((a) => allergens.includes(a.code) && a.kin && !allergens.includes(a.kin))
  const nameOf = useAllergenNames()
  return kin.map((a) => (
    <Check
      key={a.code}
      label={copy.pantry.alsoAvoidWhichIsRelated(nameOf(a.kin), a.name)}
      checked={!cleared.includes(a.kin)}
      onChange={(avoids) => onChange(avoids ? cleared.filter((c) => c !== a.kin) : [...cleared, a.kin])}
    />
  ))
}
