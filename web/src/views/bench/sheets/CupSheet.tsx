import { useState } from 'react'
import { answer, api } from '../../../api/client'
import { Cup as limits } from '../../../api/limits'
import type { Cup, InTheCup } from '../../../api/schema'
import { copy } from '../../../copy/more'
import { Button } from '../../../ui/Button'
import { Check } from '../../../ui/Check'
import { Sheet } from '../../../ui/Dialog'
import { ErrorText } from '../../../ui/Field'
import { toGrams, toTenth, toWhole } from '../../../ui/format'
import { NumberField } from '../../../ui/NumberField'
import { Select } from '../../../ui/Select'
import { Table } from '../../../ui/Table'
import { useKept } from '../../../ui/Typing'
import type { BenchDraft } from '../useDraft'
import { useAsk } from './useAsk'

const intos = [
  { value: 'coffee', label: copy.bench.aCupOfCoffee },
  { value: 'water', label: copy.bench.aGlassOfWater },
  { value: 'milk', label: copy.bench.aGlassOfMilk },
  { value: 'ice', label: copy.bench.aGlassOverIce },
]

/** Temperatures that are usual, to begin with. */
const usualC: Record<Cup['into'], number> = { coffee: 75, water: 8, milk: 5, ice: 4 }

/** CupSheet is what the drink does in a cup of coffee, in a glass, or over ice; and the ice that chills a warm batch. */
export function CupSheet({
  bench,
  kind,
  iceG,
  groundC,
  onClose,
}: {
  bench: BenchDraft
  kind: string
  iceG: number
  groundC: number
  onClose: () => void
}) {
  const { name, recipe } = bench.draft
  const [into, setInto] = useKept<Cup['into']>(
    'into',
    kind === 'creamer' ? 'coffee' : kind === 'concentrate' ? 'water' : 'ice',
  )
  const [spoonML, setSpoonML] = useKept('spoon', 0)
  const [cupML, setCupML] = useKept('cup', 200)
  const [cupC, setCupC] = useKept<number | undefined>('temperature', undefined)
  const [acid, setAcid] = useKept('acid', false)
  const [ageDays, setAgeDays] = useKept('age', 0)
  const body = { name, recipe, into, spoonML, cupML, cupC: cupC ?? usualC[into], acid, ageDays }
  const cup = useAsk('cup', body, () => answer(api.POST('/api/cups', { body })))
  return (
    <Sheet title={copy.bench.inACupOfCoffee} intro={copy.bench.howTheDrinkTastesIn} onClose={onClose}>
      <Select
        label={copy.bench.into}
        value={into}
        choices={intos}
        onChange={(v) => {
          setInto(v as Cup['into'])
          setCupC(undefined)
        }}
      />
      <div className="grid grid-cols-2 gap-3">
        <NumberField
          label={copy.bench.amountOfTheDrink}
          unit="mL"
          hint={copy.bench.leaveEmptyForOneServing}
          value={spoonML || undefined}
          limit={limits.spoonML}
          onNumber={setSpoonML}
          onEmpty={() => setSpoonML(0)}
          error={cup.fields.spoonML}
        />
        {into !== 'ice' && (
          <NumberField
            label={copy.bench.addedTo}
            unit="mL"
            value={cupML}
            limit={limits.cupML}
            onNumber={setCupML}
            error={cup.fields.cupML}
          />
        )}
        <NumberField
          label={into === 'ice' ? copy.bench.temperatureOfTheDrink : copy.bench.temperatureOfTheCup}
          unit="°C"
          limit={limits.cupC}
          value={cupC ?? usualC[into]}
          onNumber={setCupC}
          error={cup.fields.cupC}
        />
        {into === 'coffee' && (
          <NumberField
            label={copy.bench.ageOfTheDrink}
            unit={copy.bench.daysUnit}
            limit={limits.ageDays}
            value={ageDays}
            onNumber={setAgeDays}
            error={cup.fields.ageDays}
          />
        )}
      </div>
      {into === 'coffee' && <Check label={copy.bench.aLightBrightCoffee} checked={acid} onChange={setAcid} />}
      <ErrorText id="cup-error">{cup.refused?.message}</ErrorText>
      {cup.data && <CupTable cup={cup.data} iced={into === 'ice'} />}
      {cup.data?.splitReasons.map((reason) => (
        <p key={reason} className="text-note text-mute">
          {reason}
        </p>
      ))}
      {iceG >= 1 && <IceInstead bench={bench} iceG={iceG} groundC={groundC} onDone={onClose} />}
    </Sheet>
  )
}

type IceProps = { bench: BenchDraft; iceG: number; groundC: number; onDone: () => void }

/** IceInstead offers ice in the place of some of the water, to chill the batch as it is made. */
function IceInstead({ bench, iceG, groundC, onDone }: IceProps) {
  const { name, recipe } = bench.draft
  const [problem, setProblem] = useState<string>()
  const chill = async () => {
    try {
      bench.setRecipe(await answer(api.POST('/api/ice', { body: { name, recipe } })))
      onDone()
    } catch (e) {
      setProblem(e instanceof Error ? e.message : copy.bench.thisCouldNotBeWorked)
    }
  }
  return (
    <section aria-label={copy.bench.ice} className="grid gap-2">
      <h3 className="text-lg">{copy.bench.iceToChillTheBatch}</h3>
      <p>{copy.bench.itLeavesTheBlenderAt(toWhole(groundC), toGrams(iceG))}</p>
      <Button onClick={chill}>{copy.bench.replaceTheWater}</Button>
      <ErrorText id="ice-error">{problem}</ErrorText>
    </section>
  )
}

/** CupTable is what comes of it, figure by figure. */
function CupTable({ cup, iced }: { cup: InTheCup; iced: boolean }) {
  return (
    <Table
      caption={copy.bench.inTheCup}
      heads={['', '']}
      rows={[
        { key: 'all', cells: [copy.bench.total, copy.bench.ml(toWhole(cup.totalML))] },
        { key: 'sweet', cells: [copy.bench.sweetness, copy.bench.g100Ml(toTenth(cup.sweetG))], strong: true },
        { key: 'fat', cells: [copy.bench.fat, `${toTenth(cup.fatPct)} %`] },
        { key: 'free', cells: [copy.bench.freeSugars, `${toTenth(cup.freeSugarsG)} g`] },
        { key: 'energy', cells: [copy.bench.energy, copy.bench.kcal(toWhole(cup.energyKcal))] },
        iced
          ? { key: 'ice', cells: [copy.bench.iceThatMelts, toGrams(cup.meltedG)] }
          : {
              key: 'temp',
              cells: [copy.bench.temperature, copy.bench.cLower(toWhole(cup.finalC), toTenth(cup.dropC))],
            },
        ...(cup.splitRisk ? [{ key: 'split', cells: [copy.bench.riskOfSplitting, cup.splitRisk] }] : []),
      ]}
    />
  )
}
