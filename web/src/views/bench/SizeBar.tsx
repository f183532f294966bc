import { cloneElement, memo, useState } from 'react'
import type { Recipe, Reckoning } from '../../api/schema'
import { copy } from '../../copy'
import { Button } from '../../ui/Button'
import { classes } from '../../ui/classes'
import { ErrorText } from '../../ui/Field'
import { toWhole } from '../../ui/format'
import { Late, late, useAsked } from '../../ui/late'
import { accepts, asMeasure } from '../../ui/number'
import { ToggleGroup } from '../../ui/ToggleGroup'
import { shownUnit, toShown } from '../../ui/units'
import type { Size } from './size'
import type { Edits } from './useDraft'

type Props = {
  size: Size
  edits: Pick<Edits, 'setRecipe'>
  reckoning?: Reckoning
  error?: string
  onWriteAtSize: () => void
}

const times = [
  { value: 0.5, label: '×½' },
  { value: 1, label: '×1' },
  { value: 2, label: '×2' },
  { value: 3, label: '×3' },
]

/** SizeBar sets how much is made: by volume, servings, base on hand or a factor. */
export const SizeBar = memo(function SizeBar({ size, edits, reckoning: r, error, onWriteAtSize }: Props) {
  const { sizeBy, sizeValue } = size
  const set = (by: Recipe['sizeBy'], value: number) => edits.setRecipe({ sizeBy: by, sizeValue: value }, `size-${by}`)
  const factor = sizeBy === '' ? 1 : sizeBy === 'times' ? sizeValue : undefined
  return (
    <fieldset className="max-w-full">
      <legend className="sr-only">{copy.bench.batchSize}</legend>
      <div className="flex flex-wrap items-center gap-2">
        <span className="text-mute">{copy.bench.make}</span>
        <SizeInput label={copy.bench.volume} unit="mL" by="volume" shown={r?.drinkML} size={size} onSize={set} />
        <span className="text-mute">{copy.bench.makeFor}</span>
        <SizeInput
          label={copy.bench.servings}
          unit={copy.bench.servingsUnit}
          by="servings"
          shown={r?.servings}
          size={size}
          onSize={set}
        />
        <ToggleGroup
          label={copy.bench.batchSize}
          choices={times.map((t) => ({ value: String(t.value), label: t.label }))}
          chosen={String(factor)}
          onToggle={(v) => (v === '1' ? set('', 0) : set('times', Number(v)))}
        />
        <More size={size} edits={edits} reckoning={r} onSize={set} onWriteAtSize={onWriteAtSize} />
      </div>
      <ErrorText id="size-error">{error}</ErrorText>
    </fieldset>
  )
})

const useWays = late(() => import('./MoreWays'))

/** More are the rarer ways to set a size. */
function More(p: MoreProps) {
  const [asked, ask] = useAsked()
  const by = p.size.sizeBy
  const trigger = (
    <Button className={['base', 'bottles', 'days'].includes(by) ? '!bg-linen' : ''}>{copy.bench.more}</Button>
  )
  return (
    <Late
      part={useWays()}
      standIn={cloneElement(trigger, { 'aria-haspopup': 'dialog', 'aria-expanded': false, onClick: ask })}
      whole={({ MoreWays }) => <MoreWays {...p} trigger={trigger} opened={asked} />}
    />
  )
}

/** shortNumber is a figure as one would type it: whole from a hundred on, to a tenth below. */
const shortNumber = (v: number) => String(v >= 100 ? Math.round(v) : Math.round(v * 10) / 10)

type InputProps = {
  label: string
  unit: string
  by: 'volume' | 'servings' | 'base'
  shown?: number
  size: Size
  onSize: (by: Recipe['sizeBy'], value: number) => void
}

export type MoreProps = {
  size: Size
  edits: Pick<Edits, 'setRecipe'>
  reckoning?: Reckoning
  onSize: InputProps['onSize']
  onWriteAtSize: () => void
}

/** What a batch can be sized to; the core has the same limits. */
const least = 0.1
const most = 100_000
export const sized = { minimum: least, maximum: most }

/** SizeInput shows the figure as it is, and takes one typed. */
function SizeInput({ label, unit, by, shown, size, onSize }: InputProps) {
  const { sizeBy, sizeValue } = size
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
