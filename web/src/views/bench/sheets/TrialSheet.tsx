import { answer, api } from '../../../api/client'
import { Trial as limits } from '../../../api/limits'
import { copy } from '../../../copy/more'
import { Button } from '../../../ui/Button'
import { Check } from '../../../ui/Check'
import { Sheet } from '../../../ui/Dialog'
import { toGrams, toMillilitres } from '../../../ui/format'
import { NumberField } from '../../../ui/NumberField'
import { Table } from '../../../ui/Table'
import { TextArea } from '../../../ui/TextArea'
import { useForget, useKept } from '../../../ui/Typing'
import type { BenchDraft } from '../useDraft'
import { useAsk } from './useAsk'

/** TrialSheet scales what went into a cup to the rest of the batch. */
export function TrialSheet({ bench, onClose }: { bench: BenchDraft; onClose: () => void }) {
  const { name, recipe } = bench.draft
  const [cupML, setCupML] = useKept('cup', 100)
  const [text, setText] = useKept('text', '')
  const lines = text.split('\n')
  const [returned, setReturned] = useKept('returned', false)
  const forget = useForget()
  const body = { name, recipe, cupML, lines, returned }
  const trial = useAsk('trial', body, () => answer(api.POST('/api/trials', { body })), text.trim() !== '')
  const wrongLine = Object.entries(trial.fields).find(([field]) => field.startsWith('lines'))?.[1]
  return (
    <Sheet title={copy.bench.trialCup} intro={copy.bench.sweetenOrSpiceOneCup} onClose={onClose}>
      <NumberField
        label={copy.bench.cupSize}
        unit="mL"
        value={cupML}
        limit={limits.cupML}
        onNumber={setCupML}
        error={text.trim() === '' ? undefined : trial.fields.cupML}
      />
      <TextArea
        label={copy.bench.whatYouAdded}
        rows={3}
        value={text}
        placeholder={copy.bench.n12TspMapleSyrup}
        hint={copy.bench.oneIngredientPerLine}
        error={text.trim() === '' ? undefined : wrongLine}
        onChange={(e) => setText(e.target.value)}
      />
      <Check label={copy.bench.iPourTheCupBack} checked={returned} onChange={setReturned} />
      {trial.data && text.trim() !== '' && (
        <>
          <Table
            caption={copy.bench.forTheLeftInThe(toMillilitres(trial.data.restML))}
            heads={['', copy.bench.inTheCupColumn, copy.bench.addToTheJug]}
            rows={trial.data.additions.map((a, n) => ({
              key: `${n}-${a.name}`,
              cells: [a.name, toGrams(a.inCupG), `${a.toRest} (${toGrams(a.toRestG)})`],
            }))}
          />
          <p className="text-mute">{copy.bench.makesInTheJug(toMillilitres(trial.data.afterML))}</p>
          <Button
            primary
            disabled={!trial.now}
            onClick={() => {
              forget()
              if (trial.now) bench.setRecipe(trial.now.recipe)
              onClose()
            }}
          >
            {copy.bench.addToTheDrink}
          </Button>
        </>
      )}
    </Sheet>
  )
}
