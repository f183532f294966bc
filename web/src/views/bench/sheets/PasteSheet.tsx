import { useState } from 'react'
import { answer, api } from '../../../api/client'
import type { Line } from '../../../api/schema'
import { Button } from '../../../ui/Button'
import { Sheet } from '../../../ui/Dialog'
import { TextArea } from '../../../ui/TextArea'
import type { BenchDraft } from '../useDraft'
import { useAsk } from './useAsk'

const newKey = () => Math.random().toString(36).slice(2, 12)

/** PasteSheet reads a recipe as it was copied. Every line is kept; what was not understood is settled on the Bench. */
export function PasteSheet({ bench, onClose }: { bench: BenchDraft; onClose: () => void }) {
  const [text, setText] = useState('')
  const body = { text }
  const read = useAsk('paste', body, () => answer(api.POST('/api/pastes', { body })), text.trim() !== '')
  const take = (replace: boolean) => {
    if (!read.now) return
    const lines: Line[] = read.now.lines.map((l) => ({ ...l.line, key: newKey() }))
    if (replace && read.now.name) bench.setName(read.now.name)
    bench.setRecipe({ lines: replace ? lines : [...bench.draft.recipe.lines, ...lines] })
    onClose()
  }
  const unsettled = read.data?.lines.filter((l) => !l.understood).length ?? 0
  return (
    <Sheet
      title="Paste a recipe"
      intro="A list of ingredients, one a line, or a schema.org Recipe as JSON-LD."
      onClose={onClose}
    >
      <TextArea
        label="The recipe"
        rows={8}
        value={text}
        placeholder={'# Porch milk\n1 1/2 cups sesame seeds, soaked overnight\n4 cups water'}
        error={text.trim() === '' ? undefined : read.refused?.message}
        onChange={(e) => setText(e.target.value)}
      />
      {read.data && text.trim() !== '' && (
        <>
          <ul aria-label="As it was read" className="grid gap-1.5">
            {read.data.lines.map((l, n) => (
              // biome-ignore lint/suspicious/noArrayIndexKey: the same line may stand there twice
              <li key={`${n}-${l.text}`} className="border-t border-line pt-1.5">
                <p className={l.understood ? 'font-bold' : 'font-bold text-hibiscus-deep'}>
                  {l.understood ? `${l.line.amount} ${l.line.ingredient}` : l.text}
                </p>
                <p className="text-fine text-mute">
                  {l.problem || (l.understood && l.text !== `${l.line.amount} ${l.line.ingredient}` ? l.text : '')}
                </p>
              </li>
            ))}
          </ul>
          <p role="status" className="text-mute">
            {read.data.lines.length} lines read
            {unsettled > 0 && `, ${unsettled} to settle on the Bench`}.
          </p>
          <div className="flex flex-wrap gap-2">
            <Button primary disabled={!read.now} onClick={() => take(true)}>
              Make it this drink
            </Button>
            <Button disabled={!read.now} onClick={() => take(false)}>
              Add to what is here
            </Button>
          </div>
        </>
      )}
    </Sheet>
  )
}
