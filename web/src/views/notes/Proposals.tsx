import type { Finding, Next } from '../../api/schema'
import { copy } from '../../copy/more'
import { Check } from '../../ui/Check'
import { inWords } from '../../ui/format'

type Props = { next?: Next; chosen: string[]; onToggle: (code: string) => void }

/** Proposals are what a tasting asks of the next batch, to be taken one by one, and what probably caused it. */
export function Proposals({ next, chosen, onToggle }: Props) {
  const findings = (next?.findings ?? []).filter((f) => f.causes.length > 0)
  const proposals = next?.proposals ?? []
  return (
    <section aria-label={copy.notes.forTheNextBatch} className="border-line border-t pt-2">
      <h3 className="text-lead text-rim">{copy.notes.forTheNextBatch}</h3>
      {proposals.length + findings.length === 0 && <p className="text-note text-mute">{copy.notes.nothingToChange}</p>}
      <ul className="grid gap-1">
        {proposals.map((p) => (
          <li key={p.code}>
            <p className="text-note">
              <b>{p.reason}</b>
              {p.effect && <span className="text-mute"> · {p.effect}</span>}
            </p>
            <Check label={copy.notes.use(p.what)} checked={chosen.includes(p.code)} onChange={() => onToggle(p.code)} />
          </li>
        ))}
        {findings.map((f) => (
          <Causes key={f.flag} f={f} />
        ))}
      </ul>
    </section>
  )
}

/** Causes are why something probably came about: what happened in this batch before what is true of any. */
function Causes({ f }: { f: Finding }) {
  const happened = f.causes.filter((c) => c.happened).map((c) => c.evidence)
  const general = f.causes.filter((c) => !c.happened).map((c) => c.evidence)
  return (
    <li className="text-note">
      <b>{f.text}</b>
      {happened.length > 0 && ` · ${copy.notes.likely} ${inWords(happened)}.`}
      {general.length > 0 && <span className="text-mute">{` · ${copy.notes.inGeneral} ${inWords(general)}.`}</span>}
    </li>
  )
}
