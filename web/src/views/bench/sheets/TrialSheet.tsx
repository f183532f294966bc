import { useState } from 'react'
import { answer, api } from '../../../api/client'
import { Button } from '../../../ui/Button'
import { Check } from '../../../ui/Check'
import { Sheet } from '../../../ui/Dialog'
import { toGrams, toMillilitres } from '../../../ui/format'
import { NumberField } from '../../../ui/NumberField'
import { Table } from '../../../ui/Table'
import { TextArea } from '../../../ui/TextArea'
import type { BenchDraft } from '../useDraft'
import { useAsk } from './useAsk'

/** TrialSheet scales what went into a cup to the rest of the batch. */
export function TrialSheet({ bench, onClose }: { bench: BenchDraft; onClose: () => void }) {
  const { name, recipe } = bench.draft
  const [cupML, setCupML] = useState(100)
  const [text, setText] = useState('')
  const lines = text.split('\n')
  const [returned, setReturned] = useState(false)
  const body = { name, recipe, cupML, lines, returned }
  const trial = useAsk('trial', body, () => answer(api.POST('/api/trials', { body })), text.trim() !== '')
  const wrongLine = Object.entries(trial.fields).find(([field]) => field.startsWith('lines'))?.[1]
  return (
    <Sheet
      title="Trial cup"
      intro="Sweeten or spice a cup first. The rest of the batch takes as much, cup for cup."
      onClose={onClose}
    >
      <NumberField
        label="The cup holds"
        unit="mL"
        value={cupML}
        onNumber={setCupML}
        error={text.trim() === '' ? undefined : trial.fields.cupML}
      />
      <TextArea
        label="What went into it"
        rows={3}
        value={text}
        placeholder="1/2 tsp maple syrup"
        hint="A line each."
        error={text.trim() === '' ? undefined : wrongLine}
        onChange={(e) => setText(e.target.value)}
      />
      <Check label="The cup is poured back" checked={returned} onChange={setReturned} />
      {trial.data && text.trim() !== '' && (
        <>
          <Table
            caption={`For the ${toMillilitres(trial.data.restML)} in the jug`}
            heads={['', 'in the cup', 'add to the rest']}
            rows={trial.data.additions.map((a, n) => ({
              key: `${n}-${a.name}`,
              cells: [a.name, toGrams(a.inCupG), `${a.toRest} (${toGrams(a.toRestG)})`],
            }))}
          />
          <p className="text-mute">{toMillilitres(trial.data.afterML)} in the jug when that is done.</p>
          <Button
            primary
            disabled={!trial.now}
            onClick={() => {
              if (trial.now) bench.setRecipe(trial.now.recipe)
              onClose()
            }}
          >
            Write it into the drink
          </Button>
        </>
      )}
    </Sheet>
  )
}
