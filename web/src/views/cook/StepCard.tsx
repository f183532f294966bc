import { SkipForward, Undo2 } from 'lucide-react'
import type { Front, ItemStep, PlanItem } from '../../api/schema'
import { copy } from '../../copy/more'
import { Button } from '../../ui/Button'
import { toDayAndClock, toGrams, toMinutes } from '../../ui/format'
import { Notice } from '../../ui/Notice'
import { Tray } from '../../ui/Tray'
import { AllDone } from './AllDone'
import { Amounts } from './Amounts'
import { Cooling } from './Cooling'
import { HaveOut } from './HaveOut'
import { ReadAloud } from './ReadAloud'
import { SetTimer } from './SetTimer'

type Props = {
  item: PlanItem
  front: Front
  onDone: () => void
  onSkip: () => void
  onUndo: () => void
  onBottle: () => void
}

/** StepCard is the step to do now, or the wait before it, with what goes in beside it. */
export function StepCard({ item, front, onDone, onSkip, onUndo, onBottle }: Props) {
  const step = front.step >= 0 ? item.steps[front.step] : undefined
  const bottles = step?.kind === 'bottle' && item.batchID === 0
  return (
    <div className="grid grow content-start gap-4 lg:grid-cols-[minmax(0,1fr)_minmax(0,27rem)]">
      <Tray label={copy.cook.currentStep} className="flex flex-col gap-4">
        <p role="status" className="sr-only">
          {step?.title}
        </p>
        <p className="text-xl text-mute">{copy.cook.stepOf(item.name, front.place, front.of)}</p>
        {front.wait && front.waitUntil && <Wait front={front} />}
        {step ? <Work step={step} /> : <AllDone item={item} onBottle={onBottle} />}
        {step && <ReadAloud key={front.step} step={step} />}
        {item.ready && front.place === 1 && <HaveOut ready={item.ready} />}
        {step && <SetTimer key={step.title} name={timerName(item, front, step)} seconds={front.waitS || step.timerS} />}
      </Tray>
      {front.cools && <Cooling id={item.id} />}
      {step && !front.cools && step.amounts.length > 0 && (
        <div>
          {front.amount >= 0 || step.amounts.some((a) => a.used || a.extra) ? (
            <Amounts key={step.title} item={item} step={step} front={front} />
          ) : (
            <GoesInWhole step={step} />
          )}
        </div>
      )}
      <div key={front.step} className="sticky bottom-0 flex flex-wrap gap-3 bg-linen py-3 lg:col-span-2">
        {step && (
          <Button primary className="min-h-16 grow text-2xl" onClick={bottles ? onBottle : onDone}>
            {bottles ? copy.cook.bottleButton : copy.cook.done}{' '}
            <span className="text-lg font-normal max-sm:hidden">{copy.cook.space}</span>
          </Button>
        )}
        {step && !step.never && (
          <Button className="min-h-16 text-xl max-sm:grow" onClick={onSkip}>
            <SkipForward size={24} aria-hidden />
            {copy.cook.skipStep}
          </Button>
        )}
        {front.undo >= 0 && (
          <Button className="min-h-16 text-xl max-sm:grow" onClick={onUndo}>
            <Undo2 size={24} aria-hidden />
            {copy.cook.undo}
          </Button>
        )}
      </div>
    </div>
  )
}

const timerName = (item: PlanItem, front: Front, step: ItemStep) => `${front.wait || step.title}, ${item.name}`

function Wait({ front }: { front: Front }) {
  return (
    <div className="rounded-2xl bg-water px-4 py-3 text-2xl night:text-night-linen">
      <p>
        <b>{front.wait}</b>
        {copy.cook.until(toDayAndClock(front.waitUntil ?? ''))}
      </p>
      {front.waitRight && <p className="text-lg">{front.waitRight}</p>}
      {front.waitCaution && <p className="text-lg font-bold">{front.waitCaution}</p>}
      <p className="text-lg">
        {front.tooEarly ? copy.cook.youStartedEarlierThanPlanned : copy.cook.thenComesTheStepBelow}
        {front.toFridge && copy.cook.inTheFridgeItCan}
      </p>
    </div>
  )
}

function Work({ step }: { step: ItemStep }) {
  return (
    <>
      <h1 className="text-figure leading-tight max-sm:text-title">{step.title}</h1>
      <p className="text-lg text-mute">{takes(step)}</p>
      {step.right && <p className="text-2xl">{step.right}</p>}
      {step.caution && <Notice>{step.caution}</Notice>}
      {step.never && <Notice>{step.never}.</Notice>}
    </>
  )
}

/** takes says how long the step has hands, what it occupies, and at how many degrees. */
const takes = (s: ItemStep) =>
  [
    copy.cook.handsOn(toMinutes(s.leastMinutes)),
    s.blender && copy.cook.usesTheBlender,
    s.tempC > 0 && copy.cook.atC(s.tempC),
  ]
    .filter(Boolean)
    .join(' · ')

/** GoesInWhole is what needs no weighing: it was weighed before, and all of it goes in. */
function GoesInWhole({ step }: { step: ItemStep }) {
  return (
    <Tray label={copy.cook.ingredients}>
      <h2 className="text-xl">{copy.cook.addEverything}</h2>
      <ul className="text-xl">
        {step.amounts.map((a) => (
          <li key={a.key} className="flex justify-between gap-3 border-t border-line py-2">
            <span>{a.name}</span>
            <span className="text-mute">{copy.cook.about(toGrams(a.massG))}</span>
          </li>
        ))}
      </ul>
    </Tray>
  )
}
