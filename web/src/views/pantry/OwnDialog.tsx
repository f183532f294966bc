import { useState } from 'react'
import { answer, api, Refused } from '../../api/client'
import { usePantryChange } from '../../api/hooks'
import { Label as labelLimits, OwnRow as limits } from '../../api/limits'
import type { Label, OwnRow, PantryRow } from '../../api/schema'
import { copy } from '../../copy/more'
import { Allergens, useAllergenChoices } from '../../ui/Allergens'
import { Button } from '../../ui/Button'
import { Check } from '../../ui/Check'
import { Confirm } from '../../ui/Confirm'
import { Dialog } from '../../ui/Dialog'
import { ErrorText, Field } from '../../ui/Field'
import { useFields } from '../../ui/form'
import { numberOf } from '../../ui/limit'
import { Select } from '../../ui/Select'
import { labelFields, labelOf, typedOf } from './own'

const roles = Object.entries(copy.pantry.roles).map(([value, label]) => ({ value, label }))

type Asked = { text: string; again: () => void }

/** useOwnRow keeps or removes a row of the cook's own; where drinks use it, what to ask first is in `asked`. */
function useOwnRow(row: PantryRow | undefined, onDone: () => void) {
  const [asked, setAsked] = useState<Asked>()
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
  /** askOr asks where drinks use it, and does it then; any other refusal is the form's to tell. */
  const askOr = (again: () => void) => (e: Error) => {
    if (!(e instanceof Refused) || e.status !== 409 || !e.fields.name) throw e
    setAsked({ text: e.fields.name, again })
  }
  const save = (body: OwnRow, anyway = false): Promise<void> =>
    keep.mutateAsync({ ...body, anyway }).then(
      onDone,
      askOr(() => save(body, true)),
    )
  const takeOut = (id: number, anyway = false): Promise<void> =>
    remove.mutateAsync({ id, anyway }).then(
      onDone,
      askOr(() => takeOut(id, true)),
    )
  return { asked, setAsked, save, takeOut }
}

/** OwnDialog adds or changes a row of the cook's own. Only its name and role are needed. */
export function OwnDialog({ row, onClose }: { row?: PantryRow; onClose: () => void }) {
  const all = useAllergenChoices()
  const own = useOwnRow(row, onClose)
  const form = useFields({ ...limits, ...labelLimits }, typedOf(row))
  const known = (row?.allergens ?? []).map((name) => all.find((a) => a.name === name)?.code ?? name)
  const save = form.submit(({ name, role, vegan, allergens, ...typed }) =>
    own.save({
      name,
      role,
      vegan,
      allergens: allergens ?? known,
      label: labelOf(typed),
      gPerCup: numberOf(typed.gPerCup, 'g'),
      pieceG: numberOf(typed.pieceG, 'g'),
      lifeDays: numberOf(typed.lifeDays, 'days'),
    }),
  )
  const amount = (key: keyof Label | 'gPerCup' | 'pieceG' | 'lifeDays', label: string, unit: string) => (
    <Field key={key} label={label} {...form.field(key, { unit, optional: true, number: true })} />
  )
  return (
    <Dialog
      open
      onClose={onClose}
      title={row ? copy.pantry.editWhom(row.name) : copy.pantry.yourOwnIngredient}
      intro={copy.pantry.onlyTheNameAndRole}
    >
      <form onSubmit={save} className="grid gap-4">
        <div className="grid gap-3 sm:grid-cols-2">
          <Field label={copy.pantry.name} {...form.field('name')} />
          <div className="self-end">
            <Select
              label={copy.pantry.role}
              value={form.value('role')}
              choices={roles}
              onChange={(v) => form.choose('role')(v as OwnRow['role'])}
            />
          </div>
          <Allergens
            label={copy.pantry.containsLabel}
            codes={form.value('allergens') ?? known}
            groups={false}
            error={form.errorOf('allergens')}
            onChange={form.choose('allergens')}
          />
          <Check label={copy.pantry.vegan} checked={form.value('vegan')} onChange={form.choose('vegan')} />
          {amount('gPerCup', copy.pantry.weightOfAUsCup, 'g')}
          {amount('pieceG', copy.pantry.weightOfAPiece, 'g')}
          {amount('lifeDays', copy.pantry.keepsOnceOpened, 'days')}
        </div>
        <fieldset className="grid gap-3 sm:grid-cols-3">
          <legend className="pb-1 font-head text-lg font-bold">{copy.pantry.per100GFromThe}</legend>
          {labelFields.map((f) => amount(f.field, f.name, f.unit))}
        </fieldset>
        <DrinksUseIt asked={own.asked} onClose={() => own.setAsked(undefined)} />
        <ErrorText id="own-error">{form.refusal}</ErrorText>
        <div className="flex justify-end gap-2">
          {row && (
            <Button onClick={() => own.takeOut(row.ownID).catch(form.refused)}>
              {copy.pantry.deleteFromTheCatalogue}
            </Button>
          )}
          <Button primary type="submit" disabled={form.busy}>
            {copy.pantry.save}
          </Button>
        </div>
      </form>
    </Dialog>
  )
}

/** DrinksUseIt asks before a row changes under drinks that use it. */
function DrinksUseIt({ asked, onClose }: { asked?: Asked; onClose: () => void }) {
  if (!asked) return null
  return (
    <Confirm
      title={copy.pantry.thisIngredientIsUsedIn}
      text={asked.text}
      confirm={copy.pantry.continue}
      onConfirm={asked.again}
      onClose={onClose}
    />
  )
}
