import { Link, useLocation } from 'wouter'
import { answer, api } from '../../api/client'
import { usePlanChange } from '../../api/hooks'
import type { PlanItem } from '../../api/schema'
import { copy } from '../../copy/more'
import { Button } from '../../ui/Button'

/** AllDone leads from the last step to the bottles, and on. */
export function AllDone({ item, onBottle }: { item: PlanItem; onBottle: () => void }) {
  const [, go] = useLocation()
  const off = usePlanChange(() => answer(api.DELETE('/api/plan/items/{id}', { params: { path: { id: item.id } } })))
  return (
    <>
      <h1 className="text-figure leading-tight max-sm:text-title">{copy.cook.allDone}</h1>
      {item.batchID === 0 ? (
        <>
          <p className="text-2xl">{copy.cook.recordHowMuchYouMade}</p>
          <Button primary className="min-h-16 self-start text-2xl" onClick={onBottle}>
            {copy.cook.bottle(item.name)}
          </Button>
        </>
      ) : (
        <>
          <p className="text-2xl">
            {copy.cook.itIsOnThe}
            <Link href="/shelf" className="font-bold text-rim underline">
              {copy.cook.shelf}
            </Link>
            {copy.cook.withWhatYouUsedAnd}
          </p>
          <Link href={`/notes/batch/${item.batchID}`} className="text-2xl font-bold text-rim underline">
            {copy.notes.howWasIt}
          </Link>
          <Button
            className="min-h-16 self-start text-xl"
            onClick={() => off.mutate(undefined, { onSuccess: () => go('/plan') })}
          >
            {copy.cook.removeFromThePlan(item.name)}
          </Button>
        </>
      )}
    </>
  )
}
