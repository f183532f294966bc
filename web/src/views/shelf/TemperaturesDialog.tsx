import { answer, api } from '../../api/client'
import { useShelfChange } from '../../api/hooks'
import { TemperatureFile as limits } from '../../api/limits'
import { copy } from '../../copy'
import { Busy } from '../../ui/Busy'
import { Button } from '../../ui/Button'
import { Dialog } from '../../ui/Dialog'
import { ErrorText } from '../../ui/Field'
import { useFields } from '../../ui/form'
import { TextArea } from '../../ui/TextArea'

/** TemperaturesDialog takes readings in, and gives back the lines it did not understand. */
export function TemperaturesDialog({ onClose }: { onClose: () => void }) {
  const form = useFields(limits, { csv: '' })
  const take = useShelfChange((csv: string) => answer(api.POST('/api/thermometer/readings', { body: { csv } })))
  const submit = form.submit(async ({ csv }) => {
    const { refused } = await take.mutateAsync(csv)
    if (refused.length > 0) form.choose('csv')(refused.map((line) => line.text).join('\n'))
  })
  const taken = take.data
  return (
    <Dialog onClose={onClose} title={copy.shelf.importReadings} intro={copy.shelf.oneReadingPerLineTime}>
      <form onSubmit={submit} className="grid gap-4">
        <TextArea label={copy.shelf.readings} rows={8} placeholder="2026-11-24 15:00,4.2" {...form.field('csv')} />
        {taken && (
          <p role="status">
            {copy.shelf.readingsImported(taken.readings)}
            {taken.refused.length > 0 ? copy.shelf.linesWereNotUnderstoodAnd(taken.refused.length) : '.'}
          </p>
        )}
        <ul className="text-note text-hibiscus-deep">
          {taken?.refused.slice(0, 5).map((r) => (
            <li key={r.line}>{copy.shelf.line(r.line, r.why)}</li>
          ))}
        </ul>
        <Busy on={take.isPending} words={copy.shelf.importing} />
        <ErrorText id="readings-error">{form.refusal}</ErrorText>
        <div className="flex justify-end gap-2">
          <Button onClick={onClose}>{copy.shelf.close}</Button>
          <Button primary type="submit" disabled={form.busy}>
            {copy.shelf.import}
          </Button>
        </div>
      </form>
    </Dialog>
  )
}
