import type { ItemStep, Plan } from '../../api/schema'
import { copy } from '../../copy/more'
import { toClock, toWeekday } from '../../ui/format'
import { Tray } from '../../ui/Tray'

type Entry = { drink: string; step: ItemStep }

/** agendaOf are the steps that need hands, and when each drink is ready, in the order of the clock, by the day. */
export function agendaOf(plan: Plan): { day: string; entries: Entry[] }[] {
  const all = plan.items.flatMap((item) =>
    item.steps.filter((s) => s.handsOn && !s.doneAt).map((step) => ({ drink: item.name, step })),
  )
  all.sort((a, b) => Date.parse(a.step.start) - Date.parse(b.step.start))
  const days: { day: string; entries: Entry[] }[] = []
  for (const entry of all) {
    const day = toWeekday(entry.step.start)
    const last = days.at(-1)
    if (last?.day === day) last.entries.push(entry)
    else days.push({ day, entries: [entry] })
  }
  return days
}

/** Agenda is the plan as a list, day by day and by the hour. */
export function Agenda({ plan, className }: { plan: Plan; className: string }) {
  return (
    <Tray label={copy.plan.agenda} className={className}>
      {agendaOf(plan).map(({ day, entries }) => (
        <section key={`${day}-${entries[0]?.step.start}`}>
          <h2 className="!font-text text-rim">{day}</h2>
          <ul>
            {entries.map(({ drink, step }) => (
              <li key={`${drink}-${step.start}-${step.kind}`} className="flex gap-3 border-t border-line py-1.5">
                <b className="w-12 shrink-0 tabular-nums">{toClock(step.start)}</b>
                <span>
                  <span className="font-bold leading-tight">{step.title}</span>
                  <span className="block text-fine text-mute">{drink}</span>
                </span>
              </li>
            ))}
          </ul>
        </section>
      ))}
    </Tray>
  )
}
