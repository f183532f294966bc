import { ChevronDown, Redo2, Undo2 } from 'lucide-react'
import { memo, useState } from 'react'
import { useLocation } from 'wouter'
import { Refused } from '../../api/client'
import { useDrinks, useRemoveDrink } from '../../api/hooks'
import type { Drink } from '../../api/schema'
import { copy } from '../../copy'
import { Button, IconButton } from '../../ui/Button'
import { toMonth } from '../../ui/format'
import { Menu, MenuHead, MenuItem, MenuRule } from '../../ui/Menu'
import type { SaveState } from './saving'
import type { BenchDraft } from './useDraft'

/** DrinkTitle is the drink's name, its version and saving, and the way to other drinks. */
export function DrinkTitle({ bench, onVersion }: { bench: BenchDraft; onVersion: (number: number) => void }) {
  return (
    <div className="min-w-0 grow">
      <div className="flex flex-wrap items-center gap-x-3 gap-y-1">
        <h1 className="min-w-0 text-title leading-tight max-sm:w-full max-sm:text-figure-s">
          <input
            aria-label={copy.bench.drinkName}
            value={bench.draft.name}
            maxLength={120}
            spellCheck={false}
            placeholder={copy.bench.nameThisDrink}
            onChange={(e) => bench.setName(e.target.value)}
            className="w-full min-w-40 sm:max-w-[21rem] truncate rounded bg-transparent field-sizing-content"
          />
        </h1>
        <DrinksMenu id={bench.kept.id} />
        <Steps undo={bench.undo} redo={bench.redo} />
      </div>
      <p className="flex flex-wrap items-center gap-x-2 text-mute">
        <Versions kept={bench.kept} onVersion={onVersion} />
        <span aria-hidden>·</span>
        <span role="status">{saveWords(bench.state)}</span>
      </p>
    </div>
  )
}

/** Steps go back and forth through what was changed. */
const Steps = memo(function Steps({ undo, redo }: Pick<BenchDraft, 'undo' | 'redo'>) {
  return (
    <>
      <IconButton label={copy.bench.undo} disabled={!undo} onClick={undo}>
        <Undo2 size={20} aria-hidden />
      </IconButton>
      <IconButton label={copy.bench.redo} disabled={!redo} onClick={redo}>
        <Redo2 size={20} aria-hidden />
      </IconButton>
    </>
  )
})

function saveWords(s: SaveState): string {
  switch (s.is) {
    case 'saved':
      return copy.bench.saved
    case 'saving':
      return copy.bench.saving
    case 'conflict':
      return copy.bench.notSavedChangedOnAnother
    default:
      return copy.bench.notSaved(s.why)
  }
}

type VersionsProps = { kept: Drink; onVersion: (number: number) => void }

const Versions = memo(function Versions({ kept, onVersion }: VersionsProps) {
  const { versions, isVersion } = kept
  const newest = versions[0]
  if (!newest) return <span>{copy.bench.noVersionSavedYet}</span>
  const words = isVersion ? copy.bench.version(newest.number) : copy.bench.changedSinceVersion(newest.number)
  const trigger = (
    <button
      type="button"
      className="flex min-h-6 items-center gap-1 rounded underline decoration-dotted underline-offset-4"
    >
      {words}
      {newest.note && ` · ${newest.note}`}
    </button>
  )
  return (
    <Menu trigger={trigger} align="start">
      <MenuHead>{copy.bench.goBackToAVersion}</MenuHead>
      {versions.map((v) => (
        <MenuItem key={v.number} hint={toMonth(v.created)} onSelect={() => onVersion(v.number)}>
          {copy.bench.version(v.number)}
          {v.note && ` · ${v.note}`}
        </MenuItem>
      ))}
    </Menu>
  )
})

/** DrinksMenu lists all drinks, and begins a new one. */
export const DrinksMenu = memo(function DrinksMenu({ id }: { id?: number }) {
  const drinks = useDrinks()
  const remove = useRemoveDrink()
  const [, go] = useLocation()
  const [problem, setProblem] = useState<string>()
  const throwAway = () =>
    id !== undefined &&
    remove.mutate(id, {
      onSuccess: () => go('/'),
      onError: (e) => setProblem(e instanceof Refused ? e.message : copy.bench.notDeleted),
    })
  const trigger = (
    <Button aria-label={copy.bench.drinksOpenAnotherOrStart} size="small">
      {copy.bench.drinks}
      <ChevronDown size={16} aria-hidden />
    </Button>
  )
  return (
    <>
      <Menu trigger={trigger} align="start">
        <MenuItem onSelect={() => go('/start')}>{copy.bench.newDrink}</MenuItem>
        <MenuItem onSelect={() => go('/drinks')}>{copy.bench.seeAllDrinks}</MenuItem>
        <MenuRule />
        {drinks.data
          ?.filter((d) => !d.archived || d.id === id)
          .map((d) => (
            <MenuItem key={d.id} disabled={d.id === id} onSelect={() => go(`/bench/${d.id}`)}>
              {d.name}
            </MenuItem>
          ))}
        {id !== undefined && (
          <>
            <MenuRule />
            <MenuItem onSelect={throwAway}>{copy.bench.deleteThisDrink}</MenuItem>
          </>
        )}
      </Menu>
      {problem && (
        <span role="alert" className="text-sm text-hibiscus-deep">
          {problem}
        </span>
      )}
    </>
  )
})
