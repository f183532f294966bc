import type { Recipe, Reckoning } from '../../../api/schema'
import { heats, kinds, strainers, systems } from '../../../app/choices'
import { Check } from '../../../ui/Check'
import { Sheet } from '../../../ui/Dialog'
import { toWhole } from '../../../ui/format'
import { NumberField } from '../../../ui/NumberField'
import { Select } from '../../../ui/Select'
import type { BenchDraft } from '../useDraft'

/** The limit commonly kept to; any other may be typed. */
const usualRawC = 46

const schools = [
  { value: 'linear', label: 'grow with the batch' },
  { value: 'eased', label: 'ease above double' },
]

/** MethodSheet is how the drink is ground, strained, heated and measured. */
export function MethodSheet({
  bench,
  r,
  currency,
  onClose,
}: {
  bench: BenchDraft
  r?: Reckoning
  currency: string
  onClose: () => void
}) {
  const { recipe } = bench.draft
  const set = (change: Partial<Recipe>) => bench.setRecipe(change)
  return (
    <Sheet title="Method" intro="How it is ground, strained, heated and measured." onClose={onClose}>
      <Select
        label="Kind of drink"
        value={recipe.kind || 'guess'}
        choices={kinds}
        onChange={(v) => set({ kind: (v === 'guess' ? '' : v) as Recipe['kind'] })}
      />
      <NumberField
        label="A serving"
        unit="mL"
        hint="Empty for the usual of its kind."
        value={recipe.servingML || undefined}
        onNumber={(servingML) => set({ servingML })}
        onEmpty={() => set({ servingML: 0 })}
      />
      <Select
        label="Strained"
        value={recipe.strainer}
        choices={strainers}
        onChange={(v) => set({ strainer: v as Recipe['strainer'] })}
      />
      <Select
        label="Measures"
        value={recipe.system}
        choices={systems}
        onChange={(v) => set({ system: v as Recipe['system'] })}
      />
      <Select
        label="Strong spices"
        value={recipe.spices}
        choices={schools}
        onChange={(v) => set({ spices: v as Recipe['spices'] })}
      />
      <Blending recipe={recipe} grindS={r?.grindS} set={set} />
      <Check label="Marked raw" checked={recipe.rawC > 0} onChange={(raw) => set({ rawC: raw ? usualRawC : 0 })} />
      {recipe.rawC > 0 && (
        <NumberField
          label="Raw up to"
          unit="°C"
          hint="Your own limit. The mark says nothing of safety."
          value={recipe.rawC}
          onNumber={(rawC) => set({ rawC })}
        />
      )}
      <Check
        label="Crushed dry, and left to draw cold"
        checked={recipe.coarse}
        onChange={(coarse) => set({ coarse })}
      />
      <Finish recipe={recipe} set={set} />
      <NumberField
        label="Of the brewed part, use"
        unit="%"
        hint="Empty for all of it; the rest is kept as a leftover."
        value={recipe.brewPct || undefined}
        onNumber={(brewPct) => set({ brewPct })}
        onEmpty={() => set({ brewPct: 0 })}
      />
      <NumberField
        label="A litre of the like in a shop"
        unit={currency}
        value={recipe.shopPrice || undefined}
        onNumber={(shopPrice) => set({ shopPrice })}
        onEmpty={() => set({ shopPrice: 0 })}
      />
    </Sheet>
  )
}

type PartProps = { recipe: Recipe; set: (change: Partial<Recipe>) => void }

/** Blending is how long it is ground, with how warm water. */
function Blending({ recipe, grindS, set }: PartProps & { grindS?: number }) {
  return (
    <>
      <div className="grid grid-cols-2 gap-3">
        <NumberField
          label="In the blender"
          unit="s"
          hint={`Empty for what it needs${grindS ? `, ${toWhole(grindS)} s` : ''}.`}
          value={recipe.blendS || undefined}
          onNumber={(blendS) => set({ blendS })}
          onEmpty={() => set({ blendS: 0 })}
        />
        <NumberField
          label="Grinding water"
          unit="°C"
          hint="Empty for the tap’s, or what the line says."
          value={recipe.waterC || undefined}
          onNumber={(waterC) => set({ waterC })}
          onEmpty={() => set({ waterC: 0 })}
        />
      </div>
      <NumberField
        label="A minute in the blender warms it by"
        unit="°C"
        hint="Empty for what your blender does."
        value={recipe.warmsC || undefined}
        onNumber={(warmsC) => set({ warmsC })}
        onEmpty={() => set({ warmsC: 0 })}
      />
    </>
  )
}

/** Finish is how it is heated after straining, and bottled. */
function Finish({ recipe, set }: PartProps) {
  const heated = recipe.heat !== '' && recipe.heat !== 'none'
  return (
    <>
      <Select
        label="Finished"
        value={recipe.heat || 'by base'}
        choices={heats}
        onChange={(v) => set({ heat: (v === 'by base' ? '' : v) as Recipe['heat'] })}
      />
      {recipe.heat === '' && <p className="text-note text-mute">Soy is boiled for ten minutes; nothing else is.</p>}
      {heated && (
        <div className="grid grid-cols-2 gap-3">
          <NumberField
            label="For"
            unit="min"
            least={0}
            value={recipe.cookMin}
            onNumber={(cookMin) => set({ cookMin })}
            hint="An open pan loses water."
          />
          <NumberField
            label="Pan across"
            unit="cm"
            value={recipe.panCM || undefined}
            onNumber={(panCM) => set({ panCM })}
            onEmpty={() => set({ panCM: 0 })}
            hint="Empty for one that fits."
          />
        </div>
      )}
      {heated && (
        <Check label="With the lid on" checked={recipe.covered ?? false} onChange={(covered) => set({ covered })} />
      )}
      {heated && (
        <Check
          label="Filled hot: at 85 °C or more, to the brim, closed and turned over for 2 minutes"
          checked={recipe.hotFill ?? false}
          onChange={(hotFill) => set({ hotFill })}
        />
      )}
    </>
  )
}
