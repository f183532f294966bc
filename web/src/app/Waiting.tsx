import { WifiOff } from 'lucide-react'
import { dismissRefused, useOutbox } from '../api/outbox'
import { useReached } from '../api/reached'
import { copy } from '../copy'
import { Button } from '../ui/Button'
import { toClock } from '../ui/format'

/** Waiting says that the kitchen is not reached, and what waits to be sent to it. */
export function Waiting() {
  const { marks, refused } = useOutbox()
  const isCut = !useReached()
  if (marks.length === 0 && !refused && !isCut) return null
  return (
    <section
      aria-label={copy.app.notConnected}
      className="my-2 rounded-tray border-2 border-rim bg-oat px-5 py-2 text-day-ink print:hidden"
    >
      <div role="status" className="flex flex-wrap items-center gap-x-3">
        <WifiOff size={20} aria-hidden />
        {isCut && (
          <p>
            <b>{copy.app.notConnected}</b> {copy.app.lastKnown}
          </p>
        )}
        {marks.length > 0 && (
          <p>
            {copy.app.waiting(marks.length)} {marks.map((m) => `${m.words} ${toClock(new Date(m.at))}`).join(' ')}
          </p>
        )}
        {refused && (
          <p className="flex items-center gap-2 font-bold">
            {refused}
            <Button size="small" onClick={dismissRefused}>
              {copy.app.dismiss}
            </Button>
          </p>
        )}
      </div>
    </section>
  )
}
