import { Undo2 } from 'lucide-react'
import { Link } from 'wouter'
import type { Front, PlanItem, PlanStep } from '../../api/schema'
import { Button } from '../../ui/Button'
import { toDayAndClock, toGrams } from '../../ui/format'
import { Notice } from '../../ui/Notice'
import { Tray } from '../../ui/Tray'
import { SetTimer } from './SetTimer'

type Props = { item: PlanItem; front: Front; onDone: () => void; onUndo: () => void }

/** StepCard is the step to do now, or the wait before it, and what it is done with. */
export function StepCard({ item, front, onDone, onUndo }: Props) {
  const step = front.step >= 0 ? item.steps[front.step] : undefined
  return (
    <Tray label="The step now" className="flex grow flex-col gap-4">
      <p className="text-xl text-mute">
        {item.name} · step {front.place} of {front.of}
      </p>
      {front.wait && front.waitUntil && (
        <div className="rounded-2xl bg-water px-4 py-3 text-2xl">
          <p>
            <b>{front.wait}</b> until {toDayAndClock(front.waitUntil)}.
          </p>
          <p className="text-lg">
            {front.tooEarly
              ? 'It was begun earlier than planned, and should not wait longer than that. Do what is below by then, or have the drink ready sooner.'
              : 'Then comes what is below. It can be done sooner or later; the plan follows.'}
            {front.toFridge && ' In the fridge it may soak three times as long, and never past three days.'}
          </p>
        </div>
      )}
      {step ? <Work step={step} /> : <AllDone item={item} />}
      {step && <SetTimer key={step.title} name={timerName(item, front, step)} seconds={front.waitS || step.timerS} />}
      <div className="sticky bottom-0 mt-auto flex flex-wrap gap-3 bg-enamel py-2">
        {step && (
          <Button primary className="min-h-16 grow text-2xl" onClick={onDone}>
            Done
          </Button>
        )}
        {front.undo >= 0 && (
          <Button className="min-h-16 text-xl max-sm:grow" onClick={onUndo}>
            <Undo2 size={24} aria-hidden /> Not done after all
          </Button>
        )}
      </div>
    </Tray>
  )
}

const timerName = (item: PlanItem, front: Front, step: PlanStep) => `${front.wait || step.title}, ${item.name}`

function Work({ step }: { step: PlanStep }) {
  return (
    <>
      <h1 className="text-[44px] leading-tight max-sm:text-[32px]">{step.title}</h1>
      {step.amounts.length > 0 && (
        <ul className="text-2xl">
          {step.amounts.map((a) => (
            <li key={a.name} className="flex justify-between gap-4 border-t border-line py-1.5">
              <span>{a.name}</span>
              <span className="text-right">
                <b>{a.text}</b> <span className="whitespace-nowrap text-mute">{toGrams(a.massG)}</span>
                {a.loadG > 0 && (
                  <span className="text-lg whitespace-nowrap max-sm:block sm:ml-5 sm:inline-block sm:w-48">
                    {toGrams(a.loadG)} in each load
                  </span>
                )}
              </span>
            </li>
          ))}
        </ul>
      )}
      {step.right && <p className="text-2xl">{step.right}</p>}
      {step.caution && <Notice>{step.caution}</Notice>}
    </>
  )
}

function AllDone({ item }: { item: PlanItem }) {
  return (
    <>
      <h1 className="text-[44px] leading-tight max-sm:text-[32px]">All of it is done</h1>
      <p className="text-2xl">
        Say what came out and where it stands:{' '}
        <Link href={`/bench/${item.drinkID}`} className="font-bold text-rim underline">
          Bottle {item.name}
        </Link>
      </p>
    </>
  )
}
