import type { Reckoning } from '../../api/schema'
import { copy } from '../../copy/more'
import { Dialog } from '../../ui/Dialog'
import { toMoney, toTenth, toThreeFigures, toWhole } from '../../ui/format'
import type { Figure } from './WorkingDialog'

/** Cautions whose figure can be followed to the lines it comes from. */
const traced = ['free-sugars', 'selenium', 'iodine', 'coumarin', 'nutmeg', 'oil-separates', 'unfortified'] as const

const workingOf = (code: string) => traced.find((t) => t === code)

type Props = { r: Reckoning; currency: string; onClose: () => void; onWorking: (figure: Figure) => void }

/** DetailsDialog is all there is to know: every caution, nutrition, and what was assumed. */
export function DetailsDialog({ r, currency, onClose, onWorking }: Props) {
  return (
    <Dialog
      open
      onClose={onClose}
      title={copy.bench.nutritionAndCautions}
      intro={copy.bench.allFiguresAreEstimatesFollow}
    >
      <h3 className="text-lg">{copy.bench.goodToKnow}</h3>
      <ul className="mb-4 grid gap-2">
        {r.cautions.map((c) => (
          <li key={c.code}>
            {c.text}
            {c.value !== undefined && (
              <span className="text-mute">
                {' '}
                ({toThreeFigures(c.value)} {c.unit}
                {c.limit !== undefined && copy.bench.ofLimit(toThreeFigures(c.limit), c.unit)})
              </span>
            )}
            <HowButton figure={workingOf(c.code)} onWorking={onWorking} />
          </li>
        ))}
      </ul>
      <ForWhom r={r} />
      <Cost r={r} currency={currency} />
      <NutritionTable r={r} />
      <h3 className="mt-4 text-lg">{copy.bench.assumptions}</h3>
      <ul className="list-disc pl-5 text-note text-mute">
        {r.assumptions.map((a) => (
          <li key={a}>{a}</li>
        ))}
      </ul>
    </Dialog>
  )
}

/** HowButton opens the working of what a caution is held against; one that has none shows nothing. */
function HowButton({ figure, onWorking }: { figure?: Figure; onWorking: (figure: Figure) => void }) {
  if (!figure) return null
  return (
    <button type="button" className="ml-1 min-h-6 underline" onClick={() => onWorking(figure)}>
      {copy.bench.whereItComesFrom}
      <span className="sr-only">: {figure}</span>
    </button>
  )
}

function ForWhom({ r }: { r: Reckoning }) {
  const told = r.forWhom.filter((f) => f.reasons.length > 0)
  if (told.length === 0) return null
  return (
    <>
      <h3 className="text-lg">{copy.bench.whoItIsFor}</h3>
      <ul className="mb-4 grid gap-1">
        {told.map((f) => (
          <li key={f.name}>
            <b>
              {f.not ? copy.bench.notFor : copy.bench.forOne}
              {f.name}
            </b>
            : {f.reasons.join('; ')}
          </li>
        ))}
      </ul>
    </>
  )
}

function Cost({ r, currency }: { r: Reckoning; currency: string }) {
  return (
    <p className="mb-4">
      <b>{copy.bench.cost}</b>{' '}
      {r.cost.known
        ? copy.bench.aBatchALitreA(
            toMoney(r.cost.batch, currency),
            toMoney(r.cost.perLitre, currency),
            toMoney(r.cost.perServing, currency),
          )
        : copy.bench.noPricesYet}
      {r.cost.unpriced.length > 0 && copy.bench.noPriceForAddPrices(r.cost.unpriced.join(', '))}
      {r.leftoverML > 0 && copy.bench.mlOfTheBrewIs(toWhole(r.leftoverML))}
      {r.steamG > 0 && copy.bench.gOfWaterBoilsOff(toWhole(r.steamG), toWhole(r.foamG))}
      {r.brixPct > 40 && copy.bench.theSyrupIsBxWater(toTenth(r.brixPct), r.waterActivity.toFixed(3))}
    </p>
  )
}

function NutritionTable({ r }: { r: Reckoning }) {
  const rows = [
    [copy.bench.energyKcal, toWhole(r.per100mL.energyKcal), toWhole(r.perServing.energyKcal)],
    [copy.bench.proteinG, toTenth(r.per100mL.proteinG), toTenth(r.perServing.proteinG)],
    [copy.bench.fatG, toTenth(r.per100mL.fatG), toTenth(r.perServing.fatG)],
    [copy.bench.saturatedG, toTenth(r.per100mL.saturatedFatG), toTenth(r.perServing.saturatedFatG)],
    [copy.bench.carbohydrateG, toTenth(r.per100mL.carbohydrateG), toTenth(r.perServing.carbohydrateG)],
    [copy.bench.sugarsG, toTenth(r.per100mL.sugarsG), toTenth(r.perServing.sugarsG)],
    [copy.bench.freeSugarsG, toTenth(r.per100mL.freeSugarsG), toTenth(r.perServing.freeSugarsG)],
    [copy.bench.fibreG, toTenth(r.per100mL.fibreG), toTenth(r.perServing.fibreG)],
    [copy.bench.sodiumMg, toWhole(r.per100mL.sodiumMg), toWhole(r.perServing.sodiumMg)],
  ]
  return (
    <table className="w-full text-note">
      <caption className="text-left font-head text-lg font-bold">{copy.bench.nutrition}</caption>
      <thead>
        <tr className="text-left text-mute">
          <th scope="col" className="font-normal">
            {copy.bench.nutrition}
          </th>
          <th scope="col" className="text-right font-normal">
            {copy.bench.n100Ml}
          </th>
          <th scope="col" className="text-right font-normal">
            {copy.bench.mlServing(toWhole(r.servingML))}
          </th>
        </tr>
      </thead>
      <tbody>
        {rows.map(([name, per100, each]) => (
          <tr key={name} className="border-t border-line">
            <th scope="row" className="py-1 text-left font-normal">
              {name}
            </th>
            <td className="text-right">{per100}</td>
            <td className="text-right font-bold">{each}</td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}
