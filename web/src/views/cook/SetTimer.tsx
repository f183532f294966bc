import { Timer } from 'lucide-react'
import { answer, api } from '../../api/client'
import { useTimerChange } from '../../api/cooking'
import { NewTimer as limits } from '../../api/limits'
import { copy } from '../../copy/more'
import { Button } from '../../ui/Button'
import { ErrorText, Field } from '../../ui/Field'
import { useFields } from '../../ui/form'
import { toCountdown } from '../../ui/format'
import { numberOf } from '../../ui/limit'

type Props = { name: string; seconds: number }

/** SetTimer starts a timer for the step, at the time it takes or at one's own. */
export function SetTimer({ name, seconds }: Props) {
  const form = useFields(limits, { minutes: '' })
  const start = useTimerChange((minutes: number) => answer(api.POST('/api/timers', { body: { name, minutes } })))
  const send = form.submit(({ minutes }) => start.mutateAsync(numberOf(minutes, 'min') ?? 0).then(form.reset))
  return (
    <form onSubmit={send} className="flex flex-wrap items-end gap-3">
      {seconds > 0 && (
        <Button size="large" onClick={() => start.mutate(seconds / 60)}>
          <Timer size={22} aria-hidden />
          {copy.cook.timer(toCountdown(seconds))}
        </Button>
      )}
      <Field
        className="w-48"
        label={copy.cook.yourOwnTime}
        {...form.field('minutes', { unit: 'min', says: copy.cook.minutesWork })}
      />
      <Button size="large" type="submit">
        {copy.cook.start}
      </Button>
      <ErrorText id="timer-error">{form.refusal}</ErrorText>
    </form>
  )
}
