import { useState } from 'react'
import { answer, api } from '../../../api/client'
import { useSuggestions } from '../../../api/hooks'
import { Combobox } from '../../../ui/Combobox'
import { Sheet } from '../../../ui/Dialog'
import { ErrorText } from '../../../ui/Field'
import { toGrams, toMillilitres, toTenth } from '../../../ui/format'
import { NumberField } from '../../../ui/NumberField'
import { Select } from '../../../ui/Select'
import { Table } from '../../../ui/Table'
import type { BenchDraft } from '../useDraft'
import { useAsk } from './useAsk'

/** LadderSheet is what the drink becomes let down, pressed again, or blended with another. */
export function LadderSheet({ bench, onClose }: { bench: BenchDraft; onClose: () => void }) {
  const { name, recipe } = bench.draft
  const [secondML, setSecondML] = useState(0)
  const body = { name, recipe, secondML }
  const ladder = useAsk('ladder', body, () => answer(api.POST('/api/ladders', { body })))
  const second = ladder.data?.second
  return (
    <Sheet title="Let it down" intro="What one jar becomes, rung by rung." onClose={onClose}>
      {ladder.data && ladder.data.rungs.length > 0 && (
        <Table
          caption="With water"
          heads={['It becomes', 'add water', 'in all', 'fat']}
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
      {ladder.data?.rungs.length === 0 && <p>It is as light as any rung already.</p>}
      <ErrorText id="ladder-error">{ladder.refused?.message}</ErrorText>
      <section aria-label="Second pressing" className="grid gap-2">
        <h3 className="text-lg">Press the pulp again</h3>
        <NumberField
          label="Water for the second grind"
          unit="mL"
          hint="Cream from the first press, milk from the second."
          value={secondML || undefined}
          onNumber={setSecondML}
          onEmpty={() => setSecondML(0)}
        />
        {second && (
          <p>
            Gives <b>{toMillilitres(second.ml)}</b> with {toTenth(second.fatPct)} % fat and {toTenth(second.proteinPct)}{' '}
            % protein; {toGrams(second.pulpG)} of wet pulp stays.
          </p>
        )}
      </section>
      <BlendTwo />
    </Sheet>
  )
}

const targets = [
  { value: 'fat', label: 'fat' },
  { value: 'solids', label: 'solids' },
]

/** BlendTwo blends two liquids to a fat or solids target, by the square. */
function BlendTwo() {
  const [a, setA] = useState('')
  const [b, setB] = useState('')
  const [of, setOf] = useState<'fat' | 'solids'>('fat')
  const [target, setTarget] = useState<number>()
  const [volumeML, setVolumeML] = useState(1000)
  const body = { a, b, of, target: target ?? 0, volumeML }
  const ready = a.trim() !== '' && b.trim() !== '' && target !== undefined
  const blend = useAsk('blend', body, () => answer(api.POST('/api/blends', { body })), ready)
  return (
    <section aria-label="Blend two liquids" className="grid gap-2">
      <h3 className="text-lg">Blend two liquids</h3>
      <LiquidField label="One" value={a} onChange={setA} error={ready ? blend.fields.a : undefined} />
      <LiquidField label="Other" value={b} onChange={setB} error={ready ? blend.fields.b : undefined} />
      <div className="grid grid-cols-2 gap-2">
        <NumberField
          label={`To ${of}`}
          unit="%"
          value={target}
          least={0}
          onNumber={setTarget}
          onEmpty={() => setTarget(undefined)}
          error={ready ? blend.fields.target : undefined}
        />
        <NumberField
          label="Volume"
          unit="mL"
          value={volumeML}
          onNumber={setVolumeML}
          error={ready ? blend.fields.volumeML : undefined}
        />
      </div>
      <Select label="By" value={of} choices={targets} onChange={(v) => setOf(v === 'fat' ? 'fat' : 'solids')} />
      {ready && blend.data && (
        <p role="status">
          <b>{toMillilitres(blend.data.aML)}</b> of {a} and <b>{toMillilitres(blend.data.bML)}</b> of {b}:{' '}
          {toTenth(blend.data.fatPct)} % fat, {toTenth(blend.data.solidsPct)} % solids.
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
          label={`${label} liquid`}
          placeholder="a milk, or a drink of yours"
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
