import { Link, useLocation } from 'wouter'
import { answer, api } from '../../api/client'
import { usePlanChange } from '../../api/hooks'
import type { PlanItem } from '../../api/schema'
import { Button } from '../../ui/Button'

/** AllDone leads from the last step to the bottles, and on. */
export function AllDone({ item, onBottle }: { item: PlanItem; onBottle: () => void }) {
  const [, go] = useLocation()
  const off = usePlanChange(() => answer(api.DELETE('/api/plan/items/{id}', { params: { path: { id: item.id } } })))
  return (
    <>
      <h1 className="text-figure leading-tight max-sm:text-title">All of it is done</h1>
      {item.batchID === 0 ? (
        <>
          <p className="text-2xl">Say what came out and where it stands.</p>
          <Button primary className="min-h-16 self-start text-2xl" onClick={onBottle}>
            Bottle {item.name}
          </Button>
        </>
      ) : (
        <>
          <p className="text-2xl">
            It stands on the{' '}
            <Link href="/shelf" className="font-bold text-rim underline">
              Shelf
            </Link>
            , with what was really used and when.
          </p>
          <Button
            className="min-h-16 self-start text-xl"
            onClick={() => off.mutate(undefined, { onSuccess: () => go('/plan') })}
          >
            Take {item.name} off the plan
          </Button>
        </>
      )}
    </>
  )
}
