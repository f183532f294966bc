import { useState } from 'react'
import type { Bottle } from '../../api/schema'
import { Button } from '../../ui/Button'
import { toMillilitres } from '../../ui/format'
import { NumberField } from '../../ui/NumberField'

/** PourOther pours another amount than a serving. */
export function PourOther({ b, onPour }: { b: Bottle; onPour: (ml: number) => void }) {
  const [ml, setML] = useState<number>()
  return (
    <div className="flex items-end gap-2">
      <NumberField
        className="w-36"
        label="Another amount"
        unit="mL"
        value={ml}
        onNumber={setML}
        onEmpty={() => setML(undefined)}
      />
      <Button disabled={!ml} onClick={() => ml && onPour(ml)}>
        Pour it
      </Button>
      <span className="pb-3 text-[14px] text-mute">of {toMillilitres(b.leftML)}</span>
    </div>
  )
}
