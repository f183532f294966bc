import { type FormEvent, useState } from 'react'
import { Refused } from '../../api/client'
import { useBottle } from '../../api/hooks'
import type { Bottle } from '../../api/schema'
import { Button } from '../../ui/Button'
import { Dialog } from '../../ui/Dialog'
import { Field } from '../../ui/Field'
import { toMillilitres } from '../../ui/format'

const usualReasons = ['past its date', 'smelled sour', 'split or slimy', 'nobody drank it']

/** ThrowOutDialog asks why, and keeps that as the record. */
export function ThrowOutDialog({ b, onClose }: { b: Bottle; onClose: () => void }) {
  const { throwOut } = useBottle(b.id)
  const [why, setWhy] = useState(b.standing === 'past' ? 'past its date' : '')
  const submit = (e: FormEvent) => {
    e.preventDefault()
    throwOut.mutate(why, { onSuccess: onClose })
  }
  return (
    <Dialog open onClose={onClose} title="Throw out" intro={`${toMillilitres(b.leftML)} of ${b.drinkName} goes.`}>
      <form onSubmit={submit} className="grid gap-4">
        <Field
          label="Why"
          value={why}
          maxLength={200}
          onChange={(e) => setWhy(e.target.value)}
          error={throwOut.error instanceof Refused ? throwOut.error.message : undefined}
        />
        <div className="flex flex-wrap gap-2">
          {usualReasons.map((reason) => (
            <Button
              key={reason}
              aria-pressed={why === reason}
              onClick={() => setWhy(reason)}
              className="!min-h-9 !px-3"
            >
              {reason}
            </Button>
          ))}
        </div>
        <div className="flex justify-end gap-2">
          <Button onClick={onClose}>Keep it</Button>
          <Button primary type="submit" disabled={throwOut.isPending}>
            Throw it out
          </Button>
        </div>
      </form>
    </Dialog>
  )
}
