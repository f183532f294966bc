import { EllipsisVertical, Lock, LockOpen } from 'lucide-react'
import { memo, useState } from 'react'
import { useSuggestions } from '../../api/hooks'
import type { Line, LineFigure } from '../../api/schema'
import { IconButton } from '../../ui/Button'
import { Combobox } from '../../ui/Combobox'
import { classes } from '../../ui/classes'
import { ErrorText } from '../../ui/Field'
import { toGrams, toTwoFigures } from '../../ui/format'
import { Menu, MenuCheck, MenuHead, MenuItem, MenuRule } from '../../ui/Menu'
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
  { value: '', label: 'When its kind usually does' },
  { value: 'soak', label: 'At the soak, and stays in' },
  { value: 'grind', label: 'When grinding' },
  { value: 'rinse', label: 'To rinse the pulp' },
  { value: 'brew', label: 'In the brewed part' },
  { value: 'after straining', label: 'After straining' },
  { value: 'cook', label: 'While cooking' },
  { value: 'at serving', label: 'In the glass' },
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
      <div className="flex items-center gap-2 max-sm:flex-wrap max-sm:gap-y-0">
        <span aria-hidden className={classes('h-7 w-2.5 shrink-0 rounded-full', swatch)} />
        <NameCell {...cell} onTyping={onTyping} />
        <AmountCell {...cell} sized={sized} />
        <span className="w-13 shrink-0 text-right text-sm text-mute">{figure?.massG ? toGrams(figure.massG) : ''}</span>
        <div className="flex shrink-0">
          <IconButton
            label={line.locked ? 'Locked: stays as it is when the drink grows' : 'Lock'}
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
  const details = [
    line.isNote && 'a note, not counted',
    figure?.contributes,
    line.stage,
    figure?.note,
    line.note,
  ].filter(Boolean)
  return (
    // biome-ignore lint/a11y/noStaticElementInteractions: only watches whether the input inside has the focus
    <div className="min-w-0 grow max-sm:w-[85%]" onFocus={() => attend(true)} onBlur={() => attend(false)}>
      <Combobox
        label="Ingredient"
        value={line.ingredient}
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
        title={[details.join(' · '), line.written && `You wrote: ${line.written}`, explain(figure?.words ?? [])]
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
      aria-label={`Amount of ${line.ingredient || 'this line'}${scaled ? ' as written' : ''}`}
      aria-invalid={wrong || undefined}
      aria-describedby={wrong ? errorID : undefined}
      value={line.amount}
      placeholder="how much"
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
    <div className="w-[7.8rem] shrink-0 max-sm:ml-5 max-sm:grow">
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
    <IconButton label={`More for ${line.ingredient || 'this line'}`} className="!size-7 max-sm:!size-11">
      <EllipsisVertical size={18} aria-hidden />
    </IconButton>
  )
  return (
    <Menu trigger={trigger}>
      <MenuItem disabled={!above} hint="Alt+↑" onSelect={() => above && edits.swapLines(line.key, above)}>
        Move up
      </MenuItem>
      <MenuItem disabled={!below} hint="Alt+↓" onSelect={() => below && edits.swapLines(line.key, below)}>
        Move down
      </MenuItem>
      <MenuItem disabled={!figure?.massG} onSelect={() => onSwap(line.key)}>
        Swap for another
      </MenuItem>
      <MenuItem onSelect={() => edits.removeLine(line.key)}>Remove</MenuItem>
      {line.isNote && (
        <MenuItem onSelect={() => edits.setLine(line.key, { isNote: false })}>Read it as an ingredient</MenuItem>
      )}
      {figure?.role === 'base' && (
        <MenuCheck checked={line.unsoaked} onChange={() => edits.setLine(line.key, { unsoaked: !line.unsoaked })}>
          Goes in unsoaked
        </MenuCheck>
      )}
      <MenuRule />
      <MenuHead>Goes in</MenuHead>
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
