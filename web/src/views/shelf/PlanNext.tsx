import { useQueryClient } from '@tanstack/react-query'
import { answer, api } from '../../api/client'
import { usePlanChange } from '../../api/hooks'
import type { NewItem, NextMaking } from '../../api/schema'
import { Button } from '../../ui/Button'
import { ErrorText } from '../../ui/Field'
import { toDayAndClock, toMillilitres } from '../../ui/format'

/** PlanNext puts the next making into the plan, where it is not there yet. */
export function PlanNext({ next }: { next: NextMaking }) {
  const client = useQueryClient()
  const plan = usePlanChange((body: NewItem) => answer(api.POST('/api/plan/items', { body })))
  const body = { drinkID: next.drinkID, readyBy: next.readyBy, volumeML: next.batchML }
  const put = () => plan.mutate(body, { onSuccess: () => client.invalidateQueries({ queryKey: ['shelf', 'rhythm'] }) })
  return (
    <div className="grid gap-1">
      <p>
        Next: <b>{next.drinkName}</b>, {toMillilitres(next.batchML)} for {toDayAndClock(next.readyBy)}
        {next.freezeML > 0 && `, ${toMillilitres(next.freezeML)} of it to freeze`}.
      </p>
      {next.planned ? (
        <p role="status">It is on the plan.</p>
      ) : (
        <div>
          <Button onClick={put} disabled={plan.isPending}>
            Put it in the plan
          </Button>
        </div>
      )}
      <ErrorText id="rhythm-plan-error">{plan.error?.message}</ErrorText>
    </div>
  )
}
