import type { Reckoning } from '../../api/schema'
import { copy } from '../../copy'
import { inWords } from '../../ui/format'

/** Lacking says which lines the figures beside it do not count. */
export function Lacking({ r }: { r?: Pick<Reckoning, 'missing'> }) {
  if (!r || r.missing.length === 0) return null
  return <p className="text-note font-bold text-hibiscus-deep">{copy.bench.notCounted(inWords(r.missing))}</p>
}
