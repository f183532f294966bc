import { copy } from '../../../copy/more'
import { Sheet } from '../../../ui/Dialog'
import { CompareTwo } from '../../compare/CompareTwo'
import type { BenchDraft } from '../useDraft'

/** CompareSheet puts the drink beside its last version, or any two drinks, versions or batches side by side. */
export function CompareSheet({ bench, onClose }: { bench: BenchDraft; onClose: () => void }) {
  const { id, versions } = bench.kept
  const last = versions.reduce((most, v) => Math.max(most, v.number), 0)
  return (
    <Sheet title={copy.bench.compare} intro={copy.bench.per100MlBiggestDifferences} onClose={onClose}>
      <CompareTwo
        first={{ drinkID: id, of: 'now' }}
        second={{ drinkID: id, of: last > 0 ? `v${last}` : 'now' }}
        before={() => bench.saver.settle()}
        changed={{ recipe: bench.draft.recipe, saved: bench.state.is }}
      />
    </Sheet>
  )
}
