import { Keyboard, Settings2 } from 'lucide-react'
import { Link, useLocation } from 'wouter'
import { usePlan } from '../api/hooks'
import { copy } from '../copy'
import { IconButton } from '../ui/Button'
import { classes } from '../ui/classes'
import { toDayAndClock } from '../ui/format'
import { Mark } from '../ui/Mark'

const views = [
  { name: copy.app.bench, to: '/', owns: (at: string) => at === '/' || at.startsWith('/bench') },
  { name: copy.app.plan, to: '/plan', owns: (at: string) => at.startsWith('/plan') },
  { name: copy.app.cook, to: '/cook', owns: (at: string) => at.startsWith('/cook') },
  { name: copy.app.shelf, to: '/shelf', owns: (at: string) => at.startsWith('/shelf') },
  { name: copy.app.notes, to: '/notes', owns: (at: string) => at.startsWith('/notes') },
  { name: copy.app.pantry, to: '/pantry', owns: (at: string) => at.startsWith('/pantry') },
]

/** Header has the mark, the views, and the kitchen's own ways. */
export function Header({ onShowKeys }: { onShowKeys: () => void }) {
  const [at] = useLocation()
  return (
    <header className="print:hidden flex flex-wrap items-center gap-x-6 gap-y-1 py-2.5 max-sm:gap-x-2">
      <Link href="/" className="flex items-center gap-2.5 font-head text-heading font-bold max-sm:text-lg">
        <Mark />
        <span className="max-[430px]:sr-only">{copy.app.plushLadle}</span>
      </Link>
      <nav
        aria-label={copy.app.views}
        className="flex gap-1 max-sm:fixed max-sm:inset-x-0 max-sm:bottom-0 max-sm:z-30 max-sm:justify-around max-sm:gap-0 max-sm:border-t-2 max-sm:border-rim max-sm:bg-enamel max-sm:px-1 max-sm:pb-[env(safe-area-inset-bottom)]"
      >
        {views.map((v) => (
          <Link
            key={v.name}
            href={v.to}
            aria-current={v.owns(at) ? 'page' : undefined}
            className={classes(
              'flex min-h-9 items-center rounded-full px-4 font-bold max-sm:min-h-12 max-sm:px-2 max-[389px]:px-1 max-[389px]:text-note',
              v.owns(at) ? 'bg-rim text-on-rim' : 'text-mute hover:text-ink',
            )}
          >
            {v.name}
          </Link>
        ))}
      </nav>
      <NextUp />
      <div className="ml-auto flex">
        <IconButton label={copy.app.keyboardShortcuts} onClick={onShowKeys} className="max-sm:hidden">
          <Keyboard size={20} aria-hidden />
        </IconButton>
        <Link
          href="/settings"
          aria-current={at === '/settings' ? 'page' : undefined}
          className="eased flex min-h-9 items-center gap-2 rounded-full px-3 font-bold text-mute hover:text-ink max-sm:min-h-11"
        >
          <Settings2 size={20} aria-hidden />
          <span className="max-sm:sr-only">{copy.app.settings}</span>
        </Link>
      </div>
    </header>
  )
}

/** NextUp says in every view what needs hands next. */
function NextUp() {
  const plan = usePlan().data
  const next = plan?.next[0]
  if (!next) return null
  return (
    <Link
      href="/plan"
      className="flex min-h-9 items-center gap-2 rounded-full bg-oat sm:w-0 sm:max-w-fit sm:min-w-40 sm:grow px-4 text-note font-bold text-day-ink max-sm:order-last max-sm:min-h-11 max-sm:w-full"
    >
      <span
        aria-hidden
        className={classes('size-2.5 shrink-0 rounded-full', next.late ? 'bg-hibiscus' : 'bg-turmeric')}
      />
      <span className="truncate">
        {next.late ? copy.app.overdue : ''}
        {next.title}
      </span>
      <span className="whitespace-nowrap">{toDayAndClock(next.at)}</span>
      {plan.moreToday > 0 && (
        <span className="font-normal whitespace-nowrap">{copy.app.moreToday(plan.moreToday)}</span>
      )}
    </Link>
  )
}
