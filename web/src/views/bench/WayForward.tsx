import { lazy, Suspense, useState } from 'react'
import { useLocation } from 'wouter'
import { answer, api } from '../../api/client'
import { usePlanChange } from '../../api/hooks'
import type { NewItem } from '../../api/schema'
import { copy } from '../../copy'
import { Button } from '../../ui/Button'
import { ErrorText } from '../../ui/Field'
import type { BenchDraft } from './useDraft'

const AddDrink = lazy(() => import('../plan/AddDrink').then((m) => ({ default: m.AddDrink })))

type Props = {
  bench: BenchDraft
  ready: boolean
  /** Lines that are not counted were agreed to. */
  anyway: boolean
  first: (run: () => void) => void
}

/** WayForward leads from the drink to its plan, or straight to the stove. What stands on the Bench is saved first. */
export function WayForward({ bench, ready, anyway, first }: Props) {
  const [planning, setPlanning] = useState(false)
  const [problem, setProblem] = useState<string>()
  const [, go] = useLocation()
  const add = usePlanChange((body: NewItem) => answer(api.POST('/api/plan/items', { body })))
  const saved = (run: () => void) =>
    first(async () => {
      const isSaved = await bench.saver.settle()
      setProblem(isSaved ? undefined : copy.bench.drinkNotSaved)
      if (isSaved) run()
    })
  const cook = () =>
    add.mutate(
      { drinkID: bench.kept.id, readyBy: '', startNow: true, anyway },
      {
        onSuccess: (plan) => go(`/cook/${Math.max(...plan.items.map((i) => i.id))}`),
        onError: (e) => setProblem(e.message),
      },
    )
  return (
    <>
      <Button size="small" disabled={!ready} onClick={() => saved(() => setPlanning(true))}>
        {copy.bench.planIt}
      </Button>
      <Button size="small" disabled={!ready || add.isPending} onClick={() => saved(cook)}>
        {copy.bench.startCooking}
      </Button>
      <ErrorText id="way-forward-error">{problem}</ErrorText>
      {planning && (
        <Suspense>
          <AddDrink bowls={[]} drinkID={bench.kept.id} onClose={() => setPlanning(false)} onDone={() => go('/plan')} />
        </Suspense>
      )}
    </>
  )
}
