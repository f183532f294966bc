import { answer, api } from '../../../api/client'
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
    <Sheet
      title="To the spoons you have"
      intro="The nearest amounts your drawer measures, with sweetness, fat and volume in their bands."
      onClose={onClose}
    >
      <ErrorText id="nudge-error">{nudge.refused?.message}</ErrorText>
      {nudge.data && nudge.data.changes.length === 0 && <p>Every amount it may touch is one your spoons hold.</p>}
      {nudge.data && nudge.data.changes.length > 0 && (
        <>
          <Table
            caption="Would change"
            heads={['', 'from', 'to', 'by']}
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
            Take these
          </Button>
        </>
      )}
      {nudge.data && nudge.data.kept.length > 0 && (
        <p className="text-note text-mute">Stays as it is: {nudge.data.kept.join(', ')}. No spoon comes near enough.</p>
      )}
    </Sheet>
  )
}
