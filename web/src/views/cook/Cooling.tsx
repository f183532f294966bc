import { useQuery } from '@tanstack/react-query'
import { BellRing } from 'lucide-react'
import { useState } from 'react'
import { answer, api, Refused } from '../../api/client'
import { useTimerChange } from '../../api/cooking'
import type { CoolingFigure, CoolingWay } from '../../api/schema'
import { copy } from '../../copy/more'
import { Button } from '../../ui/Button'
import { Notice } from '../../ui/Notice'
import { NumberField } from '../../ui/NumberField'
import { Select } from '../../ui/Select'
import { Tray } from '../../ui/Tray'

const baths: { value: CoolingWay['bath']; label: string }[] = [
  { value: 'ice bath', label: copy.cook.anIceBathStirred },
  { value: 'cold water', label: copy.cook.coldWater },
  { value: 'air', label: copy.cook.theOpenAir },
  { value: 'fridge', label: copy.cook.theFridge },
]
const among = [1, 2, 3, 4, 6, 8].map((n) => ({
  value: String(n),
  label: copy.cook.containers(n),
}))

const everyMinute = 60_000

/** Cooling says whether a cooked drink comes down in time the way it stands, and rings before it is too late. */
export function Cooling({ id }: { id: number }) {
  const [way, setWay] = useState<CoolingWay>({ bath: 'ice bath', vessels: 1, depthCM: 0 })
  const [readAt, setReadAt] = useState(0)
  const change = (part: Partial<CoolingWay>) => setWay({ ...way, ...part })
  const read = (nowC?: number) => {
    setReadAt(Date.now())
    change({ nowC })
  }
  // Asked again later, the reading is still of when it was typed.
  const body = () => (way.nowC === undefined ? way : { ...way, agoS: (Date.now() - readAt) / 1000 })
  const params = { path: { id } }
  const cooling = useQuery({
    queryKey: ['cooling', id, way],
    queryFn: () => answer(api.POST('/api/plan/items/{id}/cooling', { params, body: body() })),
    refetchInterval: everyMinute,
    placeholderData: (before) => before,
    retry: false,
  })
  const watch = useTimerChange(() => answer(api.POST('/api/plan/items/{id}/cooling/watch', { params, body: body() })))
  const refused = cooling.error instanceof Refused ? cooling.error : undefined
  return (
    <Tray label={copy.cook.cooling} className="grid content-start gap-3">
      <h2 className="text-xl">{copy.cook.cooling}</h2>
      <Select
        label={copy.cook.coolingIn}
        value={way.bath}
        choices={baths}
        onChange={(bath) => change({ bath: bath as CoolingWay['bath'] })}
      />
      <Select
        label={copy.cook.dividedAmong}
        value={String(way.vessels)}
        choices={among}
        onChange={(n) => change({ vessels: Number(n) })}
      />
      <div className="flex flex-wrap gap-3">
        <NumberField
          className="w-36"
          label={copy.cook.depth}
          unit="cm"
          value={way.depthCM || undefined}
          onNumber={(depthCM) => change({ depthCM })}
          onEmpty={() => change({ depthCM: 0 })}
        />
        <NumberField
          className="grow basis-44"
          label={copy.cook.thermometerReading}
          unit="°C"
          hint={copy.cook.enterAReadingForA}
          value={way.nowC}
          limit={{ minimum: -5, maximum: 110 }}
          error={refused?.fields.nowC}
          onNumber={read}
          onEmpty={() => read()}
        />
      </div>
      {refused && !refused.fields.nowC && <Notice urgent>{refused.message}</Notice>}
      {cooling.data && !refused && <Said c={cooling.data} />}
      <div>
        <Button size="large" disabled={watch.isPending} onClick={() => watch.mutate(undefined)}>
          <BellRing size={20} aria-hidden />
          {copy.cook.alertMeInTime}
        </Button>
      </div>
      {watch.error && <Notice urgent>{watch.error.message}</Notice>}
    </Tray>
  )
}

function Said({ c }: { c: CoolingFigure }) {
  if (c.inTime) return <p className="text-lg">{c.words}</p>
  return (
    <Notice urgent>
      <p>{c.words}</p>
      {c.helps.length > 0 && (
        <>
          <p className="mt-1 font-bold">{copy.cook.whatStillHelps}</p>
          <ul className="list-disc pl-5">
            {c.helps.map((h) => (
              <li key={h}>{h}</li>
            ))}
          </ul>
        </>
      )}
    </Notice>
  )
}
