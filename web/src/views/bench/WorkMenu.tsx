import { ChevronDown } from 'lucide-react'
import { lazy, memo, Suspense } from 'react'
import type { Reckoning } from '../../api/schema'
import { copy } from '../../copy'
import { Button } from '../../ui/Button'
import { Menu, MenuItem, MenuRule } from '../../ui/Menu'
import { Typing } from '../../ui/Typing'
import type { BenchDraft } from './useDraft'

const LadderSheet = lazy(() => import('./sheets/LadderSheet').then((m) => ({ default: m.LadderSheet })))
const CupSheet = lazy(() => import('./sheets/CupSheet').then((m) => ({ default: m.CupSheet })))
const TrialSheet = lazy(() => import('./sheets/TrialSheet').then((m) => ({ default: m.TrialSheet })))
const SplitSheet = lazy(() => import('./sheets/SplitSheet').then((m) => ({ default: m.SplitSheet })))
const MatchSheet = lazy(() => import('./sheets/MatchSheet').then((m) => ({ default: m.MatchSheet })))
const NudgeSheet = lazy(() => import('./sheets/NudgeSheet').then((m) => ({ default: m.NudgeSheet })))
const CompareSheet = lazy(() => import('./sheets/CompareSheet').then((m) => ({ default: m.CompareSheet })))
const PasteSheet = lazy(() => import('./sheets/PasteSheet').then((m) => ({ default: m.PasteSheet })))
const ExportSheet = lazy(() => import('./sheets/ExportSheet').then((m) => ({ default: m.ExportSheet })))
const MethodSheet = lazy(() => import('./sheets/MethodSheet').then((m) => ({ default: m.MethodSheet })))
const SwapSheet = lazy(() => import('./sheets/SwapSheet').then((m) => ({ default: m.SwapSheet })))

export type WorkSheet =
  | 'ladder'
  | 'cup'
  | 'trial'
  | 'split'
  | 'match'
  | 'nudge'
  | 'compare'
  | 'paste'
  | 'export'
  | 'method'

const work: { sheet: WorkSheet; label: string; needsDrink: boolean; ruleAfter?: boolean }[] = [
  { sheet: 'trial', label: copy.bench.trialCup, needsDrink: true },
  { sheet: 'cup', label: copy.bench.inACupOfCoffee, needsDrink: true },
  { sheet: 'nudge', label: copy.bench.roundToMySpoons, needsDrink: true, ruleAfter: true },
  { sheet: 'ladder', label: copy.bench.dilute, needsDrink: true },
  { sheet: 'split', label: copy.bench.splitTheBatch, needsDrink: true },
  { sheet: 'match', label: copy.bench.matchALabel, needsDrink: false, ruleAfter: true },
  { sheet: 'paste', label: copy.bench.pasteARecipe, needsDrink: false },
  { sheet: 'compare', label: copy.bench.compare, needsDrink: true },
  { sheet: 'export', label: copy.bench.printOrExport, needsDrink: true },
]

/** sheetOf is the sheet of a name; none for a name that is none. */
export const sheetOf = (name: string | null) => (name === 'method' ? name : work.find((w) => w.sheet === name)?.sheet)

type MenuProps = { reckoned: boolean; onOpen: (sheet: WorkSheet) => void }

/** WorkMenu lists what else can be done with the drink. */
export const WorkMenu = memo(function WorkMenu({ reckoned, onOpen }: MenuProps) {
  const trigger = (
    <Button>
      {copy.bench.tools}
      <ChevronDown size={16} aria-hidden />
    </Button>
  )
  return (
    <Menu trigger={trigger}>
      {work.map((w) => (
        <div key={w.sheet}>
          <MenuItem disabled={w.needsDrink && !reckoned} onSelect={() => onOpen(w.sheet)}>
            {w.label}
          </MenuItem>
          {w.ruleAfter && <MenuRule />}
        </div>
      ))}
    </Menu>
  )
})

type Props = {
  bench: BenchDraft
  r?: Reckoning
  currency: string
  sheet?: WorkSheet
  swap?: string
  onClose: () => void
}

/** WorkSheets is the side sheet that is open, if one is. */
export function WorkSheets({ bench, r, currency, sheet, swap, onClose }: Props) {
  const common = { bench, onClose }
  const isBlend = r?.lines.find((l) => l.key === swap)?.blend ?? false
  return (
    <Suspense fallback={null}>
      <Typing key={`${sheet} ${swap}`} sheet={`${bench.kept.id} ${sheet} ${swap}`}>
        {swap !== undefined && <SwapSheet {...common} line={swap} isBlend={isBlend} />}
        {sheet === 'ladder' && <LadderSheet {...common} />}
        {sheet === 'cup' && r && <CupSheet {...common} kind={r.kind} iceG={r.chill.iceG} groundC={r.chill.groundC} />}
        {sheet === 'trial' && <TrialSheet {...common} />}
        {sheet === 'split' && <SplitSheet {...common} />}
        {sheet === 'match' && <MatchSheet {...common} />}
        {sheet === 'nudge' && <NudgeSheet {...common} />}
        {sheet === 'compare' && <CompareSheet {...common} />}
        {sheet === 'paste' && <PasteSheet {...common} />}
        {sheet === 'export' && <ExportSheet {...common} />}
        {sheet === 'method' && <MethodSheet {...common} r={r} currency={currency} />}
      </Typing>
    </Suspense>
  )
}
