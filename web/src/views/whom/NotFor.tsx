import type { ForWhom } from '../../api/schema'
import { copy } from '../../copy/more'
import { Notice } from '../../ui/Notice'

type Props = { whom: ForWhom[]; large?: boolean }

/** NotFor names whom a drink is not for, and why, wherever it is made or poured. */
export function NotFor({ whom, large }: Props) {
  const not = whom.filter((w) => w.not)
  if (not.length === 0) return null
  const words = not.map((w) => `${w.name} (${w.reasons.join(', ')})`).join('; ')
  if (!large) return <p className="text-fine text-hibiscus-deep">{copy.whom.notFor(words)}</p>
  return (
    <Notice>
      <b>{copy.whom.notForHeading}</b> {words}.
    </Notice>
  )
}
