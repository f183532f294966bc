import type { ReactNode } from 'react'
import type { Reckoning } from '../../api/schema'
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
      aria-label="At a glance"
      className="flex flex-wrap items-center gap-y-2 rounded-tray border-tray border-rim bg-enamel px-2 py-2.5 xl:sticky xl:bottom-3 xl:shadow-[0_0.9rem_0_0_var(--color-linen)]"
    >
      <Figure
        value={known && toWhole(Math.floor(known.servings + almost))}
        words={known ? `servings of ${toWhole(known.servingML)} mL` : 'servings'}
      />
      <Figure value={known && `${toTenth(known.perServing.freeSugarsG)} g`} words="free sugars each" />
      <Figure
        value={known && `${toWhole(known.perServing.energyKcal)} kcal`}
        words={known ? `each, ${toTenth(known.perServing.proteinG)} g protein` : 'each'}
      />
      <Figure
        onOpen={known?.cost.known ? () => onWorking('cost') : undefined}
        value={known?.cost.known && toMoney(known.cost.perServing, currency)}
        words={costWords(known, currency, shopPrice)}
      />
      <Figure
        value={known?.keeps.known && days(known.keeps.wholeDays)}
        words={known?.keeps.known ? `in the fridge, ${known.keeps.freezerDays} frozen` : 'in the fridge'}
      />
      <Lacking r={known} />
      <div className="ml-auto flex flex-wrap gap-2 px-2">{children}</div>
    </section>
  )
}

/** costWords is the litre beside the shop's, and what has no price yet. */
function costWords(r: Reckoning | undefined, currency: string, shopPrice: number): string {
  if (!r?.cost.known) return 'a serving; no prices yet'
  const litre = `${toMoney(r.cost.perLitre, currency)} a litre`
  const shop = shopPrice > 0 ? `, shop ${toMoney(shopPrice, currency)}` : ''
  return r.cost.unpriced.length > 0 ? `${litre}, without ${r.cost.unpriced.length} unpriced` : litre + shop
}

const days = (n: number) => (n === 1 ? '1 day' : `${n} days`)

function Figure({ value, words, onOpen }: { value?: string | false; words: string; onOpen?: () => void }) {
  const look = 'block font-head text-xl leading-tight font-bold'
  return (
    <p className="min-w-[7.5rem] max-w-[14rem] border-line px-3 not-first:border-l max-sm:min-w-[44%]">
      {onOpen ? (
        <button
          type="button"
          onClick={onOpen}
          className={`${look} underline decoration-dotted decoration-1 underline-offset-4`}
        >
          {value}
          <span className="sr-only">, how the cost is reckoned</span>
        </button>
      ) : (
        <span className={look}>{value || '–'}</span>
      )}
      <span className="text-detail text-mute">{words}</span>
    </p>
  )
}
