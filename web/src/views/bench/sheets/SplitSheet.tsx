import { useQueryClient } from '@tanstack/react-query'
import { Plus, Trash2 } from 'lucide-react'
import { useState } from 'react'
import { useLocation } from 'wouter'
import { answer, api, Refused } from '../../../api/client'
import { refresh } from '../../../api/keys'
import { Portion as limits } from '../../../api/limits'
import type { Portion, SplitDrink } from '../../../api/schema'
import { copy } from '../../../copy/more'
import { Button, IconButton } from '../../../ui/Button'
import { Sheet } from '../../../ui/Dialog'
import { ErrorText, Field } from '../../../ui/Field'
import { toMillilitres, toTenth } from '../../../ui/format'
import { NumberField } from '../../../ui/NumberField'
import { TextArea } from '../../../ui/TextArea'
import { useForget, useKept } from '../../../ui/Typing'
import type { BenchDraft } from '../useDraft'
import { useAsk } from './useAsk'

type Typed = { key: number; name: string; ml: number; text: string }

const portionOf = (t: Typed): Portion => ({ name: t.name, ml: t.ml, lines: t.text.split('\n') })

/** SplitSheet divides one base into drinks that are finished each in its own way. */
export function SplitSheet({ bench, onClose }: { bench: BenchDraft; onClose: () => void }) {
  const { name, recipe } = bench.draft
  const [portions, setPortions] = useKept<Typed[]>('portions', () => {
    const kept = recipe.portions ?? []
    if (kept.length > 0) return kept.map((p, n) => ({ key: n + 1, name: p.name, ml: p.ml, text: p.lines.join('\n') }))
    return [
      { key: 1, name: copy.bench.firstPortion(name), ml: 0, text: '' },
      { key: 2, name: copy.bench.secondPortion(name), ml: 0, text: '' },
    ]
  })
  const body = { name, recipe, portions: portions.map(portionOf) }
  const split = useAsk('split', body, () => answer(api.POST('/api/splits', { body })))
  const set = (key: number, change: Partial<Typed>) =>
    setPortions(portions.map((p) => (p.key === key ? { ...p, ...change } : p)))
  const forget = useForget()
  const write = useWrite(forget)
  return (
    <Sheet title={copy.bench.splitTheBatch} intro={copy.bench.oneBaseFinishedInTwo} onClose={onClose}>
      {portions.map((p, n) => (
        <PortionFields
          key={p.key}
          p={p}
          n={n}
          fields={split.fields}
          drink={split.data?.[n]}
          onSet={(change) => set(p.key, change)}
          onRemove={portions.length > 2 ? () => setPortions(portions.filter((o) => o.key !== p.key)) : undefined}
        />
      ))}
      <Button
        onClick={() =>
          setPortions([
            ...portions,
            { key: Math.max(...portions.map((p) => p.key)) + 1, name: copy.bench.another(name), ml: 0, text: '' },
          ])
        }
      >
        <Plus size={18} aria-hidden />
        {copy.bench.addAnotherDrink}
      </Button>
      <ErrorText id="split-error">{split.fields.portions ?? write.problem}</ErrorText>
      <Button
        disabled={!split.now}
        onClick={() => {
          forget()
          bench.setRecipe({ portions: portions.map(portionOf) })
          onClose()
        }}
      >
        {copy.bench.saveTheSplitWithThis}
      </Button>
      {(recipe.portions ?? []).length > 0 && (
        <Button
          onClick={() => {
            forget()
            bench.setRecipe({ portions: undefined })
            onClose()
          }}
        >
          {copy.bench.removeTheSplit}
        </Button>
      )}
      <Button primary disabled={!split.now} onClick={() => split.now && write.all(split.now)}>
        {copy.bench.saveAsSeparateDrinks}
      </Button>
    </Sheet>
  )
}

type PortionProps = {
  p: Typed
  n: number
  fields: Record<string, string>
  drink?: SplitDrink
  onSet: (change: Partial<Typed>) => void
  onRemove?: () => void
}

/** PortionFields are one of the drinks: its name, how much of the base it gets, and what goes into it. */
function PortionFields({ p, n, fields, drink, onSet, onRemove }: PortionProps) {
  return (
    <section aria-label={copy.bench.portion(n + 1)} className="grid gap-2 rounded-2xl border-2 border-line p-3">
      <div className="flex items-end gap-2">
        <Field
          className="grow"
          label={copy.bench.drink(n + 1)}
          value={p.name}
          maxLength={120}
          error={fields[`portions[${n}].name`]}
          onChange={(e) => onSet({ name: e.target.value })}
        />
        <IconButton label={copy.bench.removeDrink(n + 1)} disabled={!onRemove} onClick={onRemove}>
          <Trash2 size={18} aria-hidden />
        </IconButton>
      </div>
      <NumberField
        label={copy.bench.amountOfTheBaseDrink(n + 1)}
        unit="mL"
        hint={copy.bench.leaveEmptyForAnEqual}
        value={p.ml || undefined}
        limit={limits.ml}
        error={fields[`portions[${n}].ml`]}
        onNumber={(ml) => onSet({ ml })}
        onEmpty={() => onSet({ ml: 0 })}
      />
      <TextArea
        label={copy.bench.addedToDrink(n + 1)}
        rows={2}
        value={p.text}
        placeholder={copy.bench.n1TbspCocoa}
        error={Object.entries(fields).find(([f]) => f.startsWith(`portions[${n}].lines`))?.[1]}
        onChange={(e) => onSet({ text: e.target.value })}
      />
      <Portioned drink={drink} />
    </section>
  )
}

function Portioned({ drink }: { drink?: SplitDrink }) {
  if (!drink) return null
  const r = drink.reckoning
  return (
    <p className="text-note text-mute">
      {copy.bench.g100MlSweetnessFat(
        toMillilitres(r.drinkML),
        toTenth(r.per100mL.sucroseEquivalentG),
        toTenth(r.dials[1]?.value ?? 0),
        r.keeps.wholeDays,
      )}
      {r.allergens.length > 0 && copy.bench.alsoContains(r.allergens.join(', '))}
    </p>
  )
}

/** useWrite writes recipes down as drinks of their own and opens the first. */
function useWrite(forget: () => void) {
  const client = useQueryClient()
  const [, go] = useLocation()
  const [problem, setProblem] = useState<string>()
  const all = async (drinks: SplitDrink[]) => {
    try {
      let first = 0
      for (const d of drinks) {
        const begun = await answer(api.POST('/api/drinks', { body: { name: d.name } }))
        const body = { name: d.name, recipe: d.recipe, revision: begun.revision }
        await answer(api.PUT('/api/drinks/{id}/draft', { params: { path: { id: begun.id } }, body }))
        first ||= begun.id
      }
      forget()
      await refresh(client, '/api/drinks')
      go(`/bench/${first}`)
    } catch (e) {
      setProblem(e instanceof Refused ? e.message : copy.bench.theDrinksCouldNotBe)
    }
  }
  return { all, problem }
}
