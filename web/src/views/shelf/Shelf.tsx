import { useRef, useState } from 'react'
import { Link } from 'wouter'
import { useKitchen, usePlan, useShelf } from '../../api/hooks'
import type { Bottle, Plan } from '../../api/schema'
import { Field } from '../../ui/Field'
import { toMillilitres } from '../../ui/format'
import { Notice } from '../../ui/Notice'
import { Tray } from '../../ui/Tray'
import { Bowls } from '../bowls/Bowls'
import { BottleTray } from './BottleTray'
import { Place } from './Place'
import { Pulps } from './Pulps'
import { Rhythm } from './Rhythm'
import { Thermo } from './Thermo'

/** Shelf shows what stands in fridge and freezer, the bottle to use first first. */
export function Shelf({ id }: { id?: number }) {
  const shelf = useShelf()
  const kitchen = useKitchen()
  const plan = usePlan()
  const [chosen, setChosen] = useState(id)
  const [find, setFind] = useState('')
  const tray = useRef<HTMLDivElement>(null)
  if (shelf.error) return <Notice urgent>{shelf.error.message}</Notice>
  if (!shelf.data) return null
  const { bottles, totalML } = shelf.data
  if (bottles.length === 0) return <EmptyShelf plan={plan.data} />
  const bottle = bottles.find((b) => b.id === chosen) ?? bottles[0]
  const choose = (id: number) => {
    setChosen(id)
    tray.current?.scrollIntoView({ block: 'nearest' }) // on a phone it stands above the bottles
  }
  const found = bottles.filter((b) =>
    `${b.drinkName} ${b.allergens.join(' ')} bottle ${b.id}`.toLowerCase().includes(find.trim().toLowerCase()),
  )
  const inThe = (place: string) => found.filter((b) => b.place === place)
  return (
    <main className="flex flex-col gap-3">
      <div className="flex flex-wrap items-end justify-between gap-2">
        <div>
          <h1 className="text-[32px] leading-tight">Shelf</h1>
          <p className="text-mute">
            {bottles.length === 1 ? '1 bottle' : `${bottles.length} bottles`} · {toMillilitres(totalML)} ·{' '}
            {firstWords(bottles)}
          </p>
        </div>
        <div className="flex flex-wrap items-end gap-2">
          <Field label="Find a bottle" className="w-56" value={find} onChange={(e) => setFind(e.target.value)} />
          <Link
            href={`/labels?bottles=${bottles
              .filter((b) => b.standing !== 'past')
              .map((b) => b.id)
              .join(',')}`}
            className="inline-flex min-h-11 items-center rounded-full border-2 border-rim bg-enamel px-4 font-bold"
          >
            Labels for all
          </Link>
        </div>
      </div>
      <div className="grid items-start gap-4 lg:grid-cols-[minmax(0,1fr)_23.5rem]">
        <div className="grid gap-4 lg:row-span-2">
          <div className="overflow-hidden rounded-tray border-[2.5px] border-rim bg-glass md:grid md:grid-cols-[minmax(0,2fr)_minmax(0,1fr)]">
            <Place
              name={`Fridge, set to ${kitchen.data?.fridgeC ?? '–'} °C`}
              bottles={inThe('fridge')}
              chosen={bottle?.id}
              onChoose={choose}
              empty="Nothing in the fridge."
            />
            <div className="border-rim max-md:border-t-[3px] md:border-l-[3px]">
              <Place
                name="Freezer"
                bottles={inThe('freezer')}
                chosen={bottle?.id}
                onChoose={choose}
                empty="Nothing in the freezer."
              />
              {inThe('door').length > 0 && (
                <Place name="Fridge door" bottles={inThe('door')} chosen={bottle?.id} onChoose={choose} empty="" />
              )}
              {inThe('outside').length > 0 && (
                <Place name="Outside" bottles={inThe('outside')} chosen={bottle?.id} onChoose={choose} empty="" />
              )}
            </div>
          </div>
          <Thermo />
          <Pulps pulps={shelf.data.pulps} />
        </div>
        {bottle && (
          <div ref={tray} className="scroll-mt-2 max-lg:order-first">
            <BottleTray
              key={bottle.id}
              b={bottle}
              others={bottles.filter((o) => o.drinkID === bottle.drinkID && o.id !== bottle.id)}
            />
          </div>
        )}
        <div className="grid gap-4">
          <Rhythm />
          {plan.data && <Bowls plan={plan.data} />}
        </div>
      </div>
    </main>
  )
}

/** firstWords says what to do first. */
function firstWords(bottles: Bottle[]): string {
  const past = bottles.filter((b) => b.standing === 'past').length
  const next = bottles.find((b) => b.standing !== 'past')
  const words = next
    ? `use ${next.drinkName} first, ${next.standing === 'last day' ? 'today is its last day' : next.timeLeft}`
    : ''
  if (past === 0) return words
  return [`${past} past ${past === 1 ? 'its' : 'their'} date`, words].filter(Boolean).join(' · ')
}

function EmptyShelf({ plan }: { plan?: Plan }) {
  return (
    <main className="grid gap-4 pt-6">
      <Tray className="max-w-xl">
        <h1 className="text-2xl">The shelf is empty</h1>
        <p className="my-2">
          Bottles stand here once a drink is made, each with its last good day and what is left in it.
        </p>
        <Link href="/" className="inline-flex min-h-11 items-center rounded-full bg-rim px-4 font-bold text-on-rim">
          Go to the Bench
        </Link>
      </Tray>
      {plan && plan.bowls.length > 0 && <Bowls plan={plan} />}
    </main>
  )
}
