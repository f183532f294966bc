import { Plus } from 'lucide-react'
import { type FormEvent, useState } from 'react'
import { answer, api, Refused } from '../../api/client'
import { usePantryChange } from '../../api/hooks'
import type { ChangedDrinker, Drinker, PantryDrinker } from '../../api/schema'
import { Allergens, useAllergenChoices, useAllergenNames } from '../../ui/Allergens'
import { Button } from '../../ui/Button'
import { Check } from '../../ui/Check'
import { Dialog } from '../../ui/Dialog'
import { ErrorText, Field } from '../../ui/Field'
import { asMeasure } from '../../ui/number'
import { Select } from '../../ui/Select'
import { Tray } from '../../ui/Tray'

const ages = ['under 1', '1 to 3', '4 to 6', '7 to 10', '11 to 14', '15 to 17', 'adult'].map((a) => ({
  value: a,
  label: a,
}))

/** Drinkers are who drinks here: cautions use their limits, and each drink says whom it is not for. */
export function Drinkers({ drinkers }: { drinkers: PantryDrinker[] }) {
  const [open, setOpen] = useState<PantryDrinker | 'new'>()
  const nameOf = useAllergenNames()
  return (
    <Tray label="Who drinks here">
      <h2 className="text-xl">Who drinks here</h2>
      <p className="pb-2 text-note text-mute">By any word of your own. Limits are held against their day.</p>
      <ul>
        {drinkers.map((d) => (
          <li key={d.id} className="flex items-center gap-2 border-t border-line py-1.5">
            <div className="grow">
              <p className="font-bold leading-tight">{d.name}</p>
              <p className="text-fine leading-tight text-mute">{wordsOf(d, nameOf)}</p>
            </div>
            <Button aria-label={`Change ${d.name}`} className="!min-h-9 !px-3" onClick={() => setOpen(d)}>
              Change
            </Button>
          </li>
        ))}
      </ul>
      <Button className="mt-2" onClick={() => setOpen('new')}>
        <Plus size={18} aria-hidden /> Someone else
      </Button>
      {open && <DrinkerDialog drinker={open === 'new' ? undefined : open} onClose={() => setOpen(undefined)} />}
    </Tray>
  )
}

const wordsOf = (d: Drinker, nameOf: (code: string) => string) =>
  [
    d.age,
    d.weightKG > 0 && `${d.weightKG} kg`,
    d.allergens.length > 0 && `no ${d.allergens.map(nameOf).join(', ')}`,
    d.vegan && 'vegan',
    d.dairyFree && 'no dairy',
    d.dislikes.length > 0 && `will not have ${d.dislikes.join(', ')}`,
    d.servingsDay > 0 && `${d.servingsDay} servings a day`,
  ]
    .filter(Boolean)
    .join(' · ')

/** withoutRevision is someone new, who was not read from anywhere. */
const withoutRevision = ({ revision: _, ...drinker }: ChangedDrinker): Drinker => drinker

type KinProps = { allergens: string[]; cleared: string[]; onChange: (cleared: string[]) => void }

/** Kin are what is avoided along with an allergen, such as pecan with walnut, unless an allergist cleared it. */
function Kin({ allergens, cleared, onChange }: KinProps) {
  const all = useAllergenChoices()
  const kin = all.filter((a) => allergens.includes(a.code) && a.kin && !allergens.includes(a.kin))
  const nameOf = useAllergenNames()
  return kin.map((a) => (
    <Check
      key={a.code}
      label={`Avoids ${nameOf(a.kin)} too, as kin of ${a.name} (untick only if an allergist cleared it)`}
      checked={!cleared.includes(a.kin)}
      onChange={(avoids) => onChange(avoids ? cleared.filter((c) => c !== a.kin) : [...cleared, a.kin])}
    />
  ))
}

const listOf = (text: string) =>
  text
    .split(',')
    .map((t) => t.trim())
    .filter(Boolean)

function DrinkerDialog({ drinker, onClose }: { drinker?: PantryDrinker; onClose: () => void }) {
  const [name, setName] = useState(drinker?.name ?? '')
  const [age, setAge] = useState<Drinker['age']>(drinker?.age ?? 'adult')
  const [weight, setWeight] = useState(drinker?.weightKG ? String(drinker.weightKG) : '')
  const [servings, setServings] = useState(drinker?.servingsDay ? String(drinker.servingsDay) : '')
  const [allergens, setAllergens] = useState(drinker?.allergens ?? [])
  const [cleared, setCleared] = useState(drinker?.cleared ?? [])
  const [dislikes, setDislikes] = useState(drinker?.dislikes.join(', ') ?? '')
  const [vegan, setVegan] = useState(drinker?.vegan ?? false)
  const [dairyFree, setDairyFree] = useState(drinker?.dairyFree ?? false)
  const keep = usePantryChange((body: ChangedDrinker) =>
    drinker
      ? answer(api.PUT('/api/pantry/drinkers/{id}', { params: { path: { id: drinker.id } }, body }))
      : answer(api.POST('/api/pantry/drinkers', { body: withoutRevision(body) })),
  )
  const remove = usePantryChange((id: number) =>
    answer(api.DELETE('/api/pantry/drinkers/{id}', { params: { path: { id } } })),
  )
  const refused = keep.error instanceof Refused ? keep.error : undefined
  const orNone = (text: string, unit?: string) => (text.trim() === '' ? 0 : asMeasure(text, unit) || -1)
  const save = (e: FormEvent) => {
    e.preventDefault()
    const body = {
      name,
      age,
      vegan,
      dairyFree,
      weightKG: orNone(weight, 'kg'),
      servingsDay: orNone(servings),
      allergens,
      cleared,
      revision: drinker?.revision ?? 0,
      dislikes: listOf(dislikes),
    }
    keep.mutate(body, { onSuccess: onClose })
  }
  return (
    <Dialog open onClose={onClose} title={drinker ? `Change ${drinker.name}` : 'Someone who drinks here'}>
      <form onSubmit={save} className="grid gap-3 sm:grid-cols-2">
        <Field
          label="They go by"
          value={name}
          maxLength={60}
          error={refused?.fields.name}
          onChange={(e) => setName(e.target.value)}
        />
        <div className="self-end">
          <Select label="Age" value={age} choices={ages} onChange={(v) => setAge(v as Drinker['age'])} />
        </div>
        <Field
          label="Weight"
          unit="kg"
          inputMode="decimal"
          value={weight}
          hint="Empty for one usual at that age."
          error={refused?.fields.weightKG && 'Enter 2 to 300 kg, or leave it empty.'}
          onChange={(e) => setWeight(e.target.value)}
        />
        <Field
          label="Servings a day"
          inputMode="decimal"
          value={servings}
          hint="Empty for one."
          error={refused?.fields.servingsDay && 'Enter 0 to 50, or leave it empty.'}
          onChange={(e) => setServings(e.target.value)}
        />
        <Allergens label="Must not have" codes={allergens} error={refused?.fields.allergens} onChange={setAllergens} />
        <Field
          label="Will not have"
          value={dislikes}
          placeholder="cinnamon"
          onChange={(e) => setDislikes(e.target.value)}
        />
        <Kin allergens={allergens} cleared={cleared} onChange={setCleared} />
        <Check label="Vegan" checked={vegan} onChange={setVegan} />
        <Check label="No dairy" checked={dairyFree} onChange={setDairyFree} />
        <div className="sm:col-span-2">
          <ErrorText id="drinker-error">{refused?.status === 409 ? refused.message : undefined}</ErrorText>
        </div>
        <div className="flex justify-end gap-2 sm:col-span-2">
          {drinker && (
            <Button onClick={() => remove.mutate(drinker.id, { onSuccess: onClose })}>Take off the list</Button>
          )}
          <Button primary type="submit">
            Keep them
          </Button>
        </div>
      </form>
    </Dialog>
  )
}
