import { useState } from 'react'
import { answer, api } from '../../../api/client'
import { useDrinks } from '../../../api/hooks'
import type { ComparedFigure } from '../../../api/schema'
import { copy } from '../../../copy'
import { Sheet } from '../../../ui/Dialog'
import { ErrorText } from '../../../ui/Field'
import { toThreeFigures } from '../../../ui/format'
import { Select } from '../../../ui/Select'
import { Table } from '../../../ui/Table'
import type { BenchDraft } from '../useDraft'
import { useAsk } from './useAsk'

const parse = (value: string) => {
  const [drinkID = 0, version = 0] = value.split('/').map(Number)
  return { drinkID, version }
}

/** CompareSheet puts two versions or drinks side by side per 100 mL, what differs first. */
export function CompareSheet({ bench, onClose }: { bench: BenchDraft; onClose: () => void }) {
  const drinks = useDrinks()
  const { id, versions } = bench.kept
  const [a, setA] = useState(`${id}/0`)
  const [b, setB] = useState(versions[0] ? `${id}/${versions[0].number}` : `${id}/0`)
  const choices = [
    { value: `${id}/0`, label: copy.bench.thisDrinkNow },
    ...versions.map((v) => ({
      value: `${id}/${v.number}`,
      label: copy.bench.versionAndNote(v.number, v.note ? ` · ${v.note}` : ''),
    })),
    ...(drinks.data ?? []).filter((d) => d.id !== id).map((d) => ({ value: `${d.id}/0`, label: d.name })),
  ]
  const body = { a: parse(a), b: parse(b) }
  const key = { body, recipe: bench.draft.recipe, saved: bench.state.is }
  const compared = useAsk('compare', key, async () => {
    await bench.saver.settle()
    return answer(api.POST('/api/comparisons', { body }))
  })
  return (
    <Sheet title={copy.bench.compare} intro={copy.bench.per100MlBiggestDifferences} onClose={onClose}>
      <Select label={copy.bench.first} value={a} choices={choices} onChange={setA} />
      <Select label={copy.bench.second} value={b} choices={choices} onChange={setB} />
      <ErrorText id="compare-error">{compared.refused?.message}</ErrorText>
      {compared.data && (
        <Table
          caption={copy.bench.nameAndName(compared.data.aName, compared.data.bName)}
          heads={['', copy.bench.first, copy.bench.second]}
          rows={compared.data.rows.map((r) => ({
            key: `${r.name} ${r.unit}`,
            strong: r.differs,
            cells: [
              <span key="name">
                {r.name} <span className="text-fine font-normal text-mute">{r.unit}</span>
              </span>,
              shownAs(r.a, r.aWords),
              shownAs(r.b, r.bWords),
            ],
          }))}
        />
      )}
    </Sheet>
  )
}

const shownAs = (v: ComparedFigure['a'], words: string) => words || (v === undefined ? '–' : toThreeFigures(v))
