import { Popover } from 'radix-ui'
import { useState } from 'react'
import { Recipe as limits } from '../../api/limits'
import type { Recipe, Reckoning } from '../../api/schema'
import { copy } from '../../copy'
import { Button } from '../../ui/Button'
import { classes } from '../../ui/classes'
import { ErrorText } from '../../ui/Field'
import { toWhole } from '../../ui/format'
import { NumberField } from '../../ui/NumberField'
import { accepts, asMeasure } from '../../ui/number'
import { ToggleGroup } from '../../ui/ToggleGroup'
import { ActButton, Typing } from '../../ui/Typing'
import { shownUnit, toShown } from '../../ui/units'
import type { BenchDraft } from './useDraft'

type Props = { bench: BenchDraft; reckoning?: Reckoning; error?: string; onWriteAtSize: () => void }

const times = [
  { value: 0.5, label: '×½' },
  { value: 1, label: '×1' },
  { value: 2, label: '×2' },
  { value: 3, label: '×3' },
]

/** SizeBar sets how much is made: by volume, servings, base on hand or a factor. */
export function SizeBar({ bench, reckoning: r, error, onWriteAtSize }: Props) {
  const { sizeBy, sizeValue } = bench.draft.recipe
  const size = (by: Recipe['sizeBy'], value: number) => bench.setRecipe({ sizeBy: by, sizeValue: value }, `size-${by}`)
  const factor = sizeBy === '' ? 1 : sizeBy === 'times' ? sizeValue : undefined
  return (
    <fieldset className="max-w-full">
      <legend className="sr-only">{copy.bench.batchSize}</legend>
      <div className="flex flex-wrap items-center gap-2">
        <span className="text-mute">{copy.bench.make}</span>
        <SizeInput label={copy.bench.volume} unit="mL" by="volume" shown={r?.drinkML} bench={bench} onSize={size} />
        <span className="text-mute">{copy.bench.makeFor}</span>
        <SizeInput
          label={copy.bench.servings}
          unit={copy.bench.servingsUnit}
          by="servings"
          shown={r?.servings}
          bench={bench}
          onSize={size}
        />
        <ToggleGroup
          label={copy.bench.batchSize}
          choices={times.map((t) => ({ value: String(t.value), label: t.label }))}
          chosen={String(factor)}
          onToggle={(v) => (v === '1' ? size('', 0) : size('times', Number(v)))}
        />
        <MoreWays bench={bench} reckoning={r} onSize={size} onWriteAtSize={onWriteAtSize} />
      </div>
      <ErrorText id="size-error">{error}</ErrorText>
    </fieldset>
  )
}

/** shortNumber is a figure as one would type it: whole from a hundred on, to a tenth below. */
const shortNumber = (v: number) => String(v >= 100 ? Math.round(v) : Math.round(v * 10) / 10)

type InputProps = {
  label: string
  unit: string
  by: 'volume' | 'servings' | 'base'
  shown?: number
  bench: BenchDraft
  onSize: (by: Recipe['sizeBy'], value: number) => void
}

/** What a batch can be sized to; the core has the same limits. */
const least = 0.1
const most = 100_000
const sized = { minimum: least, maximum: most }

/** SizeInput shows the figure as it is, and takes one typed. */
function SizeInput({ label, unit, by, shown, bench, onSize }: InputProps) {
  const { sizeBy, sizeValue } = bench.draft.recipe
  const [typed, setTyped] = useState<string>()
  const figure = sizeBy === by ? sizeValue : shown
  const text = typed ?? (figure === undefined ? '' : shortNumber(toShown(figure, unit)))
  const value = asMeasure(text, unit)
  const wrong = typed !== undefined && !(value >= least && value <= most)
  return (
    <label
      className={classes(
        'flex min-h-11 items-center gap-1.5 rounded-full border-2 bg-enamel px-3.5',
        wrong ? 'border-hibiscus' : 'border-rim',
      )}
    >
      <input
        aria-label={label}
        aria-invalid={wrong || undefined}
        aria-describedby={wrong ? `size-${by}-error` : undefined}
        inputMode="text"
        autoComplete="off"
        className="w-[4.2ch] min-w-0 bg-transparent text-right font-bold outline-none field-sizing-content"
        value={text}
        onChange={(e) => {
          setTyped(e.target.value)
          const entered = asMeasure(e.target.value, unit)
          if (entered >= least && entered <= most) onSize(by, entered)
        }}
        onBlur={() => !wrong && setTyped(undefined)}
      />
      <span className={by === 'servings' ? 'font-bold' : 'text-mute'}>{shownUnit(unit)}</span>
      {wrong && (
        <span id={`size-${by}-error`} role="alert" className="text-sm text-hibiscus-deep">
          {value > most ? copy.bench.atMost(toWhole(most)) : accepts(unit)}
        </span>
      )}
    </label>
  )
}

type MoreProps = { bench: BenchDraft; reckoning?: Reckoning; onSize: InputProps['onSize']; onWriteAtSize: () => void }

function MoreWays({ bench, reckoning: r, onSize, onWriteAtSize }: MoreProps) {
  const { recipe } = bench.draft
  return (
    <Popover.Root>
      <Popover.Trigger asChild>
        <Button className={['base', 'bottles', 'days'].includes(recipe.sizeBy) ? '!bg-linen' : ''}>
          {copy.bench.more}
        </Button>
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          align="end"
          sideOffset={6}
          collisionPadding={8}
          aria-label={copy.bench.moreWaysToSetThe}
          className="z-40 grid w-72 gap-4 rounded-tray border-tray border-rim bg-enamel p-4 text-ink shadow-lg"
        >
          <NumberField
            label={copy.bench.baseOnHand}
            unit="g"
            limit={sized}
            hint={copy.bench.usesAllOfItAnd}
            value={recipe.sizeBy === 'base' ? recipe.sizeValue : undefined}
            onNumber={(v) => onSize('base', v)}
          />
          <NumberField
            label={copy.bench.servingSize}
            unit="mL"
            hint={copy.bench.emptyForUsualSize}
            value={recipe.servingML || undefined}
            limit={limits.servingML}
            onNumber={(v) => bench.setRecipe({ servingML: v }, 'servingML')}
            onEmpty={() => bench.setRecipe({ servingML: 0 }, 'servingML')}
          />
          <Together
            labels={[copy.bench.bottlesToFill, copy.bench.ofSize]}
            units={['bottles', 'mL']}
            values={recipe.sizeBy === 'bottles' ? [recipe.sizeValue, recipe.sizeEach] : [2, 400]}
            set={recipe.sizeBy === 'bottles'}
            onSet={([count, each]) => bench.setRecipe({ sizeBy: 'bottles', sizeValue: count, sizeEach: each })}
          />
          <Together
            labels={[copy.bench.days, copy.bench.cupsADay, copy.bench.aCupIs]}
            units={['days', 'cups', 'mL']}
            values={
              recipe.sizeBy === 'days'
                ? [recipe.sizeValue, recipe.perDay, recipe.sizeEach || r?.servingML || 30]
                : [3, 2, r?.servingML ?? 30]
            }
            set={recipe.sizeBy === 'days'}
            onSet={([count, perDay, each]) =>
              bench.setRecipe({ sizeBy: 'days', sizeValue: count, perDay, sizeEach: each })
            }
          />
          <Button disabled={recipe.sizeBy === ''} onClick={onWriteAtSize}>
            {copy.bench.saveAmountsAtThisSize}
          </Button>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  )
}

type TogetherProps = {
  labels: string[]
  units: string[]
  values: number[]
  set: boolean
  onSet: (values: number[]) => void
}

/** Together are numbers that size the batch only all at once. */
function Together({ labels, units, values, set, onSet }: TogetherProps) {
  const [now, setNow] = useState(values)
  return (
    <Typing>
      <div className="grid gap-2">
        <div className="flex gap-2">
          {labels.map((label, n) => (
            <NumberField
              key={label}
              label={label}
              unit={units[n] === 'mL' ? 'mL' : undefined}
              limit={sized}
              value={now[n]}
              onNumber={(v) => {
                const next = now.map((old, m) => (m === n ? v : old))
                setNow(next)
                if (set) onSet(next)
              }}
            />
          ))}
        </div>
        <ActButton aria-pressed={set} primary={set} onClick={() => onSet(now)}>
          {copy.bench.setSizeBy(copy.bench.sizeUnits[units[0] ?? ''] ?? '')}
        </ActButton>
      </div>
    </Typing>
  )
}
