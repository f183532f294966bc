import { type FormEvent, useState } from 'react'
import { answer, api, Refused } from '../../api/client'
import { useShelfChange } from '../../api/hooks'
import { Button } from '../../ui/Button'
import { Dialog } from '../../ui/Dialog'
import { ErrorText } from '../../ui/Field'
import { TextArea } from '../../ui/TextArea'

/** TemperaturesDialog takes readings in, and gives back the lines it did not understand. */
export function TemperaturesDialog({ onClose }: { onClose: () => void }) {
  const [csv, setCSV] = useState('')
  const take = useShelfChange((text: string) => answer(api.POST('/api/thermometer/readings', { body: { csv: text } })))
  const submit = (e: FormEvent) => {
    e.preventDefault()
    take.mutate(csv, {
      onSuccess: (r) => r.refused.length > 0 && setCSV(r.refused.map((line) => line.text).join('\n')),
    })
  }
  const taken = take.data
  return (
    <Dialog
      onClose={onClose}
      title="Take readings in"
      intro="A line each: time, then °C. Times with no zone are the kitchen's."
    >
      <form onSubmit={submit} className="grid gap-4">
        <TextArea
          label="Readings"
          rows={8}
          value={csv}
          placeholder="2026-11-24 15:00,4.2"
          error={take.error instanceof Refused ? take.error.message : undefined}
          onChange={(e) => setCSV(e.target.value)}
        />
        {taken && (
          <p role="status">
            {taken.readings} readings taken in
            {taken.refused.length > 0 ? `; ${taken.refused.length} lines were not understood and stand above.` : '.'}
          </p>
        )}
        <ul className="text-note text-hibiscus-deep">
          {taken?.refused.slice(0, 5).map((r) => (
            <li key={r.line}>
              Line {r.line}: {r.why}.
            </li>
          ))}
        </ul>
        <ErrorText id="readings-error">
          {take.error && !(take.error instanceof Refused) ? take.error.message : undefined}
        </ErrorText>
        <div className="flex justify-end gap-2">
          <Button onClick={onClose}>Close it</Button>
          <Button primary type="submit" disabled={take.isPending}>
            Take them in
          </Button>
        </div>
      </form>
    </Dialog>
  )
}
