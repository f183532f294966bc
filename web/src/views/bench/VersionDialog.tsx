import { useQueryClient } from '@tanstack/react-query'
import { type FormEvent, useState } from 'react'
import { answer, api, Refused } from '../../api/client'
import { Button } from '../../ui/Button'
import { Dialog } from '../../ui/Dialog'
import { Field } from '../../ui/Field'
import type { BenchDraft } from './useDraft'

/** VersionDialog keeps the draft as the drink's next version. */
export function VersionDialog({ bench, onClose }: { bench: BenchDraft; onClose: () => void }) {
  const [note, setNote] = useState('')
  const [error, setError] = useState<string>()
  const client = useQueryClient()
  const next = (bench.kept.versions[0]?.number ?? 0) + 1
  const keep = async (e: FormEvent) => {
    e.preventDefault()
    try {
      if (!(await bench.saver.settle())) throw new Refused({ detail: 'The drink could not be saved first.' }, 0)
      const path = { params: { path: { id: bench.kept.id } } }
      bench.setKept(await answer(api.POST('/api/drinks/{id}/versions', { ...path, body: { note } })))
      await client.invalidateQueries({ queryKey: ['drinks'] })
      onClose()
    } catch (refused) {
      setError(refused instanceof Refused ? refused.message : 'The version could not be kept.')
    }
  }
  return (
    <Dialog
      open
      onClose={onClose}
      title={`Keep version ${next}`}
      intro="Versions stay as they are; you can go back to any of them."
    >
      <form onSubmit={keep} className="grid gap-4">
        <Field
          label="What is new in it"
          placeholder="sweeter, less water"
          maxLength={300}
          value={note}
          error={error}
          onChange={(e) => setNote(e.target.value)}
        />
        <div className="flex justify-end gap-2">
          <Button onClick={onClose}>Not yet</Button>
          <Button primary type="submit">
            Keep version {next}
          </Button>
        </div>
      </form>
    </Dialog>
  )
}
