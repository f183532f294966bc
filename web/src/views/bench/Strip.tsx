import type { ReactNode } from 'react'
import type { Reckoning } from '../../api/schema'
import { copy } from '../../copy'
import { toMoney, toTenth, toWhole } from '../../ui/format'
import { Lacking } from './Lacking'
import type { Figure as FigureName } from './WorkingDialog'

type Props = {
  r?: Reckoning
  currency: string
  shopPrice: number
  onWorking: (figure: FigureName) => void
  children: ReactNode
}

/** A serving that is all but there counts. */
const almost = 0.05

/** Strip is the line of figures under the trays, with what can be done next. */
export function Strip({ r, currency, shopPrice, onWorking, children }: Props) {
  const known = r?.reckoned ? r : undefined
  return (
    <section
      aria-label={copy.bench.atAGlance}
      className="flex flex-wrap items-center gap-y-2 rounded-tray border-tray border-rim bg-enamel px-2 py-2.5 xl:sticky xl:bottom-3 xl:shadow-[0_0.9rem_0_0_var(--color-linen)]"
    >
      <Figure
        value={known && toWhole(Math.floor(known.servings + almost))}
        words={known ? copy.bench.servingsOfMl(toWhole(known.servingML)) : copy.bench.servingsUnit}
      />
      <Figure value={known && `${toTenth(known.perServing.freeSugarsG)} g`} words={copy.bench.freeSugarsEach} />
      <Figure
        value={known && `${toWhole(known.perServing.energyKcal)} kcal`}
        words={known ? copy.bench.eachGProtein(toTenth(known.perServing.proteinG)) : copy.bench.eachUnit}
      />
      <Figure
        onOpen={known?.cost.known ? () => onWorking('cost') : undefined}
        value={known?.cost.known && toMoney(known.cost.perServing, currency)}
        words={costWords(known, currency, shopPrice)}
      />
      <Figure
        value={known?.keeps.known && copy.bench.daysMany(known.keeps.wholeDays)}
        words={known?.keeps.known ? copy.bench.inTheFridgeFrozen(known.keeps.freezerDays) : copy.bench.keptInFridge}
      />
      <Lacking r={known} />
      <div className="ml-auto flex flex-wrap gap-1.5 px-1">{children}</div>
    </section>
  )
}

/** costWords is the litre beside the shop's, and what has no price yet. */
function costWords(r: Reckoning | undefined, currency: string, shopPrice: number): string {
  if (!r?.cost.known) return copy.bench.aServingNoPricesYet
  const litre = copy.bench.aLitre(toMoney(r.cost.perLitre, currency))
  const shop = shopPrice > 0 ? copy.bench.inAShop(toMoney(shopPrice, currency)) : ''
  return r.cost.unpriced.length > 0 ? copy.bench.withoutAPrice(litre, r.cost.unpriced.length) : litre + shop
}

function Figure({ value, words, onOpen }: { value?: string | false; words: string; onOpen?: () => void }) {
  const look = 'block font-head text-xl leading-tight font-bold'
  return (
    <p className="max-w-[12rem] border-line px-3 not-first:border-l max-sm:min-w-[44%]">
      {onOpen ? (
        <button
          type="button"
          onClick={onOpen}
          className={`${look} underline decoration-dotted decoration-1 underline-offset-4`}
        >
          {value}
          <span className="sr-only">{copy.bench.howTheCostIsWorked}</span>
        </button>
      ) : (
        <span className={look}>{value || '–'}</span>
      )}
      <span className="text-detail text-mute">{words}</span>
    </p>
  )
}
