import { useState } from 'react'
import type { Poured } from '../../api/schema'
import { Button } from '../../ui/Button'
import { NumberField } from '../../ui/NumberField'
import { Select } from '../../ui/Select'

const units = [
  { value: 'ml', label: 'mL' },
  { value: 'servings', label: 'servings' },
]

/** PourOther pours another amount than a serving, in millilitres or in servings. */
export function PourOther({ onPour }: { onPour: (poured: Poured) => void }) {
  const [amount, setAmount] = useState<number>()
  const [unit, setUnit] = useState('ml')
  return (
    <div className="flex flex-wrap items-end gap-2">
      <NumberField
        className="w-28"
        label="Another amount"
        value={amount}
        onNumber={setAmount}
        onEmpty={() => setAmount(undefined)}
      />
      <Select label="in" value={unit} choices={units} onChange={setUnit} />
      <Button disabled={!amount} onClick={() => amount && onPour({ [unit]: amount })}>
        Pour it
      </Button>
    </div>
  )
}
