import { useQueryClient } from '@tanstack/react-query'
import { answer, api } from '../../api/client'
import { usePlanChange } from '../../api/hooks'
import { refresh } from '../../api/keys'
import type { NewItem, NextMaking } from '../../api/schema'
import { copy } from '../../copy/more'
import { Button } from '../../ui/Button'
import { ErrorText } from '../../ui/Field'
import { toDayAndClock, toMillilitres } from '../../ui/format'

/** PlanNext puts the next making into the plan, where it is not there yet. */
export function PlanNext({ next }: { next: NextMaking }) {
  const client = useQueryClient()
  const plan = usePlanChange((body: NewItem) => answer(api.POST('/api/plan/items', { body })))
  const body = { drinkID: next.drinkID, readyBy: next.readyBy, volumeML: next.batchML }
  const put = () => plan.mutate(body, { onSuccess: () => refresh(client, '/api/rhythm') })
  return (
    <div className="grid gap-1">
      <p>
        {copy.shelf.next}
        <b>{next.drinkName}</b>
        {copy.shelf.nextFor(toMillilitres(next.batchML), toDayAndClock(next.readyBy))}
        {next.freezeML > 0 && copy.shelf.freezeOfIt(toMillilitres(next.freezeML))}.
      </p>
      {next.planned ? (
        <p role="status">{copy.shelf.itIsOnThePlan}</p>
      ) : (
        <div>
          <Button onClick={put} disabled={plan.isPending}>
            {copy.shelf.planIt}
          </Button>
        </div>
      )}
      <ErrorText id="rhythm-plan-error">{plan.error?.message}</ErrorText>
    </div>
  )
}
