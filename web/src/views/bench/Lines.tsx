import { Plus } from 'lucide-react'
import { memo, type Ref, useRef, useState } from 'react'
import { answer, api, Refused } from '../../api/client'
import { useSuggestions } from '../../api/hooks'
import type { Reckoning } from '../../api/schema'
import { Combobox } from '../../ui/Combobox'
import { ErrorText } from '../../ui/Field'
import { Tray } from '../../ui/Tray'
import { groupLines } from './groups'
import { LineRow } from './LineRow'
import type { BenchDraft, Edits } from './useDraft'

type Props = {
  bench: BenchDraft
  reckoning?: Reckoning
  addRef: Ref<HTMLInputElement>
  onSwap: (key: string) => void
}

/** Lines are the ingredients, grouped by what they do, and the place to add one. */
export function Lines({ bench, reckoning, addRef, onSwap }: Props) {
  const roles = useRef(new Map<string, string>())
  const [typing, setTyping] = useState<string>()
  const groups = groupLines(bench.draft.recipe.lines, reckoning, roles.current, typing)
  return (
    <Tray label="Ingredients" className="min-w-0">
      {groups.length === 0 && (
        <p className="pb-3 text-mute">
          Ingredients go here. Begin with a base and water: type a line as you would write it and press Enter.
        </p>
      )}
      {groups.map((g) => (
        <div key={g.name} className="mb-1">
          <div className="flex items-baseline justify-between gap-3 text-sm text-rim">
            <h2 className="!font-text">{g.name}</h2>
            <span className="text-fine font-bold">{g.figure}</span>
          </div>
          <ul aria-label={g.name}>
            {g.rows.map((row, n) => (
              <LineRow
                key={row.line.key}
                line={row.line}
                figure={row.figure}
                edits={bench.edits}
                sized={bench.draft.recipe.sizeBy !== ''}
                above={g.rows[n - 1]?.line.key}
                below={g.rows[n + 1]?.line.key}
                onTyping={setTyping}
                onSwap={onSwap}
              />
            ))}
          </ul>
        </div>
      ))}
      <AddLine edits={bench.edits} inputRef={addRef} />
    </Tray>
  )
}

const AddLine = memo(function AddLine({ edits, inputRef }: { edits: Edits; inputRef: Ref<HTMLInputElement> }) {
  const [text, setText] = useState('')
  const [error, setError] = useState<string>()
  const suggestions = useSuggestions(text)
  const add = async (line: string) => {
    if (line.trim() === '') return
    setText('')
    setError(undefined)
    try {
      edits.addLine(await answer(api.POST('/api/lines', { body: { text: line } })))
    } catch (e) {
      setText((typedSince) => typedSince || line)
      setError(e instanceof Refused ? e.message : 'The line could not be read.')
    }
  }
  return (
    <div className="mt-1 border-t border-line pt-2">
      <div className="flex items-center gap-2.5">
        <Plus size={18} aria-hidden className="text-mute" />
        <Combobox
          label="Add a line"
          placeholder="Add a line: 1 1/2 cups hazelnuts, soaked"
          value={text}
          onType={setText}
          onPick={(s) => setText(s.line)}
          onEnter={() => add(text)}
          items={suggestions.data ?? []}
          textOf={(s) => s.line}
          show={(s) => s.name}
          invalid={error !== undefined}
          describedBy="add-line-error"
          inputClass="min-h-10 w-full rounded bg-transparent"
          inputRef={inputRef}
        />
        {text.trim() !== '' && (
          <button type="button" className="min-h-10 px-2 font-bold text-rim" onClick={() => add(text)}>
            Add
          </button>
        )}
      </div>
      <ErrorText id="add-line-error">{error}</ErrorText>
    </div>
  )
})
