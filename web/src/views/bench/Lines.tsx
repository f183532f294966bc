import { type Ref, useRef, useState } from 'react'
import type { Reckoning } from '../../api/schema'
import { copy } from '../../copy'
import { Tray } from '../../ui/Tray'
import { AddLine } from './AddLine'
import { groupLines } from './groups'
import { LineRow } from './LineRow'
import { type Lesson, Teach } from './Teach'
import type { BenchDraft } from './useDraft'

type Props = {
  bench: BenchDraft
  reckoning?: Reckoning
  addRef: Ref<HTMLInputElement>
  onSwap: (key: string) => void
}

/** Lines are the ingredients, grouped by what they do, and the place to add one. */
export function Lines({ bench, reckoning, addRef, onSwap }: Props) {
  const roles = useRef(new Map<string, string>())
  const [typing, setTyping] = useState<string>()
  const [lesson, setLesson] = useState<Lesson>()
  const groups = groupLines(bench.draft.recipe.lines, reckoning, roles.current, typing)
  return (
    <Tray label={copy.bench.ingredients} className="@container min-w-0">
      {groups.length === 0 && <p className="pb-3 text-mute">{copy.bench.startWithABaseAnd}</p>}
      {groups.map((g) => (
        <div key={g.code} className="mb-1">
          <div className="flex items-baseline justify-between gap-3 text-sm text-rim">
            <h2 className="!font-text">{g.name}</h2>
            <span className="text-fine font-bold">{g.figure}</span>
          </div>
          <ul aria-label={g.name}>
            {g.rows.map((row, n) => (
              <LineRow
                key={row.line.key}
                line={row.line}
                figure={row.figure}
                edits={bench.edits}
                sized={bench.draft.recipe.sizeBy !== ''}
                above={g.rows[n - 1]?.line.key}
                below={g.rows[n + 1]?.line.key}
                onTyping={setTyping}
                onSwap={onSwap}
                onLesson={setLesson}
              />
            ))}
          </ul>
        </div>
      ))}
      {lesson && (
        <div className="py-1.5">
          <Teach key={lesson.name} {...lesson} />
        </div>
      )}
      <AddLine edits={bench.edits} inputRef={addRef} />
    </Tray>
  )
}
