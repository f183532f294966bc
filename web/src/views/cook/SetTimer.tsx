import { Timer } from 'lucide-react'
import { useState } from 'react'
import { answer, api } from '../../api/client'
import { useTimerChange } from '../../api/hooks'
import { Button } from '../../ui/Button'
import { Field } from '../../ui/Field'
import { toCountdown } from '../../ui/format'
import { asMeasure } from '../../ui/number'

type Props = { name: string; seconds: number }

/** SetTimer starts a timer for the step, at the time it takes or at one's own. */
export function SetTimer({ name, seconds }: Props) {
  const [typed, setTyped] = useState('')
  const start = useTimerChange((minutes: number) => answer(api.POST('/api/timers', { body: { name, minutes } })))
  const minutes = asMeasure(typed, 'min')
  const wrong = typed.trim() !== '' && !(minutes > 0)
  return (
    <div className="flex flex-wrap items-end gap-3">
      {seconds > 0 && (
        <Button className="min-h-12 text-lg" onClick={() => start.mutate(seconds / 60)}>
          <Timer size={22} aria-hidden /> Timer for {toCountdown(seconds)}
        </Button>
      )}
      <Field
        className="w-48"
        label="Own time"
        unit="min"
        inputMode="decimal"
        autoComplete="off"
        value={typed}
        error={wrong ? 'Enter minutes above 0.' : start.error?.message}
        onChange={(e) => setTyped(e.target.value)}
      />
      <Button
        className="min-h-12"
        disabled={!(minutes > 0)}
        onClick={() => start.mutate(minutes, { onSuccess: () => setTyped('') })}
      >
        Start
      </Button>
    </div>
  )
}
