import { useQuery } from '@tanstack/react-query'
import { BellRing } from 'lucide-react'
import { useState } from 'react'
import { answer, api, Refused } from '../../api/client'
import { useTimerChange } from '../../api/hooks'
import type { CoolingFigure, CoolingWay } from '../../api/schema'
import { Button } from '../../ui/Button'
import { Notice } from '../../ui/Notice'
import { NumberField } from '../../ui/NumberField'
import { Select } from '../../ui/Select'
import { Tray } from '../../ui/Tray'

const baths: { value: CoolingWay['bath']; label: string }[] = [
  { value: 'ice bath', label: 'an ice bath, stirred' },
  { value: 'cold water', label: 'cold water' },
  { value: 'air', label: 'the air' },
  { value: 'fridge', label: 'the fridge' },
]
const among = [1, 2, 3, 4, 6, 8].map((n) => ({ value: String(n), label: n === 1 ? 'one vessel' : `${n} vessels` }))

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
    <Tray label="Cooling" className="grid content-start gap-3">
      <h2 className="text-xl">Cooling</h2>
      <Select
        label="It stands in"
        value={way.bath}
        choices={baths}
        onChange={(bath) => change({ bath: bath as CoolingWay['bath'] })}
      />
      <Select
        label="divided among"
        value={String(way.vessels)}
        choices={among}
        onChange={(n) => change({ vessels: Number(n) })}
      />
      <div className="flex flex-wrap gap-3">
        <NumberField
          className="w-36"
          label="How deep"
          unit="cm"
          value={way.depthCM || undefined}
          onNumber={(depthCM) => change({ depthCM })}
          onEmpty={() => change({ depthCM: 0 })}
        />
        <NumberField
          className="grow basis-44"
          label="The thermometer says"
          unit="°C"
          hint="Measured, the rest is reckoned from it."
          value={way.nowC}
          least={-5}
          error={refused?.fields.nowC}
          onNumber={read}
          onEmpty={() => read()}
        />
      </div>
      {refused && !refused.fields.nowC && <Notice urgent>{refused.message}</Notice>}
      {cooling.data && !refused && <Said c={cooling.data} />}
      <div>
        <Button className="min-h-12" disabled={watch.isPending} onClick={() => watch.mutate(undefined)}>
          <BellRing size={20} aria-hidden /> Ring before it is too late
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
          <p className="mt-1 font-bold">What still helps, done now:</p>
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
