import { ChevronDown } from 'lucide-react'
import { memo, useState } from 'react'
import type { Dial } from '../../api/schema'
import { copy } from '../../copy'
import { classes } from '../../ui/classes'
import { toTenth } from '../../ui/format'
import { Late, late } from '../../ui/late'
import { Menu, MenuCheck, MenuHead } from '../../ui/Menu'
import { type DialName, type Turnable, useTurn } from './useTurn'
import { WorkingButton } from './WorkingButton'
import type { Figure } from './WorkingDialog'

const useMarker = late(() => import('./DialMarker'))

/** Pigments of each dial's bands, from faint to full. */
const pigments: Record<string, string> = {
  sweetness: 'var(--color-turmeric)',
  fat: '#b9962f',
  strength: 'var(--color-nutmeg)',
  spice: 'var(--color-hibiscus)',
}

/** What is added where no line of its kind is there yet. */
const starts: Record<string, string> = { sweetness: 'white sugar', fat: 'refined coconut oil' }

/** figureOf is a dial's figure as it is written. */
export const figureOf = (d: Dial) => {
  if (!d.known) return 'none'
  if (d.code === 'strength') return `1 : ${toTenth(d.value)}`
  return toTenth(d.value)
}

/** How finely a dial can be set. */
export const steps = 1000

type RowProps = { d: Dial; bench: Turnable; onWorking: (figure: Figure) => void }

/** Dials whose working can be shown. */
const workings: Record<string, Figure> = { sweetness: 'sweetness', fat: 'fat' }

/** DialRow is a dial: its figure, its scale, and a marker to drag or to move with the arrow keys. */
export const DialRow = memo(function DialRow({ d, bench, onWorking }: RowProps) {
  const [give, setGive] = useState('')
  const giver = d.givers.some((g) => g.key === give) ? give : ''
  const turn = useTurn(bench, d.code as DialName, giver)
  const [held, setHeld] = useState<number>()
  const settable = d.givers.length > 0 || d.code in starts
  const at = held ?? Math.round((d.known ? d.position : 0) * steps)
  const words = d.known ? `${figureOf(d)} ${d.unit}, ${d.band}` : 'none'
  const turnTo = (to: number) => {
    setHeld(to)
    turn.ask(to / steps)
  }
  const letGo = () => {
    setHeld(undefined)
    turn.settle()
  }
  const scale = { d, at, settable }
  return (
    <div>
      <div className="flex items-baseline justify-between gap-2">
        <h3 className="text-lead">{d.name}</h3>
        <GivenBy d={d} give={giver} onGive={setGive} />
        <p className="ml-auto whitespace-nowrap">
          <WorkingButton figure={d.known ? workings[d.code] : undefined} of={d.name} onWorking={onWorking}>
            {figureOf(d)}
          </WorkingButton>{' '}
          {d.known && <span className="text-fine text-mute">{d.unit}</span>}
        </p>
      </div>
      <Late
        part={useMarker()}
        standIn={<Still {...scale} />}
        whole={({ DialMarker }) => (
          <DialMarker {...scale} name={d.name} words={words} onTurn={turnTo} onLetGo={letGo} />
        )}
      />
      <div className="flex text-tiny leading-tight tracking-tight text-mute" aria-hidden>
        {d.bands.map((b) => (
          <span
            key={b.name}
            style={{ width: `${(b.to - b.from) * 100}%` }}
            className={b.name === d.band ? 'font-bold text-ink' : ''}
          >
            {b.name}
          </span>
        ))}
      </div>
      <p role="status" className="text-fine leading-snug text-hibiscus-deep empty:hidden">
        {turn.problem ?? turn.said.join(' ')}
      </p>
    </div>
  )
})

export type Scale = { d: Dial; at: number; settable: boolean }

/** Bands are a dial's scale, from faint to full. */
export function Bands({ d }: { d: Dial }) {
  return d.bands.map((b, n) => (
    <span
      key={b.name}
      style={{
        width: `${(b.to - b.from) * 100}%`,
        backgroundColor: `color-mix(in oklab, ${pigments[d.code]} ${Math.round(14 + (86 * n) / Math.max(1, d.bands.length - 1))}%, var(--color-glass))`,
      }}
    />
  ))
}

export const scaleClass = 'relative mt-0.5 flex h-6 touch-none items-center'
export const bandsClass = 'relative flex h-4 w-full overflow-hidden rounded-md'

export const markerClass = ({ d, settable }: Scale) =>
  d.known || settable
    ? 'block size-6 cursor-grab rounded-full border-tray border-rim bg-enamel data-disabled:cursor-default data-disabled:opacity-60'
    : 'hidden'

/** Still is the scale before its marker can be moved. */
function Still(s: Scale) {
  const share = s.at / steps
  return (
    <div className={scaleClass}>
      <span className={bandsClass}>
        <Bands d={s.d} />
      </span>
      {/* it stays within the scale at both ends, as the one does that takes its place */}
      <span
        style={{ left: `calc(${share} * (100% - 1.5rem))` }}
        data-disabled={s.settable ? undefined : ''}
        className={classes('absolute', markerClass(s))}
      />
    </div>
  )
}

/** GivenBy lets the cook choose which line gives for the dial. */
function GivenBy({ d, give, onGive }: { d: Dial; give: string; onGive: (key: string) => void }) {
  if (d.givers.length === 0) {
    const start = starts[d.code]
    return <span className="truncate text-fine text-mute">{start && copy.bench.adds(start)}</span>
  }
  const chosen = d.givers.find((g) => g.key === give)?.name ?? copy.bench.allOfThem
  const trigger = (
    <button
      type="button"
      aria-label={copy.bench.adjustDialUsing(d.name, chosen.toLowerCase())}
      className="flex min-h-6 min-w-0 items-center gap-0.5 truncate rounded text-fine text-mute underline decoration-dotted underline-offset-4"
    >
      <span className="truncate">{copy.bench.adjustUsing(chosen.toLowerCase())}</span>
      <ChevronDown size={13} aria-hidden className="shrink-0" />
    </button>
  )
  return (
    <Menu trigger={trigger} align="start">
      <MenuHead>{copy.bench.whenYouMoveTheDial}</MenuHead>
      <MenuCheck checked={give === ''} onChange={() => onGive('')}>
        {copy.bench.allIngredientsOfThisKind}
      </MenuCheck>
      {d.givers.map((g) => (
        <MenuCheck key={g.key} checked={give === g.key} onChange={() => onGive(g.key)}>
          {g.name}
        </MenuCheck>
      ))}
    </Menu>
  )
}
