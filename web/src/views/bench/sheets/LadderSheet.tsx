import { answer, api } from '../../../api/client'
import { useSuggestions } from '../../../api/hooks'
import { ToBlend as blendLimits, ToLetDown as limits } from '../../../api/limits'
import { copy } from '../../../copy/more'
import { Combobox } from '../../../ui/Combobox'
import { Sheet } from '../../../ui/Dialog'
import { ErrorText } from '../../../ui/Field'
import { toGrams, toMillilitres, toTenth } from '../../../ui/format'
import { NumberField } from '../../../ui/NumberField'
import { Select } from '../../../ui/Select'
import { Table } from '../../../ui/Table'
import { useKept } from '../../../ui/Typing'
import type { BenchDraft } from '../useDraft'
import { useAsk } from './useAsk'

/** LadderSheet is what the drink becomes let down, pressed again, or blended with another. */
export function LadderSheet({ bench, onClose }: { bench: BenchDraft; onClose: () => void }) {
  const { name, recipe } = bench.draft
  const [secondML, setSecondML] = useKept('second', 0)
  const body = { name, recipe, secondML }
  const ladder = useAsk('ladder', body, () => answer(api.POST('/api/ladders', { body })))
  const second = ladder.data?.second
  return (
    <Sheet title={copy.bench.dilute} intro={copy.bench.howMuchWaterTurnsThis} onClose={onClose}>
      {ladder.data && ladder.data.rungs.length > 0 && (
        <Table
          caption={copy.bench.addWater}
          heads={[copy.bench.toMake, copy.bench.addWaterColumn, copy.bench.makesColumn, copy.bench.ofFat]}
          rows={ladder.data.rungs.map((r) => ({
            key: r.name,
            cells: [
              <span key="name">
                {r.name} <span className="text-fine text-mute">{r.note}</span>
              </span>,
              toGrams(r.waterG),
              toMillilitres(r.ml),
              `${toTenth(r.fatPct)} %`,
            ],
          }))}
        />
      )}
      {ladder.data?.rungs.length === 0 && <p>{copy.bench.itIsAlreadyAsThin}</p>}
      <ErrorText id="ladder-error">{ladder.refused?.message}</ErrorText>
      <section aria-label={copy.bench.secondPressing} className="grid gap-2">
        <h3 className="text-lg">{copy.bench.secondPressing}</h3>
        <NumberField
          label={copy.bench.waterForTheSecondBlend}
          unit="mL"
          hint={copy.bench.theFirstPressingIsCream}
          value={secondML || undefined}
          limit={limits.secondML}
          onNumber={setSecondML}
          onEmpty={() => setSecondML(0)}
        />
        {second && (
          <p>
            {copy.bench.secondMakes}
            <b>{toMillilitres(second.ml)}</b>
            {copy.bench.withFatAndProteinOf(toTenth(second.fatPct), toTenth(second.proteinPct), toGrams(second.pulpG))}
          </p>
        )}
      </section>
      <BlendTwo />
    </Sheet>
  )
}

const targets = [
  { value: 'fat', label: copy.bench.ofFat },
  { value: 'solids', label: copy.bench.solids },
]

/** BlendTwo blends two liquids to a fat or solids target, by the square. */
function BlendTwo() {
  const [a, setA] = useKept('a', '')
  const [b, setB] = useKept('b', '')
  const [of, setOf] = useKept<'fat' | 'solids'>('of', 'fat')
  const [target, setTarget] = useKept<number | undefined>('target', undefined)
  const [volumeML, setVolumeML] = useKept('volume', 1000)
  const body = { a, b, of, target: target ?? 0, volumeML }
  const ready = a.trim() !== '' && b.trim() !== '' && target !== undefined
  const blend = useAsk('blend', body, () => answer(api.POST('/api/blends', { body })), ready)
  return (
    <section aria-label={copy.bench.mixTwoLiquids} className="grid gap-2">
      <h3 className="text-lg">{copy.bench.mixTwoLiquids}</h3>
      <LiquidField label={copy.bench.first} value={a} onChange={setA} error={ready ? blend.fields.a : undefined} />
      <LiquidField label={copy.bench.second} value={b} onChange={setB} error={ready ? blend.fields.b : undefined} />
      <div className="grid grid-cols-2 gap-2">
        <NumberField
          label={copy.bench.aimFor(of)}
          unit="%"
          value={target}
          limit={blendLimits.target}
          onNumber={setTarget}
          onEmpty={() => setTarget(undefined)}
          error={ready ? blend.fields.target : undefined}
        />
        <NumberField
          label={copy.bench.volume}
          unit="mL"
          value={volumeML}
          limit={blendLimits.volumeML}
          onNumber={setVolumeML}
          error={ready ? blend.fields.volumeML : undefined}
        />
      </div>
      <Select
        label={copy.bench.byLabel}
        value={of}
        choices={targets}
        onChange={(v) => setOf(v === 'fat' ? 'fat' : 'solids')}
      />
      {ready && blend.data && (
        <p role="status">
          <b>{toMillilitres(blend.data.aML)}</b>
          {copy.bench.ofAnd(a)}
          <b>{toMillilitres(blend.data.bML)}</b>
          {copy.bench.ofFatSolids(b, toTenth(blend.data.fatPct), toTenth(blend.data.solidsPct))}
        </p>
      )}
    </section>
  )
}

type LiquidProps = { label: string; value: string; onChange: (v: string) => void; error?: string }

function LiquidField({ label, value, onChange, error }: LiquidProps) {
  const suggestions = useSuggestions(value)
  return (
    <div>
      <p className="mb-1 text-sm font-bold">{label}</p>
      <div className={`rounded-full border-2 px-4 ${error ? 'border-hibiscus' : 'border-rim'}`}>
        <Combobox
          label={copy.bench.liquid(label)}
          placeholder={copy.bench.aMilkOrOneOf}
          value={value}
          items={(suggestions.data ?? []).filter((s) => s.role === 'liquid')}
          textOf={(s) => s.name}
          show={(s) => s.name}
          onType={onChange}
          onPick={(s) => onChange(s.name)}
          invalid={error !== undefined}
          describedBy={`blend-${label}-error`}
          inputClass="min-h-11 w-full bg-transparent outline-none"
        />
      </div>
      <ErrorText id={`blend-${label}-error`}>{error}</ErrorText>
    </div>
  )
}
