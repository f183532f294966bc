import { Recipe as limits } from '../../../api/limits'
import type { Recipe, Reckoning } from '../../../api/schema'
import { heats, kinds, strainers, systems } from '../../../app/choices'
import { copy } from '../../../copy/more'
import { Check } from '../../../ui/Check'
import { Sheet } from '../../../ui/Dialog'
import { toWhole } from '../../../ui/format'
import { NumberField } from '../../../ui/NumberField'
import { Select } from '../../../ui/Select'
import type { BenchDraft } from '../useDraft'

/** The limit commonly kept to; any other may be typed. */
const usualRawC = 46

const schools = [
  { value: 'linear', label: copy.bench.scaleWithTheBatch },
  { value: 'eased', label: copy.bench.increaseLessAboveDouble },
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
    <Sheet title={copy.bench.method} intro={copy.bench.howTheDrinkIsBlended} onClose={onClose}>
      <Select
        label={copy.bench.kindOfDrink}
        value={recipe.kind || 'guess'}
        choices={kinds}
        onChange={(v) => set({ kind: (v === 'guess' ? '' : v) as Recipe['kind'] })}
      />
      <NumberField
        label={copy.bench.servingSize}
        unit="mL"
        hint={copy.bench.emptyForUsualSize}
        value={recipe.servingML || undefined}
        limit={limits.servingML}
        onNumber={(servingML) => set({ servingML })}
        onEmpty={() => set({ servingML: 0 })}
      />
      <Select
        label={copy.bench.strainer}
        value={recipe.strainer}
        choices={strainers}
        onChange={(v) => set({ strainer: v as Recipe['strainer'] })}
      />
      <Select
        label={copy.bench.measures}
        value={recipe.system}
        choices={systems}
        onChange={(v) => set({ system: v as Recipe['system'] })}
      />
      <Select
        label={copy.bench.strongSpices}
        value={recipe.spices}
        choices={schools}
        onChange={(v) => set({ spices: v as Recipe['spices'] })}
      />
      <Blending recipe={recipe} grindS={r?.grindS} set={set} />
      <Check
        label={copy.bench.labelItRaw}
        checked={recipe.rawC > 0}
        onChange={(raw) => set({ rawC: raw ? usualRawC : 0 })}
      />
      {recipe.rawC > 0 && (
        <NumberField
          label={copy.bench.rawMeansUpTo}
          unit="°C"
          hint={copy.bench.yourOwnLimitTheWord}
          value={recipe.rawC}
          limit={limits.rawC}
          onNumber={(rawC) => set({ rawC })}
        />
      )}
      <Check label={copy.bench.grindDryThenSteepCold} checked={recipe.coarse} onChange={(coarse) => set({ coarse })} />
      <Finish recipe={recipe} set={set} />
      <NumberField
        label={copy.bench.amountOfTheBrewTo}
        unit="%"
        hint={copy.bench.leaveEmptyToUseAll}
        value={recipe.brewPct || undefined}
        limit={limits.brewPct}
        onNumber={(brewPct) => set({ brewPct })}
        onEmpty={() => set({ brewPct: 0 })}
      />
      <NumberField
        label={copy.bench.shopPriceOfALitre}
        unit={currency}
        value={recipe.shopPrice || undefined}
        limit={limits.shopPrice}
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
          label={copy.bench.blendingTime}
          unit="s"
          hint={copy.bench.emptyForUsualGrind(grindS ? `, ${toWhole(grindS)} s` : '')}
          value={recipe.blendS || undefined}
          limit={limits.blendS}
          onNumber={(blendS) => set({ blendS })}
          onEmpty={() => set({ blendS: 0 })}
        />
        <NumberField
          label={copy.bench.blendingWater}
          unit="°C"
          hint={copy.bench.leaveEmptyForTapWater}
          value={recipe.waterC || undefined}
          limit={limits.waterC}
          onNumber={(waterC) => set({ waterC })}
          onEmpty={() => set({ waterC: 0 })}
        />
      </div>
      <NumberField
        label={copy.bench.blenderWarmsItPerMinute}
        unit="°C"
        hint={copy.bench.leaveEmptyForWhatYour}
        value={recipe.warmsC || undefined}
        limit={limits.warmsC}
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
        label={copy.bench.heating}
        value={recipe.heat || 'by base'}
        choices={heats}
        onChange={(v) => set({ heat: (v === 'by base' ? '' : v) as Recipe['heat'] })}
      />
      {recipe.heat === '' && <p className="text-note text-mute">{copy.bench.soyMustBoilFor10}</p>}
      {heated && (
        <div className="grid grid-cols-2 gap-3">
          <NumberField
            label={copy.bench.heatedFor}
            unit="min"
            limit={limits.cookMin}
            value={recipe.cookMin}
            onNumber={(cookMin) => set({ cookMin })}
            hint={copy.bench.anOpenPanLosesWater}
          />
          <NumberField
            label={copy.bench.panWidth}
            unit="cm"
            value={recipe.panCM || undefined}
            limit={limits.panCM}
            onNumber={(panCM) => set({ panCM })}
            onEmpty={() => set({ panCM: 0 })}
            hint={copy.bench.leaveEmptyForAPan}
          />
        </div>
      )}
      {heated && (
        <Check label={copy.bench.lidOn} checked={recipe.covered ?? false} onChange={(covered) => set({ covered })} />
      )}
      {heated && (
        <Check
          label={copy.bench.filledHotAt85C}
          checked={recipe.hotFill ?? false}
          onChange={(hotFill) => set({ hotFill })}
        />
      )}
    </>
  )
}
