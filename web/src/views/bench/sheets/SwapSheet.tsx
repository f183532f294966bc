import { answer, api } from '../../../api/client'
import { useSuggestions } from '../../../api/hooks'
import type { Recipe } from '../../../api/schema'
import { copy } from '../../../copy/more'
import { Button } from '../../../ui/Button'
import { Combobox } from '../../../ui/Combobox'
import { Sheet } from '../../../ui/Dialog'
import { ErrorText } from '../../../ui/Field'
import { Select } from '../../../ui/Select'
import { useForget, useKept } from '../../../ui/Typing'
import type { BenchDraft } from '../useDraft'
import { useAsk } from './useAsk'

type Props = { bench: BenchDraft; line: string; isBlend: boolean; onClose: () => void }

/** SwapSheet puts another ingredient in a line's place, and says first what that changes. */
export function SwapSheet({ bench, line, isBlend, onClose }: Props) {
  const { name, recipe } = bench.draft
  const from = recipe.lines.find((l) => l.key === line)
  const [to, setTo] = useKept('to', '')
  const [how, setHow] = useKept('how', '')
  const suggestions = useSuggestions(to)
  const body = { name, recipe, line, to, how }
  const swap = useAsk('swap', body, () => answer(api.POST('/api/swaps', { body })), to.trim() !== '')
  const blend = { ...body, to: '', how: '' }
  const parts = useAsk('swap-parts', blend, () => answer(api.POST('/api/swaps', { body: blend })), isBlend)
  const forget = useForget()
  const take = (f: Recipe) => {
    forget()
    bench.setRecipe(f)
    onClose()
  }
  const choose = (name: string) => {
    setTo(name)
    setHow('')
  }
  return (
    <Sheet
      title={copy.bench.swapWhat(from?.ingredient ?? copy.bench.aLine)}
      intro={copy.bench.seeWhatChangesBeforeYou}
      onClose={onClose}
    >
      <div>
        <p className="mb-1 text-sm font-bold">{copy.bench.swapFor}</p>
        <div className="rounded-full border-2 border-rim px-4">
          <Combobox
            label={copy.bench.swapFor}
            placeholder={copy.bench.anIngredient}
            value={to}
            items={suggestions.data ?? []}
            textOf={(s) => s.name}
            show={(s) => s.name}
            onType={choose}
            onPick={(s) => choose(s.name)}
            invalid={swap.refused !== undefined}
            describedBy="swap-error"
            inputClass="min-h-11 w-full bg-transparent outline-none"
          />
        </div>
        <ErrorText id="swap-error">{to.trim() === '' ? undefined : swap.refused?.message}</ErrorText>
      </div>
      {parts.data && to.trim() === '' && (
        <Button disabled={!parts.now} onClick={() => parts.now && take(parts.now.recipe)}>
          {copy.bench.swapTheBlendForIts}
        </Button>
      )}
      {swap.data && to.trim() !== '' && (
        <>
          <Select
            label={copy.bench.keepTheSame}
            value={swap.data.how}
            choices={swap.data.ways.map((w) => ({ value: w, label: copy.bench.swapWays[w] ?? w }))}
            onChange={setHow}
          />
          <Changes worst={swap.data.worst} changes={swap.data.changes} />
          <Button primary disabled={!swap.now} onClick={() => swap.now && take(swap.now.recipe)}>
            {copy.bench.swap}
          </Button>
        </>
      )}
    </Sheet>
  )
}

function Changes({ worst, changes }: { worst: string[]; changes: string[] }) {
  if (worst.length + changes.length === 0) return <p>{copy.bench.nothingImportantChanges}</p>
  return (
    <div className="grid gap-3">
      {worst.length > 0 && (
        <section aria-label={copy.bench.worstFirst}>
          <h3 className="text-lg text-hibiscus-deep">{copy.bench.worstFirst}</h3>
          <ul className="list-disc pl-5 font-bold text-hibiscus-deep">
            {worst.map((c) => (
              <li key={c}>{c}</li>
            ))}
          </ul>
        </section>
      )}
      {changes.length > 0 && (
        <section aria-label={copy.bench.whatChanges}>
          <h3 className="text-lg">{copy.bench.whatChanges}</h3>
          <ul className="list-disc pl-5">
            {changes.map((c) => (
              <li key={c}>{c}</li>
            ))}
          </ul>
        </section>
      )}
    </div>
  )
}
