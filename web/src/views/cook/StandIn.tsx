import { useMutation } from '@tanstack/react-query'
import { Plug, Unplug } from 'lucide-react'
import { useState } from 'react'
import { answer, api } from '../../api/client'
import type { Drive } from '../../api/schema'
import { copy } from '../../copy/more'
import { Button } from '../../ui/Button'
import { asMeasure } from '../../ui/number'

/** StandIn pours onto the scale that is not there. */
export function StandIn({ toGoG }: { toGoG: number }) {
  const drive = useMutation({ mutationFn: (body: Drive) => answer(api.POST('/api/scale/stand-in', { body })) })
  const [typed, setTyped] = useState('50')
  const grams = asMeasure(typed, 'g')
  return (
    <details className="rounded-2xl bg-linen px-4 py-2 text-note">
      <summary className="min-h-8 cursor-pointer font-bold">{copy.cook.practiceScalePourOnScreen}</summary>
      <div className="flex flex-wrap items-center gap-2 py-2">
        {toGoG > 0 && <Button onClick={() => drive.mutate({ pourG: toGoG })}>{copy.cook.pourWhatIsMissing}</Button>}
        <label className="flex min-h-11 items-center gap-2 rounded-full border-2 border-rim bg-enamel px-4">
          <span className="sr-only">{copy.cook.gramsToPour}</span>
          <input
            className="w-16 bg-transparent outline-none"
            inputMode="decimal"
            value={typed}
            onChange={(e) => setTyped(e.target.value)}
          />
          g
        </label>
        <Button disabled={!(Math.abs(grams) > 0)} onClick={() => drive.mutate({ pourG: grams })}>
          {copy.cook.pour}
        </Button>
        <Button onClick={() => drive.mutate({ unplug: true })}>
          <Unplug size={18} aria-hidden />
          {copy.cook.unplug}
        </Button>
        <Button onClick={() => drive.mutate({ plug: true })}>
          <Plug size={18} aria-hidden />
          {copy.cook.plugIn}
        </Button>
      </div>
    </details>
  )
}
