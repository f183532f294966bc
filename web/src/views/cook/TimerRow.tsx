import { Pause, Play, X } from 'lucide-react'
import { useEffect, useState } from 'react'
import { answer, api } from '../../api/client'
import { useTimerChange, useTimers } from '../../api/cooking'
import type { Timer } from '../../api/schema'
import { unlessTyping, useKeys } from '../../app/keys'
import { useAsking } from '../../app/notify'
import { copy } from '../../copy/more'
import { Button, IconButton } from '../../ui/Button'
import { toCountdown } from '../../ui/format'

/** useTick is how many seconds went by since the timers were last heard of. */
function useTick(heard: number): number {
  const [now, setNow] = useState(heard)
  useEffect(() => {
    const tick = setInterval(() => setNow(Date.now()), 250)
    return () => clearInterval(tick)
  }, [])
  return Math.max(0, Math.floor((now - heard) / 1000))
}

/** TimerRow has every timer that runs or is held, numbered for the keys. */
export function TimerRow() {
  const timers = useTimers()
  const gone = useTick(timers.dataUpdatedAt)
  const hold = useTimerChange((id: number) => answer(api.POST('/api/timers/{id}/hold', { params: { path: { id } } })))
  const stop = useTimerChange((id: number) => answer(api.DELETE('/api/timers/{id}', { params: { path: { id } } })))
  const all = timers.data?.timers ?? []
  const { canAsk, ask } = useAsking()
  const turn = (t?: Timer) => t && (t.state === 'rings' ? stop : hold).mutate(t.id)
  useKeys({
    '([1-9])': unlessTyping((e) => turn(all[Number(e.key) - 1])),
    p: unlessTyping(() => turn(all.filter((t) => t.state !== 'rings').at(-1))),
  })
  return (
    <div className="flex flex-wrap items-center gap-2">
      <ul aria-label={copy.cook.timers} className="flex flex-wrap gap-2">
        {all.map((t, n) => (
          <li
            key={t.id}
            className="flex min-h-12 items-center gap-2 rounded-full border-2 border-rim bg-enamel pr-1 pl-4 text-lg"
          >
            <span className="text-mute">{n + 1}</span>
            <span className="max-w-44 truncate" title={t.name}>
              {t.name}
            </span>
            <b className="tabular-nums">{saysOf(t, gone)}</b>
            {t.state !== 'rings' && (
              <IconButton
                label={`${t.state === 'held' ? copy.cook.resume : copy.cook.pause} ${t.name}`}
                onClick={() => hold.mutate(t.id)}
              >
                {t.state === 'held' ? <Play size={20} aria-hidden /> : <Pause size={20} aria-hidden />}
              </IconButton>
            )}
            <IconButton label={copy.cook.stop(t.name)} onClick={() => stop.mutate(t.id)}>
              <X size={20} aria-hidden />
            </IconButton>
          </li>
        ))}
      </ul>
      {all.length > 0 && canAsk && (
        <Button size="small" onClick={ask}>
          {copy.app.notifyMe}
        </Button>
      )}
    </div>
  )
}

function saysOf(t: Timer, goneS: number): string {
  if (t.state === 'rings') return copy.cook.overBy(toCountdown(t.overS))
  if (t.state === 'held') return copy.cook.paused(toCountdown(t.leftS))
  return toCountdown(Math.max(0, t.leftS - goneS))
}
