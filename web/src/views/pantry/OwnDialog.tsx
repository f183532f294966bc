import { type FormEvent, useState } from 'react'
import { answer, api, Refused } from '../../api/client'
import { usePantryChange } from '../../api/hooks'
import type { Label, OwnRow, PantryRow } from '../../api/schema'
import { Allergens, useAllergenChoices } from '../../ui/Allergens'
import { Button } from '../../ui/Button'
import { Check } from '../../ui/Check'
import { Confirm } from '../../ui/Confirm'
import { Dialog } from '../../ui/Dialog'
import { ErrorText, Field } from '../../ui/Field'
import { asNumber } from '../../ui/NumberField'
import { Select } from '../../ui/Select'

const roles = ['base', 'liquid', 'sweetener', 'spice', 'flavour', 'fat', 'salt', 'dairy', 'body', 'other'].map(
  (role) => ({ value: role, label: role }),
)

const labelFields: { field: keyof Label; name: string; unit: string }[] = [
  { field: 'proteinG', name: 'Protein', unit: 'g' },
  { field: 'fatG', name: 'Fat', unit: 'g' },
  { field: 'saturatedFatG', name: 'Saturated fat', unit: 'g' },
  { field: 'carbohydrateG', name: 'Carbohydrate', unit: 'g' },
  { field: 'sugarsG', name: 'Sugars', unit: 'g' },
  { field: 'fibreG', name: 'Fibre', unit: 'g' },
  { field: 'sodiumMg', name: 'Sodium', unit: 'mg' },
]

type Typed = Record<keyof Label | 'gPerCup' | 'pieceG' | 'lifeDays', string>

const typedOf = (row?: OwnRow): Typed => {
  const text = (v?: number) => (v === undefined ? '' : String(v))
  const label = Object.fromEntries(labelFields.map(({ field }) => [field, text(row?.label?.[field])]))
  return {
    ...(label as Record<keyof Label, string>),
    gPerCup: text(row?.gPerCup),
    pieceG: text(row?.pieceG),
    lifeDays: text(row?.lifeDays),
  }
}

/** given is what was typed as a number; undefined for nothing, and what is none goes to the server as it cannot be. */
const given = (text: string) => (text.trim() === '' ? undefined : asNumber(text) || (asNumber(text) === 0 ? 0 : -1))

function labelOf(typed: Typed): Label | undefined {
  if (labelFields.every(({ field }) => typed[field].trim() === '')) return undefined
  return Object.fromEntries(labelFields.map(({ field }) => [field, given(typed[field]) ?? 0])) as Label
}

/** OwnDialog adds or changes a row of the cook's own. Only its name and role are needed. */
export function OwnDialog({ row, onClose }: { row?: PantryRow; onClose: () => void }) {
  const [name, setName] = useState(row?.name ?? '')
  const [role, setRole] = useState<OwnRow['role']>(row?.own?.role ?? 'sweetener')
  const all = useAllergenChoices()
  const [chosen, setAllergens] = useState<string[]>()
  const allergens = chosen ?? (row?.allergens ?? []).map((name) => all.find((a) => a.name === name)?.code ?? name)
  const [asked, setAsked] = useState<Asked>()
  const [vegan, setVegan] = useState(row?.vegan ?? true)
  const [typed, setTyped] = useState(() => typedOf(row?.own))
  const keep = usePantryChange(({ anyway, ...body }: OwnRow & { anyway: boolean }) =>
    row
      ? answer(
          api.PUT('/api/pantry/ingredients/{id}', {
            params: { path: { id: row.ownID }, query: { anyway } },
            body: { ...body, revision: row.ownRevision },
          }),
        )
      : answer(api.POST('/api/pantry/ingredients', { body })),
  )
  const remove = usePantryChange(({ id, anyway }: { id: number; anyway: boolean }) =>
    answer(api.DELETE('/api/pantry/ingredients/{id}', { params: { path: { id }, query: { anyway } } })),
  )
  /** askOr asks where drinks use it, and does it then. */
  const askOr = (again: () => void) => (e: Error) => {
    if (e instanceof Refused && e.status === 409 && e.fields.name) setAsked({ text: e.fields.name, again })
  }
  const takeOut = (id: number, anyway: boolean) =>
    remove.mutate({ id, anyway }, { onSuccess: onClose, onError: askOr(() => takeOut(id, true)) })
  const refused = keep.error instanceof Refused ? keep.error : undefined
  const save = (e: FormEvent) => {
    e.preventDefault()
    const { gPerCup, pieceG, lifeDays } = typed
    const numbers = { gPerCup: given(gPerCup), pieceG: given(pieceG), lifeDays: given(lifeDays) }
    const body = { name, role, vegan, allergens, label: labelOf(typed), ...numbers }
    const send = (anyway: boolean) =>
      keep.mutate({ ...body, anyway }, { onSuccess: onClose, onError: askOr(() => send(true)) })
    send(false)
  }
  const field = (key: keyof Typed, label: string, unit: string) => (
    <Field
      key={key}
      label={label}
      unit={unit}
      inputMode="decimal"
      value={typed[key]}
      error={refused?.fields[key] ?? refused?.fields[`label.${key}`]}
      onChange={(e) => setTyped({ ...typed, [key]: e.target.value })}
    />
  )
  return (
    <Dialog
      open
      onClose={onClose}
      title={row ? `Change ${row.name}` : 'One of your own'}
      intro="A name and a role are enough. What you leave out is not reckoned, and is said."
    >
      <form onSubmit={save} className="grid gap-4">
        <div className="grid gap-3 sm:grid-cols-2">
          <Field
            label="Name"
            value={name}
            maxLength={120}
            error={asked ? undefined : refused?.fields.name}
            onChange={(e) => setName(e.target.value)}
          />
          <div className="self-end">
            <Select label="Role" value={role} choices={roles} onChange={(v) => setRole(v as OwnRow['role'])} />
          </div>
          <Allergens
            label="Contains"
            codes={allergens}
            groups={false}
            error={refused?.fields.allergens}
            onChange={setAllergens}
          />
          <Check label="Vegan" checked={vegan} onChange={setVegan} />
          {field('gPerCup', 'A US cup of it weighs', 'g')}
          {field('pieceG', 'A piece weighs', 'g')}
          {field('lifeDays', 'Opened, it keeps', 'days')}
        </div>
        <fieldset className="grid gap-3 sm:grid-cols-3">
          <legend className="pb-1 font-head text-lg font-bold">In 100 g, by its label</legend>
          {labelFields.map((f) => field(f.field, f.name, f.unit))}
        </fieldset>
        <DrinksUseIt asked={asked} onClose={() => setAsked(undefined)} />
        <ErrorText id="own-error">
          {refused && Object.keys(refused.fields).length === 0 ? refused.message : undefined}
        </ErrorText>
        <div className="flex justify-end gap-2">
          {row && <Button onClick={() => takeOut(row.ownID, false)}>Take it out of the catalogue</Button>}
          <Button primary type="submit">
            Keep it
          </Button>
        </div>
      </form>
    </Dialog>
  )
}

type Asked = { text: string; again: () => void }

/** DrinksUseIt asks before a row changes under drinks that use it. */
function DrinksUseIt({ asked, onClose }: { asked?: Asked; onClose: () => void }) {
  if (!asked) return null
  return <Confirm title="Drinks use it" text={asked.text} confirm="Go on" onConfirm={asked.again} onClose={onClose} />
}
