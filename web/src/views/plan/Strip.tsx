import { DndContext, PointerSensor, useSensor, useSensors } from '@dnd-kit/core'
import type { ItemStep, Plan, PlanItem } from '../../api/schema'
import { copy } from '../../copy/more'
import { classes } from '../../ui/classes'
import { hoursFromMidnight, inWords, toClock, toMillilitres, toWeekday } from '../../ui/format'
import { quietly } from '../../ui/quietly'
import { Tray } from '../../ui/Tray'
import { NotFor } from '../whom/NotFor'
import { BlockMark } from './BlockMark'
import { ReadyMark } from './ReadyMark'

type Props = { plan: Plan; onTry: (plan?: Plan) => void; onProblem: (problem?: string) => void }

/** Scale turns moments into places on the strip, in per cent of its width. */
export type Scale = { from: number; to: number; at: (iso: string | Date) => number }

const scaleOf = (plan: Plan): Scale => {
  const from = new Date(plan.from).getTime() - 30 * 60_000
  const to = new Date(plan.to).getTime()
  return { from, to, at: (iso) => ((new Date(iso).getTime() - from) / (to - from)) * 100 }
}

/** Strip is the days from left to right, a lane for each drink and one for the blender. */
export function Strip({ plan, onTry, onProblem }: Props) {
  const scale = scaleOf(plan)
  const sensors = useSensors(useSensor(PointerSensor))
  return (
    <DndContext sensors={sensors} autoScroll={false} accessibility={quietly}>
      <Tray label={copy.plan.timetable} className="overflow-x-auto">
        <div className="min-w-[44rem]">
          <div className="relative ml-40">
            <Ticks scale={scale} />
          </div>
          <ul className="relative">
            {plan.items.map((item) => (
              <li key={item.id} className="flex min-h-20 items-stretch border-t border-line">
                <div className="w-40 shrink-0 py-2 pr-2">
                  <p className="font-bold leading-tight">{item.name}</p>
                  <p className="text-fine text-mute">
                    {toMillilitres(item.ml)}
                    {item.fridge && copy.plan.soaksInTheFridge}
                    {item.made && copy.plan.made}
                  </p>
                  {item.missing.length > 0 && (
                    <p className="text-fine font-bold text-hibiscus-deep">
                      {copy.plan.notCounted(inWords(item.missing))}
                    </p>
                  )}
                  <NotFor whom={item.forWhom} />
                  {item.trouble && <p className="text-fine font-bold text-hibiscus-deep">{item.trouble}</p>}
                </div>
                <div className="relative grow">
                  <Shades plan={plan} scale={scale} />
                  <Lane item={item} scale={scale} />
                  {item.blocks.map(
                    (b, n) =>
                      !b.begun && (
                        <BlockMark
                          key={b.words}
                          item={item}
                          scale={scale}
                          block={b}
                          n={n}
                          onTry={onTry}
                          onProblem={onProblem}
                        />
                      ),
                  )}
                  <ReadyMark item={item} scale={scale} onTry={onTry} onProblem={onProblem} />
                </div>
              </li>
            ))}
            <li className="flex min-h-12 items-stretch border-t border-line">
              <p className="w-40 shrink-0 py-2 font-bold">{copy.plan.blender}</p>
              <div className="relative grow">
                <Shades plan={plan} scale={scale} />
                {plan.blender.map((b) => (
                  <span
                    key={b.from + b.words}
                    title={`${b.words}, ${toClock(b.from)}`}
                    className="absolute top-2.5 h-7 min-w-2 rounded-full bg-mute"
                    style={{ left: `${scale.at(b.from)}%`, width: `${scale.at(b.to) - scale.at(b.from)}%` }}
                  />
                ))}
              </div>
            </li>
          </ul>
        </div>
      </Tray>
    </DndContext>
  )
}

const hour = 3_600_000

/** Ticks are the hours above the strip, and the day where it begins. */
function Ticks({ scale }: { scale: Scale }) {
  const every = [2, 3, 4, 6, 12, 24].find((h) => (scale.to - scale.from) / (h * hour) <= 14) ?? 24
  const into = hoursFromMidnight(new Date(scale.from))
  const first = scale.from + (Math.ceil((into + 0.01) / every) * every - into) * hour
  const ticks: Date[] = []
  for (let t = first; t < scale.to; t += every * hour) ticks.push(new Date(t))
  return (
    <div className="relative h-11 text-fine text-mute">
      {ticks.map((t, n) => (
        <span key={t.getTime()} className="absolute bottom-0 -translate-x-1/2" style={{ left: `${scale.at(t)}%` }}>
          {(n === 0 || hoursFromMidnight(t) < every) && (
            <b className="block whitespace-nowrap text-rim">{toWeekday(t)}</b>
          )}
          {toClock(t)}
        </span>
      ))}
    </div>
  )
}

function Shades({ plan, scale }: { plan: Plan; scale: Scale }) {
  return (
    <>
      {plan.quiet.map((q) => (
        <span
          key={q.from}
          aria-hidden
          className="absolute inset-y-0 bg-line opacity-70"
          style={{ left: `${scale.at(q.from)}%`, width: `${scale.at(q.to) - scale.at(q.from)}%` }}
        />
      ))}
      {scale.at(plan.now) >= 0 && (
        <span aria-hidden className="absolute inset-y-0 w-0.5 bg-turmeric" style={{ left: `${scale.at(plan.now)}%` }} />
      )}
    </>
  )
}

/** Lane is a drink's steps: waits as soft bars with a firm core, work as solid blocks. */
function Lane({ item, scale }: { item: PlanItem; scale: Scale }) {
  return (
    <>
      {item.steps.map((s) => (
        <span key={s.start + s.kind} title={titleOf(s)}>
          {!s.handsOn && s.kind !== 'chill' && (
            <span
              className="absolute top-7 h-9 rounded-full bg-water"
              style={{ left: `${scale.at(s.start)}%`, width: `${scale.at(later(s)) - scale.at(s.start)}%` }}
            />
          )}
          <span
            className={classes(
              'absolute top-7 flex h-9 items-center overflow-hidden rounded-full text-fine font-bold whitespace-nowrap',
              s.handsOn ? 'min-w-2.5' : 'px-3',
              colourOf(s),
            )}
            style={{ left: `${scale.at(s.start)}%`, width: `${scale.at(s.end) - scale.at(s.start)}%` }}
          >
            {!s.handsOn && wordOf(s)}
          </span>
        </span>
      ))}
    </>
  )
}

const later = (s: ItemStep) => (s.most > s.end ? s.most : s.end)

const titleOf = (s: ItemStep) => copy.plan.to(s.title, toClock(s.start), toClock(s.end))

const wordOf = (s: ItemStep) => (s.kind === 'soak' ? (s.fridge ? copy.plan.soakInTheFridge : copy.plan.soak) : s.kind)

function colourOf(s: ItemStep): string {
  if (s.handsOn) return s.doneAt ? 'bg-pandan' : 'bg-rim'
  if (s.kind === 'chill') return 'bg-pandan-pale text-ink'
  return 'bg-water-deep text-day-ink'
}
