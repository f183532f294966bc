import type { Reckoning } from '../../api/schema'
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
      title="What is in it"
      intro="Estimates from the mass balance. Local food-safety rules come first."
    >
      <h3 className="text-lg">To know</h3>
      <ul className="mb-4 grid gap-2">
        {r.cautions.map((c) => (
          <li key={c.code}>
            {c.text}
            {c.value !== undefined && (
              <span className="text-mute">
                {' '}
                ({toThreeFigures(c.value)} {c.unit}
                {c.limit !== undefined && `, limit ${toThreeFigures(c.limit)}`})
              </span>
            )}
            <HowButton figure={workingOf(c.code)} onWorking={onWorking} />
          </li>
        ))}
      </ul>
      <ForWhom r={r} />
      <Cost r={r} currency={currency} />
      <NutritionTable r={r} />
      <h3 className="mt-4 text-lg">Assumed</h3>
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
      Where it comes from<span className="sr-only">: {figure}</span>
    </button>
  )
}

function ForWhom({ r }: { r: Reckoning }) {
  const told = r.forWhom.filter((f) => f.reasons.length > 0)
  if (told.length === 0) return null
  return (
    <>
      <h3 className="text-lg">For whom</h3>
      <ul className="mb-4 grid gap-1">
        {told.map((f) => (
          <li key={f.name}>
            <b>
              {f.not ? 'Not for ' : 'For '}
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
      <b>Cost.</b>{' '}
      {r.cost.known
        ? `${toMoney(r.cost.batch, currency)} a batch, ${toMoney(r.cost.perLitre, currency)} a litre, ${toMoney(r.cost.perServing, currency)} a serving.`
        : 'No prices are known yet.'}
      {r.cost.unpriced.length > 0 && ` Without a price: ${r.cost.unpriced.join(', ')}. Set them in the Pantry.`}
      {r.leftoverML > 0 && ` ${toWhole(r.leftoverML)} mL of the brewed part is left over.`}
      {r.steamG > 0 && ` ${toWhole(r.steamG)} g of water boils away, ${toWhole(r.foamG)} g is skimmed.`}
      {r.brixPct > 40 &&
        ` The syrup has ${toTenth(r.brixPct)} °Bx and a water activity of ${r.waterActivity.toFixed(3)}.`}
    </p>
  )
}

function NutritionTable({ r }: { r: Reckoning }) {
  const rows = [
    ['Energy, kcal', toWhole(r.per100mL.energyKcal), toWhole(r.perServing.energyKcal)],
    ['Protein, g', toTenth(r.per100mL.proteinG), toTenth(r.perServing.proteinG)],
    ['Fat, g', toTenth(r.per100mL.fatG), toTenth(r.perServing.fatG)],
    ['– of it saturated, g', toTenth(r.per100mL.saturatedFatG), toTenth(r.perServing.saturatedFatG)],
    ['Carbohydrate, g', toTenth(r.per100mL.carbohydrateG), toTenth(r.perServing.carbohydrateG)],
    ['– sugars, g', toTenth(r.per100mL.sugarsG), toTenth(r.perServing.sugarsG)],
    ['– of them free, g', toTenth(r.per100mL.freeSugarsG), toTenth(r.perServing.freeSugarsG)],
    ['Fibre, g', toTenth(r.per100mL.fibreG), toTenth(r.perServing.fibreG)],
    ['Sodium, mg', toWhole(r.per100mL.sodiumMg), toWhole(r.perServing.sodiumMg)],
  ]
  return (
    <table className="w-full text-note">
      <caption className="text-left font-head text-lg font-bold">Nutrition</caption>
      <thead>
        <tr className="text-left text-mute">
          <th scope="col" className="font-normal">
            Estimated
          </th>
          <th scope="col" className="text-right font-normal">
            100 mL
          </th>
          <th scope="col" className="text-right font-normal">
            {toWhole(r.servingML)} mL serving
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
