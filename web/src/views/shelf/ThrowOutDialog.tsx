import { Why as limits } from '../../api/limits'
import type { Bottle } from '../../api/schema'
import { useBottle } from '../../api/shelf'
import { copy } from '../../copy/more'
import { Button } from '../../ui/Button'
import { Dialog } from '../../ui/Dialog'
import { ErrorText, Field } from '../../ui/Field'
import { useFields } from '../../ui/form'
import { toMillilitres } from '../../ui/format'
import { ToggleGroup } from '../../ui/ToggleGroup'

const usualReasons = [
  { cause: 'past-date', words: copy.shelf.pastItsDateMark },
  { cause: 'soured', words: copy.shelf.smelledSour },
  { cause: 'split', words: copy.shelf.splitOrSlimy },
  { cause: 'not-drunk', words: copy.shelf.nobodyDrankIt },
] as const

const causeOf = (why: string) => usualReasons.find((r) => r.words === why)?.cause ?? ''

/** ThrowOutDialog asks why, and keeps that as the record. */
export function ThrowOutDialog({ b, onClose }: { b: Bottle; onClose: () => void }) {
  const { throwOut } = useBottle(b.id)
  const form = useFields(limits, { why: b.standing === 'past' ? copy.shelf.pastItsDateMark : '' })
  const submit = form.submit(({ why }) => throwOut.mutateAsync({ why, cause: causeOf(why) }).then(onClose))
  return (
    <Dialog
      open
      onClose={onClose}
      title={copy.shelf.throwAway}
      intro={copy.shelf.ofWillBeThrownAway(toMillilitres(b.leftML), b.drinkName)}
    >
      <form onSubmit={submit} className="grid gap-4">
        <Field label={copy.shelf.reason} {...form.field('why')} />
        <ErrorText id="throw-out-error">{form.refusal}</ErrorText>
        <ToggleGroup
          label={copy.shelf.reason}
          choices={usualReasons.map((r) => ({ value: r.words, label: r.words }))}
          chosen={form.value('why')}
          onToggle={form.choose('why')}
        />
        <div className="flex justify-end gap-2">
          <Button onClick={onClose}>{copy.shelf.cancel}</Button>
          <Button primary type="submit" disabled={throwOut.isPending}>
            {copy.shelf.throwItAwayNow}
          </Button>
        </div>
      </form>
    </Dialog>
  )
}
