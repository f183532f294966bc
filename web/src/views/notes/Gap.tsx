import type { GapLine } from '../../api/schema'
import { copy } from '../../copy/more'
import { toMillilitres, toTwoFigures } from '../../ui/format'
import { Table } from '../../ui/Table'
import { Tray } from '../../ui/Tray'

const { gapHeads } = copy.notes

const write = (l: GapLine, v: number) => `${toTwoFigures(v)} ${l.unit}`

/** bound says of calcium that it is the most, or the least, there can be: how much stays in the pulp nobody knows. */
const bound = (l: GapLine, words: (v: string) => string, v: number) =>
  l.nutrient === 'calcium' ? words(write(l, v)) : write(l, v)

/** Gap is what a day of a drink brings beside a fortified carton and cow's milk. */
export function Gap({ lines }: { lines: GapLine[] }) {
  const first = lines[0]
  if (!first) return null
  return (
    <Tray label={copy.notes.gap} className="overflow-x-auto">
      <Table
        caption={copy.notes.gap}
        heads={[gapHeads.nutrient, gapHeads.here, gapHeads.carton, gapHeads.cow, gapHeads.less]}
        rows={lines.map((l) => ({
          key: l.nutrient,
          cells: [
            copy.notes.nutrients[l.nutrient] ?? l.nutrient,
            l.known ? bound(l, copy.notes.atMost, l.here) : copy.notes.unknown,
            write(l, l.carton),
            write(l, l.cowsMilk),
            l.less > 0 ? bound(l, copy.notes.atLeast, l.less) : '–',
          ],
        }))}
      />
      <p className="mt-2 text-note text-mute">{copy.notes.gapIntro(toMillilitres(first.dayML))}</p>
    </Tray>
  )
}
