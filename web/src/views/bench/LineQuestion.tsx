import { answer, api } from '../../api/client'
import type { Line, LineFigure } from '../../api/schema'
import { copy } from '../../copy'
import { Choice, Choices } from '../../ui/Choices'
import type { Lesson } from './Teach'
import type { Edits } from './useDraft'

/** textOf is what was written of a line, from which it is read anew. */
const textOf = (line: Line) => line.written || `${line.amount} ${line.ingredient}`.trim()

type Props = { line: Line; figure: LineFigure; edits: Edits; onLesson: (lesson: Lesson) => void }

/** LineQuestion asks about a line that is not read for certain. One tap settles it. */
export function LineQuestion({ line, figure, edits, onLesson }: Props) {
  const readAs = async (as: string) => {
    const { lines, teach } = await answer(api.POST('/api/lines', { body: { text: textOf(line), as } }))
    edits.replaceLine(line.key, lines)
    if (teach) onLesson({ name: teach, ingredient: as })
  }
  if (figure.question === '') return null
  return (
    <div className="grid gap-1 pb-1.5 pl-4.5">
      <p className="text-note text-hibiscus-deep">{figure.question}</p>
      <Choices label={copy.bench.choicesFor(textOf(line))}>
        {figure.understood ? (
          <Choice onPick={() => edits.setLine(line.key, { settled: true })}>{copy.bench.looksRight}</Choice>
        ) : (
          <>
            {figure.choices.map((name) => (
              <Choice key={name} onPick={() => readAs(name)}>
                {name}
              </Choice>
            ))}
            <Choice onPick={() => edits.setLine(line.key, { isNote: true })}>{copy.bench.keepAsANote}</Choice>
          </>
        )}
      </Choices>
    </div>
  )
}
