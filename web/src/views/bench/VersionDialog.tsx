import { useQueryClient } from '@tanstack/react-query'
import { answer, api, Refused } from '../../api/client'
import { refresh } from '../../api/keys'
import { VersionNote as limits } from '../../api/limits'
import { copy } from '../../copy/more'
import { Button } from '../../ui/Button'
import { Dialog } from '../../ui/Dialog'
import { ErrorText, Field } from '../../ui/Field'
import { useFields } from '../../ui/form'
import type { BenchDraft } from './useDraft'

/** VersionDialog keeps the draft as the drink's next version. */
export function VersionDialog({ bench, onClose }: { bench: BenchDraft; onClose: () => void }) {
  const form = useFields(limits, { note: '' })
  const client = useQueryClient()
  const next = (bench.kept.versions[0]?.number ?? 0) + 1
  const keep = form.submit(async ({ note }) => {
    if (!(await bench.saver.settle())) throw new Refused({ detail: copy.bench.drinkNotSaved }, 0)
    const path = { params: { path: { id: bench.kept.id } } }
    bench.setKept(await answer(api.POST('/api/drinks/{id}/versions', { ...path, body: { note } })))
    await refresh(client, '/api/drinks')
    onClose()
  })
  return (
    <Dialog open onClose={onClose} title={copy.bench.saveVersionNumber(next)} intro={copy.bench.youCanGoBackTo}>
      <form onSubmit={keep} className="grid gap-4">
        <Field label={copy.bench.whatChanged} placeholder={copy.bench.sweeterLessWater} {...form.field('note')} />
        <ErrorText id="version-error">{form.refusal}</ErrorText>
        <div className="flex justify-end gap-2">
          <Button onClick={onClose}>{copy.bench.cancel}</Button>
          <Button primary type="submit">
            {copy.bench.saveVersionNumber(next)}
          </Button>
        </div>
      </form>
    </Dialog>
  )
}
