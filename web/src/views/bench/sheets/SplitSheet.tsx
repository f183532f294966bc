import { useQueryClient } from '@tanstack/react-query'
import { Plus, Trash2 } from 'lucide-react'
import { useState } from 'react'
import { useLocation } from 'wouter'
import { answer, api, Refused } from '../../../api/client'
import type { Portion, SplitDrink } from '../../../api/schema'
import { Button, IconButton } from '../../../ui/Button'
import { Sheet } from '../../../ui/Dialog'
import { ErrorText, Field } from '../../../ui/Field'
import { toMillilitres, toTenth } from '../../../ui/format'
import { NumberField } from '../../../ui/NumberField'
import { TextArea } from '../../../ui/TextArea'
import type { BenchDraft } from '../useDraft'
import { useAsk } from './useAsk'

type Typed = { key: number; name: string; ml: number; text: string }

const portionOf = (t: Typed): Portion => ({ name: t.name, ml: t.ml, lines: t.text.split('\n') })

/** SplitSheet divides one base into drinks that are finished each in its own way. */
export function SplitSheet({ bench, onClose }: { bench: BenchDraft; onClose: () => void }) {
  const { name, recipe } = bench.draft
  const [portions, setPortions] = useState<Typed[]>(() => {
    const kept = recipe.portions ?? []
    if (kept.length > 0) return kept.map((p, n) => ({ key: n + 1, name: p.name, ml: p.ml, text: p.lines.join('\n') }))
    return [
      { key: 1, name: `${name}, one`, ml: 0, text: '' },
      { key: 2, name: `${name}, other`, ml: 0, text: '' },
    ]
  })
  const body = { name, recipe, portions: portions.map(portionOf) }
  const split = useAsk('split', body, () => answer(api.POST('/api/splits', { body })))
  const set = (key: number, change: Partial<Typed>) =>
    setPortions(portions.map((p) => (p.key === key ? { ...p, ...change } : p)))
  const write = useWrite()
  return (
    <Sheet title="Split the base" intro="One base, finished in two ways or more." onClose={onClose}>
      {portions.map((p, n) => (
        <section
          key={p.key}
          aria-label={`Portion ${n + 1}`}
          className="grid gap-2 rounded-2xl border-2 border-line p-3"
        >
          <div className="flex items-end gap-2">
            <Field
              className="grow"
              label={`Drink ${n + 1}`}
              value={p.name}
              maxLength={120}
              error={split.fields[`portions[${n}].name`]}
              onChange={(e) => set(p.key, { name: e.target.value })}
            />
            <IconButton
              label={`Take drink ${n + 1} out`}
              disabled={portions.length <= 2}
              onClick={() => setPortions(portions.filter((o) => o.key !== p.key))}
            >
              <Trash2 size={18} aria-hidden />
            </IconButton>
          </div>
          <NumberField
            label={`Of the base, drink ${n + 1}`}
            unit="mL"
            hint="Empty for an equal share of what is left."
            value={p.ml || undefined}
            error={split.fields[`portions[${n}].ml`]}
            onNumber={(ml) => set(p.key, { ml })}
            onEmpty={() => set(p.key, { ml: 0 })}
          />
          <TextArea
            label={`What joins drink ${n + 1}`}
            rows={2}
            value={p.text}
            placeholder="1 tbsp cocoa"
            error={Object.entries(split.fields).find(([f]) => f.startsWith(`portions[${n}].lines`))?.[1]}
            onChange={(e) => set(p.key, { text: e.target.value })}
          />
          <Portioned drink={split.data?.[n]} />
        </section>
      ))}
      <Button
        onClick={() =>
          setPortions([
            ...portions,
            { key: Math.max(...portions.map((p) => p.key)) + 1, name: `${name}, another`, ml: 0, text: '' },
          ])
        }
      >
        <Plus size={18} aria-hidden /> Another drink
      </Button>
      <ErrorText id="split-error">{split.fields.portions ?? write.problem}</ErrorText>
      <Button
        disabled={!split.now}
        onClick={() => {
          bench.setRecipe({ portions: portions.map(portionOf) })
          onClose()
        }}
      >
        Keep the split with the drink: cooking divides it
      </Button>
      {(recipe.portions ?? []).length > 0 && (
        <Button
          onClick={() => {
            bench.setRecipe({ portions: undefined })
            onClose()
          }}
        >
          Leave it undivided
        </Button>
      )}
      <Button primary disabled={!split.now} onClick={() => split.now && write.all(split.now)}>
        Write them down as drinks
      </Button>
    </Sheet>
  )
}

function Portioned({ drink }: { drink?: SplitDrink }) {
  if (!drink) return null
  const r = drink.reckoning
  return (
    <p className="text-note text-mute">
      {toMillilitres(r.drinkML)}, {toTenth(r.per100mL.sucroseEquivalentG)} g/100 mL sweet,{' '}
      {toTenth(r.dials[1]?.value ?? 0)} % fat, keeps {r.keeps.wholeDays} {r.keeps.wholeDays === 1 ? 'day' : 'days'}
      {r.allergens.length > 0 && `, contains ${r.allergens.join(', ')}`}
    </p>
  )
}

/** useWrite writes recipes down as drinks of their own and opens the first. */
function useWrite() {
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
      await client.invalidateQueries({ queryKey: ['drinks'] })
      go(`/bench/${first}`)
    } catch (e) {
      setProblem(e instanceof Refused ? e.message : 'They could not be written down.')
    }
  }
  return { all, problem }
}
