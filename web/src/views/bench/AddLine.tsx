import { Plus } from 'lucide-react'
import { memo, type Ref, useState } from 'react'
import { answer, api, Refused } from '../../api/client'
import { useSuggestions } from '../../api/hooks'
import { copy } from '../../copy'
import { Combobox } from '../../ui/Combobox'
import { ErrorText } from '../../ui/Field'
import { explain } from './sheets/explain'
import { useAsk } from './sheets/useAsk'
import type { Edits } from './useDraft'

/** AddLine is where a line is typed. How it is read stands below it while one types. */
export const AddLine = memo(function AddLine({ edits, inputRef }: { edits: Edits; inputRef: Ref<HTMLInputElement> }) {
  const [text, setText] = useState('')
  const [error, setError] = useState<string>()
  const suggestions = useSuggestions(text)
  const body = { text }
  const read = useAsk('line', body, () => answer(api.POST('/api/lines', { body })), text.trim() !== '')
  const add = async (line: string) => {
    if (line.trim() === '') return
    setText('')
    setError(undefined)
    try {
      const { lines } = await answer(api.POST('/api/lines', { body: { text: line } }))
      edits.addLines(lines)
    } catch (e) {
      setText((typedSince) => typedSince || line)
      setError(e instanceof Refused ? e.message : copy.bench.thisLineCouldNotBe)
    }
  }
  const told = text.trim() === '' ? undefined : read.data
  return (
    <div className="mt-1 border-t border-line pt-2">
      <div className="flex items-center gap-2.5">
        <Plus size={18} aria-hidden className="text-mute" />
        <Combobox
          label={copy.bench.addAnIngredient}
          placeholder={copy.bench.addAnIngredient1Cups}
          value={text}
          onType={setText}
          onPick={(s) => setText(s.line)}
          onEnter={() => add(text)}
          items={suggestions.data ?? []}
          textOf={(s) => s.line}
          show={(s) => s.name}
          invalid={error !== undefined}
          describedBy="add-line-error add-line-read"
          inputClass="min-h-10 w-full rounded bg-transparent"
          inputRef={inputRef}
        />
        {text.trim() !== '' && (
          <button type="button" className="min-h-10 px-2 font-bold text-rim" onClick={() => add(text)}>
            {copy.bench.add}
          </button>
        )}
      </div>
      <p id="add-line-read" className="min-h-5 pl-7 text-fine text-mute" title={told ? explain(told.words) : undefined}>
        {told?.told}
        {told?.mended && ` (${told.mended})`}
      </p>
      <ErrorText id="add-line-error">{error}</ErrorText>
    </div>
  )
})
