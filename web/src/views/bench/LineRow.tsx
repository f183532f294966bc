import { EllipsisVertical, Lock, LockOpen } from 'lucide-react'
import { memo, useState } from 'react'
import { useSuggestions } from '../../api/hooks'
import type { Line, LineFigure } from '../../api/schema'
import { copy } from '../../copy'
import { IconButton } from '../../ui/Button'
import { Combobox } from '../../ui/Combobox'
import { classes } from '../../ui/classes'
import { ErrorText } from '../../ui/Field'
import { toGrams, toTwoFigures } from '../../ui/format'
import { Menu, MenuCheck, MenuHead, MenuItem, MenuRule } from '../../ui/Menu'
import { language } from '../../ui/units'
import { LineQuestion } from './LineQuestion'
import { explain } from './sheets/explain'
import type { Lesson } from './Teach'
import type { Edits } from './useDraft'

const swatchOf: Record<string, string> = {
  base: 'bg-nutmeg',
  liquid: 'bg-water-deep',
  sweetener: 'bg-turmeric',
  spice: 'bg-hibiscus',
  flavour: 'bg-flavour',
  fat: 'bg-fat',
  salt: 'bg-pinch',
  dairy: 'bg-milk border border-line',
  body: 'bg-oat',
  other: 'bg-pinch',
}

const stages = [
  { value: '', label: copy.bench.automatic },
  { value: 'soak', label: copy.bench.whileSoakingAndStaysIn },
  { value: 'grind', label: copy.bench.whileBlending },
  { value: 'rinse', label: copy.bench.toRinseThePulp },
  { value: 'brew', label: copy.bench.inTheBrew },
  { value: 'after straining', label: copy.bench.afterStraining },
  { value: 'cook', label: copy.bench.whileCooking },
  { value: 'at serving', label: copy.bench.inTheGlass },
] as const

type Props = {
  line: Line
  figure?: LineFigure
  edits: Edits
  sized: boolean
  above?: string
  below?: string
  onTyping: (key?: string) => void
  onSwap: (key: string) => void
  onLesson: (lesson: Lesson) => void
}

/** LineRow is one line: what, how much, what it does, and its lock. */
export const LineRow = memo(function LineRow(props: Props) {
  const { line, figure, edits, sized, above, below, onTyping, onSwap, onLesson } = props
  const cell = { line, figure, edits, errorID: `error-${line.key}` }
  const swatch = swatchOf[figure?.role ?? ''] ?? 'bg-line'
  return (
    <li data-line={line.key} className="py-[3px]">
      <div className="flex items-center gap-2 @max-md:flex-wrap @max-md:gap-y-0">
        <span aria-hidden className={classes('h-7 w-2.5 shrink-0 rounded-full', swatch)} />
        <NameCell {...cell} onTyping={onTyping} />
        <AmountCell {...cell} sized={sized} />
        <span className="w-13 shrink-0 text-right text-sm text-mute">{figure?.massG ? toGrams(figure.massG) : ''}</span>
        <div className="flex shrink-0">
          <IconButton
            label={line.locked ? copy.bench.lockedDoesNotChangeWhen : copy.bench.lock}
            aria-pressed={line.locked}
            className={classes('!size-7 max-sm:!size-11', line.locked && '!text-rim')}
            onClick={() => edits.setLine(line.key, { locked: !line.locked })}
          >
            {line.locked ? <Lock size={16} aria-hidden /> : <LockOpen size={16} aria-hidden />}
          </IconButton>
          <LineMenu {...cell} above={above} below={below} onSwap={onSwap} />
        </div>
      </div>
      {figure?.stock && <p className="pl-4.5 text-fine leading-tight text-mute">{figure.stock}</p>}
      {figure && <LineQuestion line={line} figure={figure} edits={edits} onLesson={onLesson} />}
      <ErrorText id={cell.errorID}>{figure?.question ? undefined : figure?.error}</ErrorText>
    </li>
  )
})

type CellProps = { line: Line; figure?: LineFigure; edits: Edits; errorID: string }

function NameCell({ line, figure, edits, errorID, onTyping }: CellProps & { onTyping: (key?: string) => void }) {
  const [here, setHere] = useState(false)
  const suggestions = useSuggestions(here ? line.ingredient : '')
  const attend = (is: boolean) => {
    setHere(is)
    onTyping(is ? line.key : undefined)
  }
  const wrong = figure?.errorField === 'ingredient'
  // what was written stays; unless it is being changed it is shown by its name in the kitchen's language
  const shown = !here && language !== 'en' && figure?.understood ? figure.name : line.ingredient
  const details = [
    line.isNote && copy.bench.noteNotCounted,
    figure?.contributes,
    line.stage,
    figure?.note,
    line.note,
  ].filter(Boolean)
  return (
    // biome-ignore lint/a11y/noStaticElementInteractions: only watches whether the input inside has the focus
    <div className="min-w-0 grow @max-md:w-[85%]" onFocus={() => attend(true)} onBlur={() => attend(false)}>
      <Combobox
        label={copy.bench.ingredient}
        value={shown}
        items={suggestions.data ?? []}
        textOf={(s) => s.name}
        show={(s) => s.name}
        onType={(ingredient) => edits.setLine(line.key, { ingredient }, 'ingredient')}
        onPick={(s) => edits.setLine(line.key, { ingredient: s.name })}
        invalid={wrong}
        describedBy={wrong ? errorID : undefined}
        inputClass="w-full rounded bg-transparent font-bold leading-tight"
      />
      <p
        className="truncate text-fine leading-tight text-mute"
        title={[details.join(' · '), line.written && copy.bench.youWrote(line.written), explain(figure?.words ?? [])]
          .filter(Boolean)
          .join('\n')}
      >
        {details.join(' · ')}
      </p>
    </div>
  )
}

function AmountCell({ line, figure, edits, errorID, sized }: CellProps & { sized: boolean }) {
  const wrong = figure?.errorField === 'amount'
  const scaled = figure && figure.amount !== '' && sized
  const input = (
    <input
      aria-label={copy.bench.amountOf(line.ingredient || copy.bench.thisLine, scaled ? copy.bench.beforeScaling : '')}
      aria-invalid={wrong || undefined}
      aria-describedby={wrong ? errorID : undefined}
      value={line.amount}
      placeholder={copy.bench.amount}
      spellCheck={false}
      autoComplete="off"
      onChange={(e) => edits.setLine(line.key, { amount: e.target.value }, 'amount')}
      className={classes(
        'w-full rounded bg-transparent text-right leading-tight',
        scaled ? 'text-fine text-mute' : 'font-head text-lead font-semibold',
      )}
    />
  )
  return (
    <div className="w-[7.8rem] shrink-0 @max-md:ml-5 @max-md:grow">
      {scaled && <p className="text-right font-head text-lead leading-tight font-semibold">{figure.amount}</p>}
      {input}
      {!scaled && figure?.kitchen && figure.kitchen !== figure.amount && (
        <p className="text-right text-fine leading-tight text-mute">
          {figure.kitchen}
          {figure.kitchenPct !== 0 &&
            ` (${figure.kitchenPct > 0 ? '+' : '−'}${toTwoFigures(Math.abs(figure.kitchenPct))} %)`}
        </p>
      )}
    </div>
  )
}

type MenuProps = CellProps & { above?: string; below?: string; onSwap: (key: string) => void }

function LineMenu({ line, figure, edits, above, below, onSwap }: MenuProps) {
  const trigger = (
    <IconButton label={copy.bench.moreFor(line.ingredient || copy.bench.thisLine)} className="!size-7 max-sm:!size-11">
      <EllipsisVertical size={18} aria-hidden />
    </IconButton>
  )
  return (
    <Menu trigger={trigger}>
      <MenuItem disabled={!above} hint={copy.bench.alt} onSelect={() => above && edits.swapLines(line.key, above)}>
        {copy.bench.moveUp}
      </MenuItem>
      <MenuItem disabled={!below} hint={copy.bench.altDown} onSelect={() => below && edits.swapLines(line.key, below)}>
        {copy.bench.moveDown}
      </MenuItem>
      <MenuItem disabled={!figure?.massG} onSelect={() => onSwap(line.key)}>
        {copy.bench.swap}
      </MenuItem>
      <MenuItem onSelect={() => edits.removeLine(line.key)}>{copy.bench.remove}</MenuItem>
      {line.isNote && (
        <MenuItem onSelect={() => edits.setLine(line.key, { isNote: false })}>{copy.bench.readAsAnIngredient}</MenuItem>
      )}
      {figure?.role === 'base' && (
        <MenuCheck checked={line.unsoaked} onChange={() => edits.setLine(line.key, { unsoaked: !line.unsoaked })}>
          {copy.bench.notSoaked}
        </MenuCheck>
      )}
      <MenuRule />
      <MenuHead>{copy.bench.goesIn}</MenuHead>
      {stages.map((s) => (
        <MenuCheck
          key={s.value}
          checked={line.stage === s.value}
          onChange={() => edits.setLine(line.key, { stage: s.value })}
        >
          {s.label}
        </MenuCheck>
      ))}
    </Menu>
  )
}
