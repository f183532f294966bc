import { useState } from 'react'
import { answer, api } from '../../../api/client'
import type { Cup, InTheCup } from '../../../api/schema'
import { Button } from '../../../ui/Button'
import { Check } from '../../../ui/Check'
import { Sheet } from '../../../ui/Dialog'
import { ErrorText } from '../../../ui/Field'
import { toGrams, toTenth, toWhole } from '../../../ui/format'
import { NumberField } from '../../../ui/NumberField'
import { Select } from '../../../ui/Select'
import { Table } from '../../../ui/Table'
import type { BenchDraft } from '../useDraft'
import { useAsk } from './useAsk'

const intos = [
  { value: 'coffee', label: 'a cup of coffee' },
  { value: 'water', label: 'a glass of water' },
  { value: 'milk', label: 'a glass of milk' },
  { value: 'ice', label: 'a glass over ice' },
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
  const [into, setInto] = useState<Cup['into']>(
    kind === 'creamer' ? 'coffee' : kind === 'concentrate' ? 'water' : 'ice',
  )
  const [spoonML, setSpoonML] = useState(0)
  const [cupML, setCupML] = useState(200)
  const [cupC, setCupC] = useState<number>()
  const [acid, setAcid] = useState(false)
  const [ageDays, setAgeDays] = useState(0)
  const body = { name, recipe, into, spoonML, cupML, cupC: cupC ?? usualC[into], acid, ageDays }
  const cup = useAsk('cup', body, () => answer(api.POST('/api/cups', { body })))
  const [problem, setProblem] = useState<string>()
  const chill = async () => {
    try {
      bench.setRecipe(await answer(api.POST('/api/ice', { body: { name, recipe } })))
      onClose()
    } catch (e) {
      setProblem(e instanceof Error ? e.message : 'It could not be done.')
    }
  }
  return (
    <Sheet title="In the cup" intro="How it is drunk is how it is judged." onClose={onClose}>
      <Select
        label="In"
        value={into}
        choices={intos}
        onChange={(v) => {
          setInto(v as Cup['into'])
          setCupC(undefined)
        }}
      />
      <div className="grid grid-cols-2 gap-3">
        <NumberField
          label="Of the drink"
          unit="mL"
          hint="Empty for a serving."
          value={spoonML || undefined}
          onNumber={setSpoonML}
          onEmpty={() => setSpoonML(0)}
          error={cup.fields.spoonML}
        />
        {into !== 'ice' && (
          <NumberField label="Into" unit="mL" value={cupML} onNumber={setCupML} error={cup.fields.cupML} />
        )}
        <NumberField
          label={into === 'ice' ? 'The drink is' : 'It is'}
          unit="°C"
          least={0}
          value={cupC ?? usualC[into]}
          onNumber={setCupC}
          error={cup.fields.cupC}
        />
        {into === 'coffee' && (
          <NumberField
            label="Age of the drink"
            unit="days"
            least={0}
            value={ageDays}
            onNumber={setAgeDays}
            error={cup.fields.ageDays}
          />
        )}
      </div>
      {into === 'coffee' && <Check label="A light, bright coffee" checked={acid} onChange={setAcid} />}
      <ErrorText id="cup-error">{cup.refused?.message}</ErrorText>
      {cup.data && <CupTable cup={cup.data} iced={into === 'ice'} />}
      {cup.data?.splitReasons.map((reason) => (
        <p key={reason} className="text-note text-mute">
          {reason}
        </p>
      ))}
      {iceG >= 1 && (
        <section aria-label="Ice" className="grid gap-2">
          <h3 className="text-lg">Ice to chill the batch</h3>
          <p>
            The base comes out of the blender at about {toWhole(groundC)} °C. {toGrams(iceG)} of ice in the place of as
            much water brings it to 4 °C.
          </p>
          <Button onClick={chill}>Take it off the water</Button>
          <ErrorText id="ice-error">{problem}</ErrorText>
        </section>
      )}
    </Sheet>
  )
}

/** CupTable is what comes of it, figure by figure. */
function CupTable({ cup, iced }: { cup: InTheCup; iced: boolean }) {
  return (
    <Table
      caption="In the cup"
      heads={['', '']}
      rows={[
        { key: 'all', cells: ['In all', `${toWhole(cup.totalML)} mL`] },
        { key: 'sweet', cells: ['Sweetness', `${toTenth(cup.sweetG)} g/100 mL`], strong: true },
        { key: 'fat', cells: ['Fat', `${toTenth(cup.fatPct)} %`] },
        { key: 'free', cells: ['Free sugars', `${toTenth(cup.freeSugarsG)} g`] },
        { key: 'energy', cells: ['Energy', `${toWhole(cup.energyKcal)} kcal`] },
        iced
          ? { key: 'ice', cells: ['Ice that melts into it', toGrams(cup.meltedG)] }
          : {
              key: 'temp',
              cells: ['Temperature', `${toWhole(cup.finalC)} °C, ${toTenth(cup.dropC)} lower`],
            },
        ...(cup.splitRisk ? [{ key: 'split', cells: ['Risk of splitting', cup.splitRisk] }] : []),
      ]}
    />
  )
}
