import { useEffect, useState } from 'react'
import { answer, api } from '../../../api/client'
import type { Line, PastedLine } from '../../../api/schema'
import { copy } from '../../../copy/more'
import { Button } from '../../../ui/Button'
import { Check } from '../../../ui/Check'
import { Sheet } from '../../../ui/Dialog'
import { TextArea } from '../../../ui/TextArea'
import type { BenchDraft } from '../useDraft'
import { linesOf, offered, type Settled, toSettle } from './pasted'
import { ReviewLine } from './ReviewLine'
import { useAsk } from './useAsk'

const example = copy.bench.porchMilkServes41

/** What was pasted last stays, so that it can be taken up again after an undo. */
let lastPasted = ''

/** PasteSheet reads a whole recipe. What needs a decision stands first, and nothing is lost. */
export function PasteSheet({ bench, onClose }: { bench: BenchDraft; onClose: () => void }) {
  const [text, setText] = useState(lastPasted)
  useEffect(() => {
    lastPasted = text
  }, [text])
  const [settled, setSettled] = useState<Record<string, Settled>>({})
  const [left, setLeft] = useState<string[]>([]) // offers that are not taken
  const body = { text }
  const read = useAsk('paste', body, () => answer(api.POST('/api/pastes', { body })), text.trim() !== '')
  const page = text.trim() === '' ? undefined : read.data
  const lines = page ? page.lines.filter((l) => l.kind === 'ingredient') : []
  const asked = lines.filter((l) => toSettle(l, settled))
  const settle = (line: PastedLine, how: Settled) => setSettled({ ...settled, [line.text]: how })
  const takeFile = async (file?: File) => file && setText(await file.text())
  const take = (replace: boolean) => {
    if (!read.now) return
    const fresh: Line[] = linesOf(lines, settled)
    const { recipe } = bench.draft
    if (replace && read.now.name) bench.setName(read.now.name)
    bench.setRecipe({
      ...(replace
        ? offered(
            read.now.offers.filter((o) => !left.includes(o.kind)),
            recipe,
          )
        : {}),
      lines: replace ? fresh : [...recipe.lines, ...fresh],
      notes: replace ? read.now.notes : [...(recipe.notes ?? []), ...read.now.notes],
      ...(replace && read.now.servingML > 0 ? { servingML: read.now.servingML } : {}),
    })
    onClose()
  }
  return (
    <Sheet title={copy.bench.pasteARecipe} intro={copy.bench.pasteTheWholeRecipeTitle} onClose={onClose}>
      {/* biome-ignore lint/a11y/noStaticElementInteractions: a file may be dropped here; it can be chosen below as well */}
      <div
        onDragOver={(e) => e.preventDefault()}
        onDrop={(e) => {
          if (e.dataTransfer.files.length === 0) return
          e.preventDefault()
          takeFile(e.dataTransfer.files[0])
        }}
      >
        <TextArea
          label={copy.bench.theRecipe}
          rows={page ? 4 : 8}
          value={text}
          placeholder={example}
          error={text.trim() === '' ? undefined : read.refused?.message}
          onChange={(e) => setText(e.target.value)}
        />
        <label className="mt-1 block text-note text-mute">
          {copy.bench.orOpenAFile}
          <input
            type="file"
            aria-label={copy.bench.aFileWithTheRecipe}
            accept=".txt,.md,.html,.htm,.json,text/*,application/json"
            className="min-h-9"
            onChange={(e) => takeFile(e.target.files?.[0])}
          />
        </label>
      </div>
      {page && (
        <>
          <p role="status" className="text-note text-mute">
            {page.name && <b className="block text-lead text-ink">{page.name}</b>}
            {copy.bench.ingredientsRead(lines.length)}
            {page.servings > 0 && copy.bench.serves(page.servings)}
            {asked.length > 0 ? copy.bench.attention(asked.length) : copy.bench.allRead}
          </p>
          <ul aria-label={copy.bench.asItWasRead} className="grid gap-1.5">
            {[...asked, ...lines.filter((l) => !asked.includes(l))].map((l) => (
              <ReviewLine key={l.lines[0]?.key} line={l} settled={settled[l.text]} onSettle={(how) => settle(l, how)} />
            ))}
          </ul>
          <Offers offers={page.offers} left={left} onLeft={setLeft} />
          <Rest lines={page.lines} />
          <div className="flex flex-wrap gap-2">
            <Button primary disabled={!read.now || lines.length === 0} onClick={() => take(true)}>
              {copy.bench.useThisRecipe}
            </Button>
            <Button disabled={!read.now || lines.length === 0} onClick={() => take(false)}>
              {copy.bench.addToThisDrink}
            </Button>
          </div>
        </>
      )}
    </Sheet>
  )
}

type OffersProps = {
  offers: { kind: string; words: string; sentence: string }[]
  left: string[]
  onLeft: (kinds: string[]) => void
}

/** Offers are what the method says, each beside its sentence; chilling and keeping are only told. */
function Offers({ offers, left, onLeft }: OffersProps) {
  if (offers.length === 0) return null
  return (
    <section aria-label={copy.bench.fromTheMethod} className="grid gap-1.5 border-t border-line pt-2">
      <h3 className="text-lead">{copy.bench.fromTheMethod}</h3>
      {offers.map((o) => (
        <div key={o.kind}>
          {o.kind === 'chill' || o.kind === 'keep' ? (
            <b>{o.words}</b>
          ) : (
            <Check
              label={o.words}
              checked={!left.includes(o.kind)}
              onChange={(on) => onLeft(on ? left.filter((k) => k !== o.kind) : [...left, o.kind])}
            />
          )}
          <p className="text-fine text-mute">“{o.sentence}”</p>
        </div>
      ))}
    </section>
  )
}

/** Rest is what is no ingredient. It is shown, so that nothing seems lost. */
function Rest({ lines }: { lines: PastedLine[] }) {
  const rest = lines.filter((l) => l.kind !== 'ingredient' && l.kind !== 'title')
  if (rest.length === 0) return null
  return (
    <details className="text-note text-mute">
      <summary className="min-h-9 cursor-pointer">{copy.bench.everythingElseKeptAsNotes}</summary>
      <ul className="grid gap-1">
        {rest.map((l, n) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: the same line may stand there twice
          <li key={`${n}-${l.text}`}>{l.text}</li>
        ))}
      </ul>
    </details>
  )
}
