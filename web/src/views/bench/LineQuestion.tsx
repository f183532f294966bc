import { answer, api } from '../../api/client'
import type { Line, LineFigure } from '../../api/schema'
import { Choice, Choices } from '../../ui/Choices'
import type { Edits } from './useDraft'

/** textOf is what was written of a line, from which it is read anew. */
const textOf = (line: Line) => line.written || `${line.amount} ${line.ingredient}`.trim()

/** LineQuestion asks about a line that is not read for certain. One tap settles it. */
export function LineQuestion({ line, figure, edits }: { line: Line; figure: LineFigure; edits: Edits }) {
  if (figure.question === '') return null
  const readAs = async (as: string) => {
    const { lines } = await answer(api.POST('/api/lines', { body: { text: textOf(line), as } }))
    edits.replaceLine(line.key, lines)
  }
  return (
    <div className="grid gap-1 pb-1.5 pl-4.5">
      <p className="text-note text-hibiscus-deep">{figure.question}</p>
      <Choices label={`About ${textOf(line)}`}>
        {figure.understood ? (
          <Choice onPick={() => edits.setLine(line.key, { settled: true })}>It is right</Choice>
        ) : (
          <>
            {figure.choices.map((name) => (
              <Choice key={name} onPick={() => readAs(name)}>
                {name}
              </Choice>
            ))}
            <Choice onPick={() => edits.setLine(line.key, { isNote: true })}>Keep as a note</Choice>
          </>
        )}
      </Choices>
    </div>
  )
}
