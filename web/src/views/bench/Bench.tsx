import { useQuery, useQueryClient } from '@tanstack/react-query'
import { lazy, memo, type ReactNode, Suspense, useCallback, useEffect, useMemo, useRef, useState } from 'react'
import { Redirect, useLocation, useSearchParams } from 'wouter'
import { answer, api, Refused } from '../../api/client'
import { keepFigures, useDrinks, useKitchen, useReckoning } from '../../api/hooks'
import type { Drink, Recipe, Reckoning } from '../../api/schema'
import { strainers } from '../../app/choices'
import { copy } from '../../copy'
import { Button } from '../../ui/Button'
import { classes } from '../../ui/classes'
import { settle } from '../../ui/late'
import { Notice } from '../../ui/Notice'
import { Select } from '../../ui/Select'
import { useSteady } from '../../ui/useSteady'
import { BenchPaper } from './BenchPaper'
import { Dials } from './Dials'
import { DrinksMenu, DrinkTitle } from './DrinkTitle'
import { JugDrawing } from './JugDrawing'
import { Lacking } from './Lacking'
import { Lines } from './Lines'
import { PhoneBar } from './PhoneBar'
import { ProcessStrip } from './ProcessStrip'
import { SizeBar } from './SizeBar'
import { Spoken } from './Spoken'
import { Strip } from './Strip'
import { dropBackup, settled } from './saving'
import { useSize } from './size'
import { useBenchKeys } from './useBenchKeys'
import { type BenchDraft, type Edits, useDraft } from './useDraft'
import type { Turnable } from './useTurn'
import { WayForward } from './WayForward'
import type { Figure } from './WorkingDialog'
import { sheetOf, WorkMenu, type WorkSheet, WorkSheets } from './WorkMenu'

const Confirm = lazy(() => import('../../ui/Confirm').then((m) => ({ default: m.Confirm })))
const DetailsDialog = lazy(() => import('./DetailsDialog').then((m) => ({ default: m.DetailsDialog })))
const MadeDialog = lazy(() => import('./MadeDialog').then((m) => ({ default: m.MadeDialog })))
const VersionDialog = lazy(() => import('./VersionDialog').then((m) => ({ default: m.VersionDialog })))
const WorkingDialog = lazy(() => import('./WorkingDialog').then((m) => ({ default: m.WorkingDialog })))

/** LastDrink opens the drink worked on last, or says how to begin. */
export function LastDrink() {
  const drinks = useDrinks()
  const kitchen = useKitchen()
  if (drinks.error) return <Notice urgent>{drinks.error.detail}</Notice>
  if (!drinks.data || !kitchen.data) return null
  const last = drinks.data.find((d) => !d.archived)
  if (last) return <Redirect to={`/bench/${last.id}`} replace />
  return <Redirect to={kitchen.data.welcomed ? '/start' : '/welcome'} replace />
}

/** Bench is where a drink is recipeted. */
export function Bench({ id }: { id: number }) {
  const client = useQueryClient()
  const [opened, setOpened] = useState(0)
  const drink = useQuery({
    queryKey: ['drink', id, opened],
    queryFn: async () => {
      await settled(id)
      const drink = await answer(api.GET('/api/drinks/{id}', { params: { path: { id } } }))
      keepFigures(client, drink)
      return drink
    },
    staleTime: Number.POSITIVE_INFINITY,
    gcTime: 0,
    refetchOnMount: 'always',
  })
  if (drink.error) {
    return (
      <main className="grid justify-items-start gap-3 pt-6">
        <Notice urgent>{drink.error.message}</Notice>
        <DrinksMenu />
      </main>
    )
  }
  if (!drink.data || drink.isFetching) return null
  const reopen = () => {
    dropBackup(id)
    setOpened(opened + 1)
  }
  return <OpenBench key={opened} drink={drink.data} onReopen={reopen} />
}

/** useAskedSize takes the size that a link to the drink asks for, such as the one that uses up a pack. */
function useAskedSize(edits: Edits) {
  const [at, go] = useLocation()
  const asked = Number(useSearchParams()[0].get('volume'))
  useEffect(() => {
    if (!(asked > 0)) return
    edits.setRecipe({ sizeBy: 'volume', sizeValue: asked })
    go(at, { replace: true })
  }, [asked, at, edits, go])
}

/** useTool is the tool that is open, as the address says: a link to the drink may ask for one. */
function useTool() {
  const [params, set] = useSearchParams()
  const open = (tool?: WorkSheet) => set(tool ? { tool } : {}, { replace: true })
  return [sheetOf(params.get('tool')), open] as const
}

/** PageNotes are what else stood on the page that the drink was pasted from. */
function PageNotes({ notes, onForget }: { notes?: string[]; onForget: () => void }) {
  if (!notes || notes.length === 0) return null
  return (
    <details className="rounded-tray border-tray border-rim bg-enamel px-5 py-2">
      <summary className="min-h-9 cursor-pointer font-bold">{copy.bench.notesFromTheRecipe}</summary>
      <ul className="grid gap-1 py-2 text-note">
        {notes.map((text, n) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: the same words may stand there twice
          <li key={`${n}-${text}`}>{text}</li>
        ))}
      </ul>
      <Button onClick={onForget}>{copy.bench.deleteNotes}</Button>
    </details>
  )
}

type Sheet = 'made' | 'version' | 'details'

/** useAskFirst asks before something is done with a drink that lacks lines. */
function useAskFirst(r?: Reckoning) {
  const [then, setThen] = useState<() => void>()
  const first = (act: () => void) => (r && r.missing.length > 0 ? setThen(() => act) : act())
  const question = then && r && (
    <Confirm
      title={copy.bench.someLinesAreNotCounted}
      text={r.missingTold}
      confirm={copy.bench.continueAnyway}
      onConfirm={then}
      onClose={() => setThen(undefined)}
    />
  )
  return { first, question }
}

/** useSettled has what the first figures did without fetched, once they are painted. */
function useSettled(hasFigures: boolean) {
  useEffect(() => {
    if (hasFigures) requestAnimationFrame(() => setTimeout(settle))
  }, [hasFigures])
}

/** writeAtSize writes the amounts anew as they are at the size that is set. */
async function writeAtSize(bench: BenchDraft) {
  const body = { name: bench.draft.name, recipe: bench.draft.recipe, madeOn: '' }
  bench.setRecipe(await answer(api.POST('/api/recipes/at-size', { body })))
}

function OpenBench({ drink, onReopen }: { drink: Drink; onReopen: () => void }) {
  const bench = useDraft(drink)
  const reckoning = useReckoning(bench.draft.name, bench.draft.recipe)
  const turnable = useTurnable(bench)
  const [sheet, setSheet] = useState<Sheet>()
  const [work, setWork] = useTool()
  const [swap, setSwap] = useState<string>()
  const [figure, setFigure] = useState<Figure>()
  const currency = useKitchen().data?.currency ?? 'GBP'
  const addRef = useRef<HTMLInputElement>(null)
  useBenchKeys(bench, () => addRef.current?.focus())
  useAskedSize(bench.edits)
  const r = reckoning.data
  const ask = useAskFirst(r)
  useSettled(r !== undefined)
  const openWork = useSteady((of: WorkSheet) => (of === 'export' ? ask.first(() => setWork(of)) : setWork(of)))
  const openMethod = useSteady(() => setWork('method'))
  const openMade = useSteady(() => ask.first(() => setSheet('made')))
  const openDetails = useSteady(() => setSheet('details'))
  const writeSize = useSteady(() => writeAtSize(bench))
  const refused = reckoning.error instanceof Refused ? reckoning.error : undefined
  const canAct = r?.reckoned === true && !refused
  const { kept, edits } = bench
  const size = useSize(bench.draft.recipe)
  const backTo = useCallback(
    (number: number) => {
      const version = kept.versions.find((v) => v.number === number)
      if (version) edits.setRecipe(version.recipe)
    },
    [kept, edits],
  )
  return (
    // What has no figures yet would move once they are there: it is shown with them.
    <main className={classes('flex grow flex-col gap-3 max-sm:pb-16', !r && !reckoning.error && 'invisible')}>
      <BenchPaper name={bench.draft.name} r={r} currency={currency} />
      <div className="flex flex-wrap items-end justify-between gap-x-4 gap-y-2">
        <DrinkTitle bench={bench} onVersion={backTo} />
        <SizeBar size={size} edits={edits} reckoning={r} error={refused?.message} onWriteAtSize={writeSize} />
      </div>
      {bench.state.is === 'conflict' && <Conflict bench={bench} onReopen={onReopen} />}
      <div className="grid grow items-start gap-4 md:grid-cols-2 xl:grid-cols-[minmax(0,31.5rem)_minmax(0,1fr)_minmax(0,23.5rem)]">
        <div className="min-w-0 md:row-span-2 xl:row-span-1">
          <Lines bench={bench} reckoning={r} addRef={addRef} onSwap={setSwap} />
        </div>
        <Yield bench={bench} r={r} onWorking={setFigure} onWork={openWork} />
        {r && <Dials r={r} bench={turnable} onDetails={openDetails} onWorking={setFigure} />}
      </div>
      <PageNotes notes={bench.draft.recipe.notes} onForget={() => bench.setRecipe({ notes: [] })} />
      {r && (
        <ProcessStrip
          steps={r.process}
          unapplied={r.unapplied}
          changes={bench.draft.recipe.process}
          edits={bench.edits}
          onMethod={openMethod}
        />
      )}
      <Spoken r={r} />
      <Strip r={r} currency={currency} shopPrice={bench.draft.recipe.shopPrice} onWorking={setFigure}>
        <Button
          size="small"
          onClick={() => setSheet('version')}
          disabled={bench.kept.isVersion > 0 && bench.state.is === 'saved'}
        >
          {copy.bench.saveVersion}
        </Button>
        <WayForward bench={bench} ready={canAct} anyway={(r?.missing.length ?? 0) > 0} first={ask.first} />
        <Button size="small" primary disabled={!canAct} onClick={openMade}>
          {copy.bench.madeIt}
        </Button>
      </Strip>
      <PhoneBar r={canAct ? r : undefined} onMade={openMade} />
      <WorkSheets
        bench={bench}
        r={r}
        currency={currency}
        sheet={work}
        swap={swap}
        onClose={() => {
          setWork(undefined)
          setSwap(undefined)
        }}
      />
      <Laid
        bench={bench}
        r={r}
        currency={currency}
        question={ask.question}
        sheet={sheet}
        figure={figure}
        onSheet={setSheet}
        onFigure={setFigure}
      />
    </main>
  )
}

type LaidProps = {
  bench: BenchDraft
  r?: Reckoning
  currency: string
  question: ReactNode
  sheet?: Sheet
  figure?: Figure
  onSheet: (sheet?: Sheet) => void
  onFigure: (figure?: Figure) => void
}

/** Laid is what is laid over the Bench: a question, a working, one of its dialogs. */
function Laid({ bench, r, currency, question, sheet, figure, onSheet, onFigure }: LaidProps) {
  const close = () => onSheet(undefined)
  return (
    <Suspense>
      {question}
      {figure && <WorkingDialog bench={bench} figure={figure} onClose={() => onFigure(undefined)} />}
      {sheet === 'made' && r && <MadeDialog bench={bench} expected={r} onClose={close} />}
      {sheet === 'version' && <VersionDialog bench={bench} onClose={close} />}
      {sheet === 'details' && r && (
        <DetailsDialog
          r={r}
          currency={currency}
          onClose={close}
          onWorking={(of) => {
            close()
            onFigure(of)
          }}
        />
      )}
    </Suspense>
  )
}

type YieldProps = {
  bench: BenchDraft
  r?: Reckoning
  onWorking: (figure: Figure) => void
  onWork: (sheet: WorkSheet) => void
}

/** Yield is the jug with how it is filled, and the ways to work on it. */
function Yield({ bench, r, onWorking, onWork }: YieldProps) {
  const { recipe } = bench.draft
  const portions = recipe.portions ?? []
  return (
    <div className="grid min-w-0 gap-3">
      <Jug r={r} />
      <div className="text-center">
        <Lacking r={r?.reckoned ? r : undefined} />
      </div>
      {r?.reckoned && (
        <button
          type="button"
          onClick={() => onWorking('yield')}
          className="min-h-6 justify-self-center text-note text-mute underline decoration-dotted underline-offset-4"
        >
          {copy.bench.howTheYieldIsWorked}
        </button>
      )}
      <Ways strainer={recipe.strainer} edits={bench.edits} reckoned={r?.reckoned ?? false} onOpen={onWork} />
      {r?.raw && <p className="text-center text-note">{r.raw.words}</p>}
      {portions.length > 0 && (
        <p className="text-center text-note text-mute">
          {copy.bench.dividedIntoAtTheEnd(portions.map((p) => p.name).join(copy.bench.and))}
        </p>
      )}
    </div>
  )
}

/** useTurnable is the Bench as the dials see it, the same object while its draft changes. */
function useTurnable(bench: BenchDraft): Turnable {
  const draft = useRef(bench.draft)
  useEffect(() => {
    draft.current = bench.draft
  })
  const { edits } = bench
  return useMemo(() => ({ draft, edits }), [edits])
}

const Jug = memo(function Jug({ r }: { r?: Reckoning }) {
  if (!r?.reckoned) {
    return <p className="self-center px-6 text-center text-mute">{copy.bench.addABaseOrA}</p>
  }
  return <JugDrawing r={r} />
})

type WaysProps = {
  strainer: Recipe['strainer']
  edits: Edits
  reckoned: boolean
  onOpen: (sheet: WorkSheet) => void
}

/** Ways are how the drink is strained, the rest of the method, and what else can be done with it. */
const Ways = memo(function Ways({ strainer, edits, reckoned, onOpen }: WaysProps) {
  return (
    <div className="flex min-w-0 flex-wrap justify-center gap-2">
      <Select
        className="min-w-0 max-w-full"
        label={copy.bench.strainer}
        value={strainer}
        choices={strainers}
        onChange={(v) => edits.setRecipe({ strainer: v as Recipe['strainer'] })}
      />
      <Button onClick={() => onOpen('method')}>{copy.bench.method}</Button>
      <WorkMenu reckoned={reckoned} onOpen={onOpen} />
    </div>
  )
})

/** Conflict says that another tab saved first, and lets the cook choose. */
function Conflict({ bench, onReopen }: { bench: BenchDraft; onReopen: () => void }) {
  return (
    <Notice urgent>
      <p>
        <b>{copy.bench.thisDrinkWasChangedIn}</b>
        {copy.bench.yourChangesAreNotSaved}
      </p>
      <div className="mt-2 flex flex-wrap gap-2">
        <Button onClick={onReopen}>{copy.bench.loadTheOtherVersion}</Button>
        <Button onClick={() => bench.saver.overwrite()}>{copy.bench.saveMineInstead}</Button>
      </div>
    </Notice>
  )
}
