import { type FormEvent, useState } from 'react'
import { useLocation } from 'wouter'
import { Refused } from '../../api/client'
import { useKitchen, useMakeBatch, useReckoning } from '../../api/hooks'
import type { Reckoning } from '../../api/schema'
import { Button } from '../../ui/Button'
import { Dialog } from '../../ui/Dialog'
import { ErrorText, Field } from '../../ui/Field'
import { toMillilitres } from '../../ui/format'
import { accepts, asMeasure } from '../../ui/number'
import { BottleRows, BottlingCare, oneBottle, toBottles } from '../bottling/BottleRows'
import type { BenchDraft } from './useDraft'

/** MadeDialog marks the drink as made and puts it into bottles. */
export function MadeDialog({
  bench,
  expected,
  onClose,
}: {
  bench: BenchDraft
  expected: Reckoning
  onClose: () => void
}) {
  const kitchen = useKitchen()
  const [madeOn, setMadeOn] = useState<string>()
  const [measured, setMeasured] = useState('')
  const [bottles, setBottles] = useState(() => oneBottle(expected.drinkML))
  const make = useMakeBatch(bench.kept.id)
  const [, go] = useLocation()
  const [unsaved, setUnsaved] = useState(false)
  const day = madeOn ?? kitchen.data?.today ?? ''
  const { draft } = bench
  const reckoning = useReckoning(draft.name, draft.recipe, day)
  const refused = make.error instanceof Refused ? make.error : undefined
  const wrongDay = reckoning.error instanceof Refused ? reckoning.error.fields.madeOn : undefined

  const badMeasure = measured.trim() !== '' && !(asMeasure(measured, 'mL') >= 1)
  const submit = async (e: FormEvent) => {
    e.preventDefault()
    if (badMeasure) return
    const saved = await bench.saver.settle()
    setUnsaved(!saved)
    if (!saved) return
    make.mutate(
      {
        madeOn: day,
        measuredML: measured.trim() === '' ? undefined : asMeasure(measured, 'mL'),
        bottles: toBottles(bottles),
        anyway: expected.missing.length > 0, // it was asked before this was opened
      },
      { onSuccess: () => go('/shelf') },
    )
  }

  return (
    <Dialog
      open
      onClose={onClose}
      title={`Made ${draft.name}`}
      intro={`About ${toMillilitres(expected.drinkML)} was expected.`}
    >
      <form onSubmit={submit} className="grid gap-4">
        <div className="grid gap-3 sm:grid-cols-2">
          <Field
            label="Made on"
            type="date"
            value={day}
            max={kitchen.data?.today}
            onChange={(e) => setMadeOn(e.target.value)}
            error={refused?.fields.madeOn ?? wrongDay}
          />
          <Field
            label="It gave, if you measured it"
            unit="mL"
            value={measured}
            placeholder={String(Math.round(expected.drinkML))}
            onChange={(e) => setMeasured(e.target.value)}
            error={badMeasure || refused?.fields.measuredML ? `${accepts('mL')} Or leave it empty.` : undefined}
          />
        </div>
        <BottleRows
          bottles={bottles}
          keeps={(reckoning.data ?? expected).keeps}
          fields={refused?.fields ?? {}}
          onChange={setBottles}
        />
        <div>
          {unsaved && (
            <ErrorText id="unsaved-error">The drink could not be saved first, so nothing was bottled.</ErrorText>
          )}
          {refused && Object.keys(refused.fields).length === 0 && (
            <ErrorText id="make-error">{refused.message}</ErrorText>
          )}
        </div>
        <BottlingCare />
        <div className="flex justify-end gap-2">
          <Button onClick={onClose}>Not yet</Button>
          <Button primary type="submit" disabled={make.isPending}>
            Bottle it
          </Button>
        </div>
      </form>
    </Dialog>
  )
}
