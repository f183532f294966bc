import { Link } from 'wouter'
import { answer, api } from '../../../api/client'
import { copy } from '../../../copy/more'
import { Button } from '../../../ui/Button'
import { Sheet } from '../../../ui/Dialog'
import { TextArea } from '../../../ui/TextArea'
import type { BenchDraft } from '../useDraft'
import { useAsk } from './useAsk'

/** ExportSheet gives the drink as JSON-LD, as Markdown, and as a card to print. */
export function ExportSheet({ bench, onClose }: { bench: BenchDraft; onClose: () => void }) {
  const { name, recipe } = bench.draft
  const out = useAsk('export', { name, recipe }, () => answer(api.POST('/api/exports', { body: { name, recipe } })))
  return (
    <Sheet title={copy.bench.printOrExport} intro={copy.bench.atTheSizeSetNow} onClose={onClose}>
      <Link
        href={`/bench/${bench.kept.id}/card`}
        className="inline-flex min-h-11 items-center justify-center rounded-full bg-rim px-4 font-bold text-on-rim"
      >
        {copy.bench.recipeCardToPrint}
      </Link>
      {out.data && (
        <>
          <Taken
            label={copy.bench.markdown}
            text={out.data.markdown}
            file={`${fileName(name)}.md`}
            type="text/markdown"
          />
          <Taken
            label={copy.bench.recipeDataSchemaOrgJson}
            text={out.data.jsonLD}
            file={`${fileName(name)}.jsonld`}
            type="application/ld+json"
          />
        </>
      )}
    </Sheet>
  )
}

const fileName = (name: string) =>
  name
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '') || 'drink'

function Taken({ label, text, file, type }: { label: string; text: string; file: string; type: string }) {
  const save = () => {
    const url = URL.createObjectURL(new Blob([text], { type }))
    const link = document.createElement('a')
    link.href = url
    link.download = file
    link.click()
    URL.revokeObjectURL(url)
  }
  return (
    <div className="grid gap-2">
      <TextArea label={label} rows={6} readOnly value={text} />
      <Button onClick={save}>{copy.bench.saveAs(file)}</Button>
    </div>
  )
}
