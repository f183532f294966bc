import { answer, api } from '../../../api/client'
import type { PastedLine } from '../../../api/schema'
import { copy } from '../../../copy/more'
import { Choice, Choices } from '../../../ui/Choices'
import { Teach } from '../Teach'
import { explain } from './explain'
import { needsSettling, type Settled } from './pasted'

type Props = { line: PastedLine; settled?: Settled; onSettle: (how: Settled) => void }

/** ReviewLine is a line as written, and how it is read, side by side. */
export function ReviewLine({ line, settled, onSettle }: Props) {
  const told = settled?.told ?? (line.understood ? line.told : '')
  return (
    <li className="grid gap-1 border-t border-line pt-1.5">
      <div className="grid grid-cols-2 gap-3">
        <p className="text-note text-mute" title={explain(line.words)}>
          {line.text}
        </p>
        <p className={told ? 'text-note font-bold' : 'text-note font-bold text-hibiscus-deep'}>
          {told || line.problem || line.question}
          {line.mended && <span className="block text-fine font-normal text-mute">{line.mended}</span>}
        </p>
      </div>
      {needsSettling(line) && settled === undefined && (
        <>
          {told !== '' && <p className="text-note text-hibiscus-deep">{line.question}</p>}
          <Answers line={line} onSettle={onSettle} />
        </>
      )}
      {settled?.teach && (
        <div>
          <Teach {...settled.teach} />
        </div>
      )}
    </li>
  )
}

function Answers({ line, onSettle }: Props) {
  const readAs = async (as: string) => {
    const read = await answer(api.POST('/api/lines', { body: { text: line.text, as } }))
    onSettle({
      lines: read.lines,
      told: read.told,
      teach: read.teach ? { name: read.teach, ingredient: as } : undefined,
    })
  }
  const asNote = () =>
    onSettle({ lines: line.lines.map((l) => ({ ...l, isNote: true })), told: copy.bench.keptAsANote })
  return (
    <Choices label={copy.bench.about(line.text)}>
      {line.understood ? (
        <Choice onPick={() => onSettle({ lines: line.lines, told: line.told })}>{copy.bench.looksRight}</Choice>
      ) : (
        <>
          {line.choices.map((name) => (
            <Choice key={name} onPick={() => readAs(name)}>
              {name}
            </Choice>
          ))}
          <Choice onPick={asNote}>{copy.bench.keepAsANote}</Choice>
        </>
      )}
    </Choices>
  )
}
