import { answer, api } from '../../api/client'
import { usePantry, usePantryChange } from '../../api/hooks'
import { OwnRow as limits } from '../../api/limits'
import type { PantryRow } from '../../api/schema'
import { copy } from '../../copy/more'
import { Button } from '../../ui/Button'
import { ErrorText, Field } from '../../ui/Field'
import { useFields } from '../../ui/form'
import { numberOf } from '../../ui/limit'

/** What a drink's life goes by. */
const lasting: string[] = ['base', 'liquid', 'dairy']

/** GiveLife asks how long the cook's own ingredients keep that go into a drink, where nobody has said: without it the bottle has no date. */
export function GiveLife({ names }: { names: string[] }) {
  const pantry = usePantry().data
  const rows = (pantry?.ingredients ?? []).filter(
    (i) => i.own && i.own.lifeDays === undefined && lasting.includes(i.role) && names.includes(i.name),
  )
  if (rows.length === 0) return null
  return (
    <section aria-label={copy.bottling.howLongItKeeps} className="grid gap-2 rounded-2xl border-2 border-line p-3">
      <p>{copy.bottling.withoutALifeNoDate}</p>
      {rows.map((row) => (
        <LifeOf key={row.id} row={row} />
      ))}
    </section>
  )
}

function LifeOf({ row }: { row: PantryRow }) {
  const form = useFields({ lifeDays: limits.lifeDays }, { lifeDays: '' })
  const keep = usePantryChange((lifeDays?: number) =>
    answer(
      api.PUT('/api/pantry/ingredients/{id}', {
        params: { path: { id: row.ownID }, query: { anyway: true } },
        body: {
          ...(row.own as NonNullable<PantryRow['own']>),
          lifeDays,
          revision: row.ownRevision,
        },
      }),
    ),
  )
  const save = form.submit(({ lifeDays }) => keep.mutateAsync(numberOf(lifeDays, 'days')))
  return (
    <div className="flex flex-wrap items-end gap-2">
      <Field
        className="grow"
        label={copy.bottling.keepsInTheFridge(row.name)}
        {...form.field('lifeDays', { unit: 'days', number: true })}
      />
      <Button onClick={save}>{copy.bottling.saveLife}</Button>
      <ErrorText id={`life-${row.id}`}>{form.refusal}</ErrorText>
    </div>
  )
}
