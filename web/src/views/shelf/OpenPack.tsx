import { answer, api } from '../../api/client'
import { OpenedPack as limits } from '../../api/limits'
import type { OpenedPack } from '../../api/schema'
import { useShelfChange } from '../../api/shelf'
import { copy } from '../../copy/more'
import { Button } from '../../ui/Button'
import { ErrorText, Field } from '../../ui/Field'
import { useFields } from '../../ui/form'

/** OpenPack puts what is left of an opened pack on the shelf. */
export function OpenPack() {
  const form = useFields(limits, { what: '', openedOn: '', printed: '' })
  const open = useShelfChange((body: OpenedPack) => answer(api.POST('/api/packs', { body })))
  const send = form.submit((typed) => open.mutateAsync(typed).then(form.reset))
  return (
    <form onSubmit={send} className="flex flex-wrap items-start gap-2 border-t border-line pt-2">
      <Field
        className="grow basis-56"
        label={copy.shelf.openedPackAndWhatIs}
        placeholder={copy.shelf.n240GCoconutMilkCanned}
        {...form.field('what')}
      />
      <Field label={copy.shelf.openedOn} type="date" {...form.field('openedOn')} />
      <Field label={copy.shelf.datePrintedOnIt} type="date" {...form.field('printed')} />
      <Button type="submit" className="mt-6" disabled={form.value('what').trim() === '' || form.busy}>
        {copy.shelf.addToTheShelf}
      </Button>
      <ErrorText id="open-pack-error">{form.refusal}</ErrorText>
    </form>
  )
}
