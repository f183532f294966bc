import { answer, api } from '../../api/client'
import { useWeighing } from '../../api/cooking'
import { usePlanChange } from '../../api/hooks'
import type { Overshoot, WeighedNow } from '../../api/schema'
import { copy } from '../../copy/more'
import { Button } from '../../ui/Button'
import { ErrorText } from '../../ui/Field'
import { toGrams } from '../../ui/format'

/** Over offers the ways out where too much went in: leave it, or let what is still to come follow. */
export function Over({ itemID, over }: { itemID: number; over: Overshoot }) {
  const params = { path: { id: itemID } }
  const leave = useWeighing((body: WeighedNow) => answer(api.POST('/api/plan/items/{id}/weighings', { params, body })))
  const follow = usePlanChange((key: string) =>
    answer(api.POST('/api/plan/items/{id}/rescale', { params, body: { key } })),
  )
  const problem = leave.error ?? follow.error
  return (
    <section
      aria-label={copy.cook.tooMuch}
      role="alert"
      className="grid gap-2 rounded-2xl bg-hibiscus-pale px-4 py-3 text-hibiscus-deep"
    >
      <p className="text-lg font-bold">{copy.cook.tooMuchTakeSomeOut(toGrams(over.overG), over.name)}</p>
      <div className="flex flex-wrap items-center gap-x-3 gap-y-1">
        <Button onClick={() => leave.mutate({ key: over.key, massG: over.usedG, taken: true })}>
          {copy.cook.keepIt}
        </Button>
        <span>{over.asItIs}</span>
      </div>
      {over.canRescale && (
        <div className="flex flex-wrap items-center gap-x-3 gap-y-1">
          <Button onClick={() => follow.mutate(over.key)}>{copy.cook.adjustTheRest}</Button>
          <span>{over.rescaled}</span>
        </div>
      )}
      <ErrorText id="over-error">{problem?.message}</ErrorText>
    </section>
  )
}
