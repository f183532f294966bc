import { answer, api } from '../../api/client'
import { BatchCorrection as limits } from '../../api/limits'
import type { BatchPage } from '../../api/schema'
import { copy } from '../../copy/more'
import { Button } from '../../ui/Button'
import { Dialog } from '../../ui/Dialog'
import { ErrorText, Field } from '../../ui/Field'
import { useFields } from '../../ui/form'
import { numberOf } from '../../ui/limit'
import { TextArea } from '../../ui/TextArea'
import { useRecordChanged } from './useNotes'

const typed = (v: number | undefined) => (v === undefined ? '' : String(v))

/** CorrectDialog puts a batch right: its date, what was measured, and the cook's own notes. */
export function CorrectDialog({ b, onClose }: { b: BatchPage; onClose: () => void }) {
  const changed = useRecordChanged()
  const form = useFields(limits, {
    madeOn: b.madeOn,
    measuredML: typed(b.measuredML),
    pulpG: typed(b.pulpG),
    driedPulpG: typed(b.driedPulpG),
    notes: b.notes,
  })
  const submit = form.submit(async (said) => {
    const body = {
      madeOn: said.madeOn,
      measuredML: numberOf(said.measuredML, 'mL'),
      pulpG: numberOf(said.pulpG, 'g'),
      driedPulpG: numberOf(said.driedPulpG, 'g'),
      notes: said.notes,
    }
    await answer(api.PUT('/api/batches/{id}', { params: { path: { id: b.id } }, body }))
    await changed()
    onClose()
  })
  return (
    <Dialog title={copy.notes.correctTitle} intro={copy.notes.correctIntro} onClose={onClose}>
      <form onSubmit={submit} className="grid gap-4">
        <Field label={copy.notes.dateMade} type="date" {...form.field('madeOn')} />
        <Field label={copy.notes.milkMeasured} {...form.field('measuredML', { unit: 'mL', optional: true })} />
        <Field label={copy.notes.pulpWeighed} {...form.field('pulpG', { unit: 'g', optional: true })} />
        <Field
          label={copy.notes.pulpDried}
          hint={copy.notes.pulpDriedHint}
          {...form.field('driedPulpG', { unit: 'g', optional: true })}
        />
        <TextArea
          label={copy.notes.ownNotes}
          value={form.value('notes')}
          maxLength={2000}
          rows={3}
          onChange={(e) => form.choose('notes')(e.target.value)}
        />
        <ErrorText id="correct-error">{form.refusal}</ErrorText>
        <div className="flex justify-end gap-2">
          <Button onClick={onClose}>{copy.notes.cancel}</Button>
          <Button primary type="submit" disabled={form.busy}>
            {copy.notes.save}
          </Button>
        </div>
      </form>
    </Dialog>
  )
}
