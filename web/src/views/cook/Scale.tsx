import { Scale as ScaleIcon } from 'lucide-react'
import { answer, api, Refused } from '../../api/client'
import { useScale, useScaleChange, useWeighing } from '../../api/hooks'
import type { ScaleNow } from '../../api/schema'
import { unlessTyping, useKeys } from '../../app/keys'
import { copy } from '../../copy'
import { Button } from '../../ui/Button'
import { classes } from '../../ui/classes'
import { ErrorText } from '../../ui/Field'
import { toFixed } from '../../ui/format'
import { Notice } from '../../ui/Notice'

const tare = () => answer(api.POST('/api/scale/tare'))

/** Scale is what lies on the scale, against what is to lie there. */
export function Scale({ itemID }: { itemID: number }) {
  const scale = useScale().data
  const connect = useScaleChange(() => answer(api.POST('/api/scale/connect', { body: { itemID } })))
  const disconnect = useScaleChange(() => answer(api.POST('/api/scale/disconnect')))
  const zero = useScaleChange(tare)
  const take = useWeighing(() => answer(api.POST('/api/scale/take')))
  const mine = scale?.connected && scale.itemID === itemID
  useKeys(mine ? { t: unlessTyping(() => zero.mutate(undefined)) } : {})
  if (!scale) return null
  const refused = [connect.error, zero.error, take.error].find((e) => e instanceof Refused)
  return (
    <div className="grid gap-3">
      {scale.note && <Notice urgent>{scale.note}</Notice>}
      {!mine && (
        <Button className="justify-self-start" onClick={() => connect.mutate(undefined)}>
          <ScaleIcon size={20} aria-hidden /> {scale.note ? copy.cook.reconnectTheScale : copy.cook.connectTheScale}
        </Button>
      )}
      {mine && (
        <>
          <Reading scale={scale} />
          <div className="flex flex-wrap gap-2">
            <Button onClick={() => zero.mutate(undefined)}>
              {copy.cook.tare}
              <span className="font-normal text-mute">T</span>
            </Button>
            {scale.key && (
              <Button disabled={scale.verdict === 'nothing'} onClick={() => take.mutate(undefined)}>
                {copy.cook.recordNow}
              </Button>
            )}
            <Button onClick={() => disconnect.mutate(undefined)}>{copy.cook.disconnect}</Button>
          </div>
        </>
      )}
      <ErrorText id="scale-error">{refused?.message}</ErrorText>
    </div>
  )
}

function Reading({ scale }: { scale: ScaleNow }) {
  return (
    <div>
      <p className="text-mute">{scale.key ? scale.amount : copy.cook.everythingForThisStepIs}</p>
      <p className="font-head text-figure-xl leading-none font-bold max-sm:text-figure-l">
        <output aria-label={copy.cook.onTheScale}>{toFixed(scale.massG, scale.decimals)}</output>{' '}
        <span className="text-3xl">{scale.unit}</span>
      </p>
      {scale.targetG > 0 && (
        <>
          <p className="mt-1 text-lg text-mute">
            {copy.cook.of(toFixed(scale.targetG, scale.decimals), scale.unit, goWords(scale))}
          </p>
          <div aria-hidden className="relative mt-2 h-6 overflow-hidden rounded-full bg-oat">
            <span
              className={classes(
                'absolute inset-y-0 left-0',
                scale.verdict === 'over' ? 'bg-hibiscus' : scale.verdict === 'within' ? 'bg-pandan' : 'bg-turmeric',
              )}
              style={{ width: `${scale.fillPct}%` }}
            />
            <span
              className="absolute inset-y-0 min-w-1 border-x-2 border-pandan bg-pandan/30"
              style={{ left: `${scale.lowPct}%`, width: `${scale.highPct - scale.lowPct}%` }}
            />
          </div>
        </>
      )}
    </div>
  )
}

function goWords(s: ScaleNow): string {
  if (s.verdict === 'within') return s.steady ? copy.cook.closeEnough : copy.cook.closeEnoughStillMoving
  if (s.toGoG < 0) return copy.cook.over(toFixed(-s.toGoG, s.decimals), s.unit)
  return copy.cook.scaleToGo(toFixed(s.toGoG, s.decimals), s.unit)
}
