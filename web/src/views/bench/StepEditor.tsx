import { useState } from 'react'
import type { ProcessStep, StepChange } from '../../api/schema'
import { copy } from '../../copy/more'
import { Button } from '../../ui/Button'
import { Check } from '../../ui/Check'
import { Field } from '../../ui/Field'
import { useFields } from '../../ui/form'
import type { Limit } from '../../ui/limit'
import { numberOf } from '../../ui/limit'
import { NumberField } from '../../ui/NumberField'
import { Select } from '../../ui/Select'
import { isMoved, movedBefore, putBack, setAt, without, withoutOwn, withSet, withStepAfter } from './changes'
import type { Edits } from './useDraft'

type Props = { steps: ProcessStep[]; step: ProcessStep; changes: StepChange[]; edits: Edits }

/** What can be set at a step, with its unit; the core has the same limits. */
const settable: Record<string, { param: string; label: string; unit: string; limit: Limit }> = {
  grind: { param: 'seconds', label: copy.bench.blendFor, unit: 's', limit: { minimum: 1, maximum: 600 } },
  heat: { param: 'minutes', label: copy.bench.holdFor, unit: 'min', limit: { minimum: 0, maximum: 600 } },
  soak: { param: 'hours', label: copy.bench.soakFor, unit: 'h', limit: { minimum: 0.25, maximum: 72 } },
}

/** StepEditor sets what can be set at a step, takes the cook's own words for it, leaves it out or adds one after it. */
export function StepEditor({ steps, step, changes, edits }: Props) {
  const [adding, setAdding] = useState(false)
  const set = setAt(changes, step)
  const field = settable[step.code]
  const take = (process: StepChange[]) => edits.setRecipe({ process })
  if (step.kind === 'own') {
    return (
      <div className="mt-2 flex flex-wrap gap-2">
        <MoveStep steps={steps} step={step} changes={changes} onMove={take} />
        <Button onClick={() => take(withoutOwn(changes, step.title))}>{copy.bench.deleteStep}</Button>
      </div>
    )
  }
  return (
    <div className="mt-2 grid gap-2 sm:grid-cols-2 sm:items-end">
      {field && (
        <NumberField
          label={field.label}
          unit={field.unit}
          limit={field.limit}
          hint={copy.bench.emptyForUsualTime}
          value={set?.params?.[field.param]}
          onNumber={(v) => take(withSet(changes, step, { params: { [field.param]: v } }))}
          onEmpty={() => take(withSet(changes, step, { params: { [field.param]: undefined } }))}
        />
      )}
      {step.code === 'soak' && (
        <Check
          label={copy.bench.inTheFridge}
          checked={(set?.params?.fridge ?? 0) > 0}
          onChange={(on) => take(withSet(changes, step, { params: { fridge: on ? 1 : undefined } }))}
        />
      )}
      {step.code === 'grind' && (
        <Check
          label={copy.bench.addWaterALittleAt}
          checked={(set?.params?.gradual ?? 0) > 0}
          onChange={(on) => take(withSet(changes, step, { params: { gradual: on ? 1 : undefined } }))}
        />
      )}
      <Field
        label={copy.bench.howToTellItIs}
        placeholder={step.cue}
        value={set?.cue ?? ''}
        maxLength={500}
        onChange={(e) => take(withSet(changes, step, { cue: e.target.value }))}
      />
      <div className="flex flex-wrap gap-2 sm:col-span-2">
        <MoveStep steps={steps} step={step} changes={changes} onMove={take} />
        <Button onClick={() => setAdding(!adding)}>{copy.bench.addAStepAfterThis}</Button>
        {step.canSkip && <Button onClick={() => take(without(changes, step))}>{copy.bench.skipThisStep}</Button>}
      </div>
      {adding && (
        <OwnStep
          onAdd={(words, params) => {
            take(withStepAfter(changes, step, words, params))
            setAdding(false)
          }}
        />
      )}
    </div>
  )
}

type Moving = Omit<Props, 'edits'> & { onMove: (changes: StepChange[]) => void }

const asItComes = ''

/** MoveStep puts a step before another, where it may stand. */
function MoveStep({ steps, step, changes, onMove }: Moving) {
  const moved = isMoved(changes, step)
  if (step.moveTo.length === 0 && !moved) return null
  const places = step.moveTo.map((n) => ({ value: String(n), label: copy.bench.before(steps[n]?.title ?? '') }))
  const here = { value: asItComes, label: moved ? copy.bench.whereIPutIt : copy.bench.usualPlace }
  return (
    <>
      <Select
        label={copy.bench.when}
        value={asItComes}
        choices={[here, ...places]}
        onChange={(to) => to !== asItComes && onMove(movedBefore(changes, steps, step, Number(to)))}
      />
      {moved && <Button onClick={() => onMove(putBack(changes, step))}>{copy.bench.putBackInItsUsual}</Button>}
    </>
  )
}

function OwnStep({ onAdd }: { onAdd: (words: string, params: Record<string, number>) => void }) {
  const form = useFields(
    { words: { minLength: 1, maxLength: 500 }, minutes: { type: 'number', minimum: 0, maximum: 720 } },
    {
      words: '',
      minutes: '',
      blender: false,
    },
  )
  const add = form.submit(({ words, minutes, blender }) => {
    const took = { minutes: numberOf(minutes, 'min') ?? 0 }
    onAdd(words.trim(), blender ? { ...took, blender: 1 } : took)
  })
  return (
    <form onSubmit={add} className="grid gap-2 sm:col-span-2 sm:grid-cols-[1fr_8rem_auto_auto] sm:items-end">
      <Field label={copy.bench.whatToDo} {...form.field('words')} />
      <Field label={copy.bench.time} {...form.field('minutes', { unit: 'min', optional: true })} />
      <Check label={copy.bench.usesTheBlender} checked={form.value('blender')} onChange={form.choose('blender')} />
      <Button type="submit" disabled={form.value('words').trim() === ''}>
        {copy.bench.add}
      </Button>
    </form>
  )
}
