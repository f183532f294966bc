import { type FormEvent, useState } from 'react'
import type { ProcessStep, StepChange } from '../../api/schema'
import { Button } from '../../ui/Button'
import { Check } from '../../ui/Check'
import { Field } from '../../ui/Field'
import { NumberField } from '../../ui/NumberField'
import { Select } from '../../ui/Select'
import { isMoved, movedBefore, putBack, setAt, without, withoutOwn, withSet, withStepAfter } from './changes'
import type { Edits } from './useDraft'

type Props = { steps: ProcessStep[]; step: ProcessStep; changes: StepChange[]; edits: Edits }

/** What can be set at a step, with its unit. */
const settable: Record<string, { param: string; label: string; unit: string }> = {
  grind: { param: 'seconds', label: 'Grind for', unit: 's' },
  heat: { param: 'minutes', label: 'Keep it there for', unit: 'min' },
  soak: { param: 'hours', label: 'Soak for', unit: 'h' },
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
        <Button onClick={() => take(withoutOwn(changes, step.title))}>Take this step away</Button>
      </div>
    )
  }
  return (
    <div className="mt-2 grid gap-2 sm:grid-cols-2 sm:items-end">
      {field && (
        <NumberField
          label={field.label}
          unit={field.unit}
          hint="Empty for what it needs."
          value={set?.params?.[field.param]}
          onNumber={(v) => take(withSet(changes, step, { params: { [field.param]: v } }))}
          onEmpty={() => take(withSet(changes, step, { params: { [field.param]: undefined } }))}
        />
      )}
      {step.code === 'soak' && (
        <Check
          label="In the fridge"
          checked={(set?.params?.fridge ?? 0) > 0}
          onChange={(on) => take(withSet(changes, step, { params: { fridge: on ? 1 : undefined } }))}
        />
      )}
      {step.code === 'grind' && (
        <Check
          label="Water bit by bit"
          checked={(set?.params?.gradual ?? 0) > 0}
          onChange={(on) => take(withSet(changes, step, { params: { gradual: on ? 1 : undefined } }))}
        />
      )}
      <Field
        label="How you know it is right"
        placeholder={step.cue}
        value={set?.cue ?? ''}
        maxLength={500}
        onChange={(e) => take(withSet(changes, step, { cue: e.target.value }))}
      />
      <div className="flex flex-wrap gap-2 sm:col-span-2">
        <MoveStep steps={steps} step={step} changes={changes} onMove={take} />
        <Button onClick={() => setAdding(!adding)}>Add a step after it</Button>
        {step.canSkip && <Button onClick={() => take(without(changes, step))}>Leave it out</Button>}
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
  const places = step.moveTo.map((n) => ({ value: String(n), label: `before: ${steps[n]?.title}` }))
  const here = { value: asItComes, label: moved ? 'where you put it' : 'where it comes' }
  return (
    <>
      <Select
        label="Do it"
        value={asItComes}
        choices={[here, ...places]}
        onChange={(to) => to !== asItComes && onMove(movedBefore(changes, steps, step, Number(to)))}
      />
      {moved && <Button onClick={() => onMove(putBack(changes, step))}>Put it back in its place</Button>}
    </>
  )
}

function OwnStep({ onAdd }: { onAdd: (words: string, params: Record<string, number>) => void }) {
  const [words, setWords] = useState('')
  const [minutes, setMinutes] = useState(0)
  const [blender, setBlender] = useState(false)
  const add = (e: FormEvent) => {
    e.preventDefault()
    if (words.trim() !== '') onAdd(words.trim(), blender ? { minutes, blender: 1 } : { minutes })
  }
  return (
    <form onSubmit={add} className="grid gap-2 sm:col-span-2 sm:grid-cols-[1fr_8rem_auto_auto] sm:items-end">
      <Field label="What you do" value={words} maxLength={500} onChange={(e) => setWords(e.target.value)} />
      <NumberField
        label="It takes"
        unit="min"
        value={minutes || undefined}
        onNumber={setMinutes}
        onEmpty={() => setMinutes(0)}
      />
      <Check label="In the blender" checked={blender} onChange={setBlender} />
      <Button type="submit" disabled={words.trim() === ''}>
        Add it
      </Button>
    </form>
  )
}
