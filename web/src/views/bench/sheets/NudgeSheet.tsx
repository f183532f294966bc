import { answer, api } from '../../../api/client'
import { copy } from '../../../copy/more'
import { Button } from '../../../ui/Button'
import { Sheet } from '../../../ui/Dialog'
import { ErrorText } from '../../../ui/Field'
import { toTenth } from '../../../ui/format'
import { Table } from '../../../ui/Table'
import type { BenchDraft } from '../useDraft'
import { useAsk } from './useAsk'

/** NudgeSheet brings every amount to one that the drawer's spoons hold, as differences to accept. */
export function NudgeSheet({ bench, onClose }: { bench: BenchDraft; onClose: () => void }) {
  const { name, recipe } = bench.draft
  const nudge = useAsk('nudge', { recipe }, () => answer(api.POST('/api/nudges', { body: { name, recipe } })))
  return (
    <Sheet title={copy.bench.roundToMySpoons} intro={copy.bench.theNearestAmountsYouCan} onClose={onClose}>
      <ErrorText id="nudge-error">{nudge.refused?.message}</ErrorText>
      {nudge.data && nudge.data.changes.length + nudge.data.kept.length === 0 && (
        <p>{copy.bench.allAmountsAlreadyFitYour}</p>
      )}
      {nudge.data && nudge.data.changes.length > 0 && (
        <>
          <Table
            caption={copy.bench.changes}
            heads={['', copy.bench.from, copy.bench.to, copy.bench.by]}
            rows={nudge.data.changes.map((c) => ({
              key: c.name,
              cells: [c.name, c.from, c.to, `${c.morePct > 0 ? '+' : ''}${toTenth(c.morePct)} %`],
            }))}
          />
          <Button
            primary
            disabled={!nudge.now}
            onClick={() => {
              if (nudge.now) bench.setRecipe(nudge.now.recipe)
              onClose()
            }}
          >
            {copy.bench.useThese}
          </Button>
        </>
      )}
      <ul className="grid gap-1 text-note text-mute">
        {nudge.data?.kept.map((k) => (
          <li key={`${k.name} ${k.why}`}>{copy.bench.staysAsItIs(k.name, k.why)}</li>
        ))}
      </ul>
    </Sheet>
  )
}
