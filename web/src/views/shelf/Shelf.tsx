import { useRef, useState } from 'react'
import { Link, useLocation } from 'wouter'
import { useKitchen, usePlan } from '../../api/hooks'
import type { Bottle, Plan, Shelf as ShelfNow } from '../../api/schema'
import { useShelf } from '../../api/shelf'
import { unlessTyping, useKeys } from '../../app/keys'
import { copy } from '../../copy/more'
import { Field } from '../../ui/Field'
import { toMillilitres } from '../../ui/format'
import { Notice } from '../../ui/Notice'
import { Select } from '../../ui/Select'
import { Tray } from '../../ui/Tray'
import { Bowls } from '../bowls/Bowls'
import { BottleTray } from './BottleTray'
import { CanMake } from './CanMake'
import { GoneBottle } from './GoneBottle'
import { Packs } from './Packs'
import { Places } from './Places'
import { Pulps } from './Pulps'
import { Rhythm } from './Rhythm'
import { ShelfPaper } from './ShelfPaper'
import { Thermo } from './Thermo'
import { UseFirst } from './UseFirst'

/** Shelf shows what stands in fridge and freezer, the bottle to use first first. */
export function Shelf({ id }: { id?: number }) {
  const shelf = useShelf()
  const kitchen = useKitchen()
  const plan = usePlan()
  const [, go] = useLocation()
  const [chosen, setChosen] = useState(id)
  const [find, setFind] = useState('')
  const [drinker, setDrinker] = useState('')
  const tray = useRef<HTMLDivElement>(null)
  const findField = useRef<HTMLInputElement>(null)
  useKeys({ '/': unlessTyping(() => findField.current?.focus()) })
  if (!shelf.data) return shelf.error ? <Notice urgent>{shelf.error.detail}</Notice> : null
  const { bottles, totalML } = shelf.data
  if (bottles.length === 0)
    return (
      <>
        {id !== undefined && <GoneBottle id={id} />}
        <EmptyShelf plan={plan.data} shelf={shelf.data} />
      </>
    )
  const gone = chosen !== undefined && !bottles.some((b) => b.id === chosen) ? chosen : undefined
  const bottle = gone === undefined ? (bottles.find((b) => b.id === chosen) ?? bottles[0]) : undefined
  const choose = (id: number) => {
    setChosen(id)
    go(`/shelf/${id}`, { replace: true })
    tray.current?.scrollIntoView({ block: 'nearest' }) // on a phone it stands above the bottles
  }
  const found = bottles.filter((b) =>
    copy.shelf.searchable(b.drinkName, b.allergens.join(' '), b.id).toLowerCase().includes(find.trim().toLowerCase()),
  )
  const summary = [copy.shelf.bottles(bottles.length), toMillilitres(totalML), firstWords(bottles)].join(' · ')
  return (
    <main className="flex flex-col gap-3">
      <ShelfPaper shelf={shelf.data} intro={summary} />
      <div className="flex flex-wrap items-end justify-between gap-2">
        <div>
          <h1 className="text-title leading-tight">{copy.shelf.shelf}</h1>
          <p className="text-mute">{summary}</p>
        </div>
        <div className="flex flex-wrap items-end gap-2">
          <Field
            ref={findField}
            label={copy.shelf.findABottle}
            className="w-48"
            value={find}
            onChange={(e) => setFind(e.target.value)}
          />
          <ForWhomSelect bottles={bottles} drinker={drinker} onDrinker={setDrinker} />
          <Link
            href={`/labels?bottles=${bottles
              .filter((b) => b.standing !== 'past')
              .map((b) => b.id)
              .join(',')}`}
            className="inline-flex min-h-11 items-center rounded-full border-2 border-rim bg-enamel px-4 font-bold"
          >
            {copy.shelf.printAllLabels}
          </Link>
        </div>
      </div>
      {shelf.error && <Notice urgent>{shelf.error.detail}</Notice>}
      <UseFirst bottles={found} chosen={bottle?.id} onChoose={choose} />
      <div className="grid grid-cols-[minmax(0,1fr)] items-start gap-4 lg:grid-cols-[minmax(0,1fr)_23.5rem] lg:grid-rows-[auto_1fr]">
        <div className="grid gap-4 lg:row-span-2">
          <Places
            bottles={found}
            fridgeC={kitchen.data?.fridgeC}
            chosen={bottle?.id}
            drinker={drinker}
            onChoose={choose}
          />
          <Thermo />
          <CanMake />
          <Packs packs={shelf.data.packs} />
          <Pulps pulps={shelf.data.pulps} />
          {plan.data && <Bowls plan={plan.data} />}
        </div>
        <div ref={tray} className="scroll-mt-2 max-lg:order-first">
          {gone !== undefined && <GoneBottle key={gone} id={gone} />}
          {bottle && (
            <BottleTray
              key={bottle.id}
              b={bottle}
              others={bottles.filter((o) => o.drinkID === bottle.drinkID && o.id !== bottle.id)}
            />
          )}
        </div>
        <Rhythm />
      </div>
    </main>
  )
}

type ForWhomProps = { bottles: Bottle[]; drinker: string; onDrinker: (name: string) => void }

/** ForWhomSelect marks each bottle as one for a drinker, or not. */
function ForWhomSelect({ bottles, drinker, onDrinker }: ForWhomProps) {
  const names = [...new Set(bottles.flatMap((b) => b.forWhom.map((w) => w.name)))]
  if (names.length === 0) return null
  const choices = [{ value: 'all', label: copy.shelf.everyone }, ...names.map((n) => ({ value: n, label: n }))]
  return (
    <Select
      label={copy.shelf.forWhom}
      value={drinker || 'all'}
      choices={choices}
      onChange={(v) => onDrinker(v === 'all' ? '' : v)}
    />
  )
}

/** firstWords says what to do first. */
function firstWords(bottles: Bottle[]): string {
  const past = bottles.filter((b) => b.standing === 'past').length
  const next = bottles.find((b) => b.standing !== 'past')
  const words = next
    ? copy.shelf.drinkFirst(next.drinkName, next.standing === 'last day' ? copy.shelf.todayIsItsLastDay : next.timeLeft)
    : ''
  if (past === 0) return words
  return [copy.shelf.pastDate(past), words].filter(Boolean).join(' · ')
}

function EmptyShelf({ plan, shelf }: { plan?: Plan; shelf: ShelfNow }) {
  return (
    <main className="grid gap-4 pt-6">
      <Tray className="max-w-xl">
        <h1 className="text-2xl">{copy.shelf.theShelfIsEmpty}</h1>
        <p className="my-2">{copy.shelf.bottlesAppearHereAfterYou}</p>
        <Link href="/" className="inline-flex min-h-11 items-center rounded-full bg-rim px-4 font-bold text-on-rim">
          {copy.shelf.goToTheBench}
        </Link>
      </Tray>
      {plan && plan.bowls.length > 0 && <Bowls plan={plan} />}
      <CanMake />
      <Packs packs={shelf.packs} />
      <Pulps pulps={shelf.pulps} />
      <Thermo />
      <Rhythm />
    </main>
  )
}
