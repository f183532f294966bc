import type { Formula } from '../../../api/schema'
import { strainers, systems } from '../../../app/choices'
import { Check } from '../../../ui/Check'
import { Sheet } from '../../../ui/Dialog'
import { NumberField } from '../../../ui/NumberField'
import { Select } from '../../../ui/Select'
import type { BenchDraft } from '../useDraft'

const heats = [
  { value: 'none', label: 'Unheated' },
  { value: 'warm', label: 'Warmed, just under the boil' },
  { value: 'boil', label: 'Boiled, sterilised bottle' },
]

/** The limit commonly kept to; any other may be typed. */
const usualRawC = 46

const schools = [
  { value: 'linear', label: 'grow with the batch' },
  { value: 'eased', label: 'ease above double' },
]

/** MethodSheet is how the drink is ground, strained, heated and measured. */
export function MethodSheet({
  bench,
  currency,
  onClose,
}: {
  bench: BenchDraft
  currency: string
  onClose: () => void
}) {
  const { formula } = bench.draft
  const set = (change: Partial<Formula>) => bench.setFormula(change)
  return (
    <Sheet title="Method" intro="How it is ground, strained, heated and measured." onClose={onClose}>
      <Select
        label="Strained"
        value={formula.strainer}
        choices={strainers}
        onChange={(v) => set({ strainer: v as Formula['strainer'] })}
      />
      <Select
        label="Measures"
        value={formula.system}
        choices={systems}
        onChange={(v) => set({ system: v as Formula['system'] })}
      />
      <Select
        label="Strong spices"
        value={formula.spices}
        choices={schools}
        onChange={(v) => set({ spices: v as Formula['spices'] })}
      />
      <div className="grid grid-cols-2 gap-3">
        <NumberField label="In the blender" unit="s" value={formula.blendS} onNumber={(blendS) => set({ blendS })} />
        <NumberField
          label="Grinding water"
          unit="°C"
          least={0}
          value={formula.waterC}
          onNumber={(waterC) => set({ waterC })}
        />
      </div>
      <NumberField
        label="A minute in the blender warms it by"
        unit="°C"
        hint="Empty for 10 °C."
        value={formula.warmsC || undefined}
        onNumber={(warmsC) => set({ warmsC })}
        onEmpty={() => set({ warmsC: 0 })}
      />
      <Check label="Marked raw" checked={formula.rawC > 0} onChange={(raw) => set({ rawC: raw ? usualRawC : 0 })} />
      {formula.rawC > 0 && (
        <NumberField
          label="Raw up to"
          unit="°C"
          hint="Your own limit. The mark says nothing of safety."
          value={formula.rawC}
          onNumber={(rawC) => set({ rawC })}
        />
      )}
      <Check
        label="Ground coarse, and left to stand cold"
        checked={formula.coarse}
        onChange={(coarse) => set({ coarse })}
      />
      <Select
        label="Finished"
        value={formula.heat || 'none'}
        choices={heats}
        onChange={(v) => set({ heat: (v === 'none' ? '' : v) as Formula['heat'] })}
      />
      {formula.heat !== '' && (
        <div className="grid grid-cols-2 gap-3">
          <NumberField
            label="For"
            unit="min"
            least={0}
            value={formula.cookMin}
            onNumber={(cookMin) => set({ cookMin })}
            hint="An open pan loses water."
          />
          <NumberField
            label="Pan across"
            unit="cm"
            value={formula.panCM || undefined}
            onNumber={(panCM) => set({ panCM })}
            onEmpty={() => set({ panCM: 0 })}
            hint="Empty for 20 cm."
          />
        </div>
      )}
      {formula.heat !== '' && (
        <Check
          label="Filled hot: at 85 °C or more, to the brim, closed and turned over for 2 minutes"
          checked={formula.hotFill ?? false}
          onChange={(hotFill) => set({ hotFill })}
        />
      )}
      <NumberField
        label="Of the brewed part, use"
        unit="%"
        hint="Empty for all of it; the rest is kept as a leftover."
        value={formula.brewPct || undefined}
        onNumber={(brewPct) => set({ brewPct })}
        onEmpty={() => set({ brewPct: 0 })}
      />
      <NumberField
        label="A litre of the like in a shop"
        unit={currency}
        value={formula.shopPrice || undefined}
        onNumber={(shopPrice) => set({ shopPrice })}
        onEmpty={() => set({ shopPrice: 0 })}
      />
    </Sheet>
  )
}
