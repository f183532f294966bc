import { useState } from 'react'
import type { Bottle, Poured } from '../../api/schema'
import { Button } from '../../ui/Button'
import { toMillilitres } from '../../ui/format'
import { NumberField } from '../../ui/NumberField'
import { Select } from '../../ui/Select'

const units = [
  { value: 'ml', label: 'mL' },
  { value: 'servings', label: 'servings' },
]

/** PourOther pours another amount than a serving, in millilitres or in servings. */
export function PourOther({ b, onPour }: { b: Bottle; onPour: (poured: Poured) => void }) {
  const [amount, setAmount] = useState<number>()
  const [unit, setUnit] = useState('ml')
  return (
    <div className="flex flex-wrap items-end gap-2">
      <NumberField
        className="w-32"
        label="Another amount"
        value={amount}
        onNumber={setAmount}
        onEmpty={() => setAmount(undefined)}
      />
      <Select label="in" value={unit} choices={units} onChange={setUnit} />
      <Button disabled={!amount} onClick={() => amount && onPour({ [unit]: amount })}>
        Pour it
      </Button>
      <span className="pb-3 text-[14px] text-mute">of {toMillilitres(b.leftML)}</span>
    </div>
  )
}
