import { query } from '../../api/client'
import type { ToShow, Working, WorkingPart } from '../../api/schema'
import { copy } from '../../copy/more'
import { Dialog } from '../../ui/Dialog'
import { toThreeFigures } from '../../ui/format'
import { Notice } from '../../ui/Notice'
import type { BenchDraft } from './useDraft'

export type Figure = ToShow['figure']

/** The colours of the streams, each with a pattern of its own in words beside it. */
const inks: Record<string, string> = {
  drink: 'var(--color-oat)',
  pulp: '#cda27a',
  thrown: 'var(--color-line)',
  walls: 'var(--color-rim)',
  evaporated: 'var(--color-glass)',
  skimmed: 'var(--color-turmeric)',
  leftover: 'var(--color-nutmeg)',
}

/** WorkingDialog shows how a figure came about: what went in, where it came to be, and the numbers that say so. */
export function WorkingDialog({ bench, figure, onClose }: { bench: BenchDraft; figure: Figure; onClose: () => void }) {
  const { name, recipe } = bench.draft
  const body = { name, recipe, figure }
  const working = query.useQuery('post', '/api/workings', { body })
  const w = working.data
  return (
    <Dialog onClose={onClose} title={w?.title ?? copy.bench.howItIsWorkedOut}>
      {working.error && <Notice urgent>{working.error.detail}</Notice>}
      {w && (
        <>
          <p>{w.result}</p>
          {w.streams.length > 0 && <Streams w={w} />}
          <Parts head={copy.bench.ingredients} parts={w.lines} unit={w.unit} />
          <Told head={copy.bench.whatAffectsIt} told={w.reasons} />
          <Told head={copy.bench.theNumbers} told={w.constants} />
        </>
      )}
    </Dialog>
  )
}

/** Streams draws where all of it came to be, to scale. */
function Streams({ w }: { w: Working }) {
  return (
    <figure>
      <div
        className="flex h-7 overflow-hidden rounded-md border-2 border-rim"
        role="img"
        aria-label={w.streams.map((s) => `${toThreeFigures(s.amount)} ${w.unit} ${s.name}`).join(', ')}
      >
        {w.streams.map((s) => (
          <span key={s.code} style={{ width: `${s.pct}%`, backgroundColor: inks[s.code] }} />
        ))}
      </div>
      <figcaption>
        <Parts head={copy.bench.whereItAllWent} parts={w.streams} unit={w.unit} />
      </figcaption>
    </figure>
  )
}

function Parts({ head, parts, unit }: { head: string; parts: WorkingPart[]; unit: string }) {
  if (parts.length === 0) return null
  return (
    <section>
      <h3 className="text-lg">{head}</h3>
      <ul>
        {parts.map((p, n) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: an ingredient may stand there twice
          <li key={`${n}-${p.name}`} className="flex items-baseline justify-between gap-3 border-line border-b">
            <span className="flex items-center gap-2">
              {p.code !== '' && (
                <span
                  aria-hidden
                  className="inline-block size-3 border border-rim"
                  style={{ backgroundColor: inks[p.code] }}
                />
              )}
              {p.name}
            </span>
            <span className="whitespace-nowrap">
              {toThreeFigures(p.amount)} {unit}
            </span>
          </li>
        ))}
      </ul>
    </section>
  )
}

function Told({ head, told }: { head: string; told: string[] }) {
  if (told.length === 0) return null
  return (
    <section>
      <h3 className="text-lg">{head}</h3>
      <ul className="list-disc pl-5 text-note text-mute">
        {told.map((t) => (
          <li key={t}>{t}</li>
        ))}
      </ul>
    </section>
  )
}
