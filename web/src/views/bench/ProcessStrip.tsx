import { ChevronRight } from 'lucide-react'
import { lazy, memo, Suspense, useState } from 'react'
import type { ProcessStep, Recipe } from '../../api/schema'
import { copy } from '../../copy'
import { Button } from '../../ui/Button'
import { toWhole } from '../../ui/format'
import { Notice } from '../../ui/Notice'
import type { Edits } from './useDraft'

const StepEditor = lazy(() => import('./StepEditor').then((m) => ({ default: m.StepEditor })))

type Props = {
  steps: ProcessStep[]
  unapplied: string[]
  changes: Recipe['process']
  edits: Edits
  onMethod: () => void
}

/** nameOf tells steps apart, wherever they stand; the cook's own by their words. */
const nameOf = (s: ProcessStep) => (s.kind === 'own' ? copy.bench.added(s.title) : `${s.code} ${s.n}`)

/** ProcessStrip is how the drink is made, step by step; a step that is opened says what goes in, and can be changed. */
export const ProcessStrip = memo(function ProcessStrip({ steps, unapplied, changes, edits, onMethod }: Props) {
  const [open, setOpen] = useState<string>()
  if (steps.length === 0) return null
  const shown = steps.find((s) => nameOf(s) === open)
  return (
    <section aria-label={copy.bench.method} className="rounded-tray border-tray border-rim bg-enamel px-3 py-2.5">
      <div className="flex flex-wrap items-baseline justify-between gap-2">
        <h2 className="text-lg">{copy.bench.method}</h2>
        <Button onClick={onMethod}>{copy.bench.methodOptions}</Button>
      </div>
      <ol className="relative mt-1 flex flex-wrap items-center gap-y-1 max-sm:flex-nowrap max-sm:overflow-x-auto max-sm:whitespace-nowrap">
        {steps.map((s, n) => (
          <li key={nameOf(s)} className="flex items-center">
            {n > 0 && <ChevronRight size={14} aria-hidden className="text-mute" />}
            <button
              type="button"
              aria-expanded={s === shown}
              onClick={() => setOpen(s === shown ? undefined : nameOf(s))}
              className={`min-h-9 rounded px-1.5 text-note ${s === shown ? 'bg-linen font-bold' : ''} ${s.wait ? 'text-mute' : 'underline decoration-dotted underline-offset-4'}`}
            >
              {s.kind === 'own' ? s.title : (copy.bench.stepKinds[s.kind] ?? s.kind)}
              {s.wait && s.minutes >= 60 && ` ${toWhole(s.minutes / 60)} h`}
              {s.kind !== 'own' && <span className="sr-only">: {s.title}</span>}
            </button>
          </li>
        ))}
      </ol>
      {unapplied.map((words) => (
        <Notice key={words}>{words}</Notice>
      ))}
      {(changes ?? [])
        .filter((c) => c.do === 'remove')
        .map((c) => (
          <p key={`${c.at.kind}-${c.at.n}`} className="flex items-center gap-2 text-note text-mute">
            {copy.bench.skipped(copy.bench.stepKinds[c.at.kind] ?? c.at.kind)}
            <Button onClick={() => edits.setRecipe({ process: (changes ?? []).filter((other) => other !== c) })}>
              {copy.bench.putBack}
            </Button>
          </p>
        ))}
      {shown && (
        <div className="mt-1 border-line border-t pt-2">
          <p role="status" className="text-note">
            {shown.text}
          </p>
          <Suspense>
            <StepEditor key={nameOf(shown)} steps={steps} step={shown} changes={changes ?? []} edits={edits} />
          </Suspense>
        </div>
      )}
    </section>
  )
})
