import { answer, api, Refused } from '../../api/client'
import { useScale, useScaleChange, useWeighing } from '../../api/cooking'
import type { ScaleNow } from '../../api/schema'
import { unlessTyping, useKeys } from '../../app/keys'
import { copy } from '../../copy/more'
import { Button } from '../../ui/Button'
import { classes } from '../../ui/classes'
import { ErrorText } from '../../ui/Field'
import { toFixed } from '../../ui/format'
import { Notice } from '../../ui/Notice'
import { ConnectScale } from './ConnectScale'
import { useBackAgain, useIsSilent } from './useBackAgain'

/** Scale is what lies on the scale, against what is to lie there; or how to connect one. What is not heard of any more is not shown. */
export function Scale({ itemID }: { itemID: number }) {
  const { data: scale, dataUpdatedAt } = useScale()
  const connect = useScaleChange((own: boolean) => answer(api.POST('/api/scale/connect', { body: { itemID, own } })))
  const back = useBackAgain(scale, itemID, connect.mutate)
  const mine = scale?.connected === true && scale.itemID === itemID
  const silent = useIsSilent(dataUpdatedAt, mine)
  if (!scale) return null
  return (
    <div className="grid gap-3">
      {scale.note && <Notice urgent>{scale.note}</Notice>}
      {back.again && mine && (
        <Notice urgent>
          {copy.cook.scaleBackAgain} <Button onClick={back.forget}>{copy.cook.gotIt}</Button>
        </Notice>
      )}
      {!mine && <ConnectScale scale={scale} onConnect={connect.mutate} />}
      {silent && <Notice urgent>{copy.cook.scaleIsSilent}</Notice>}
      {mine && scale.waits && !silent && <Notice>{copy.cook.scaleIsWaitedFor}</Notice>}
      {mine && !silent && <Live scale={scale} />}
      <ErrorText id="scale-error">{connect.error instanceof Refused ? connect.error.message : undefined}</ErrorText>
    </div>
  )
}

/** Live is a scale that is heard, with what can be done with it. */
function Live({ scale }: { scale: ScaleNow }) {
  const disconnect = useScaleChange(() => answer(api.POST('/api/scale/disconnect')))
  const zero = useScaleChange(() => answer(api.POST('/api/scale/tare')))
  const take = useWeighing(() => answer(api.POST('/api/scale/take')))
  useKeys({ t: unlessTyping(() => zero.mutate(undefined)) })
  const refused = [zero.error, take.error].find((e) => e instanceof Refused)
  return (
    <>
      {!scale.waits && <Reading scale={scale} />}
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
      <ErrorText id="scale-act-error">{refused?.message}</ErrorText>
    </>
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
