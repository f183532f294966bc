import type { Line, LineFigure, Reckoning } from '../../api/schema'
import { copy } from '../../copy'
import { toTenth, toTwoFigures } from '../../ui/format'

/** Row is a line as typed with its figures, if they are there yet. */
export type Row = { line: Line; figure?: LineFigure }

export type Group = { code: string; name: string; figure: string; rows: Row[] }

const groupOf: Record<string, string> = {
  base: 'base',
  liquid: 'base',
  sweetener: 'sweet',
  spice: 'spice',
  flavour: 'spice',
  fat: 'fat',
  salt: 'fat',
  dairy: 'fat',
  body: 'fat',
  other: 'fat',
}

/** What needs a decision comes first, what was only just typed and what is kept as a note last. */
const groups = ['asked', 'base', 'sweet', 'spice', 'fat', 'new', 'notes']

/** groupLines puts the lines under their heads. roles remembers what a line last was, so that it stays put while its name is typed anew. */
export function groupLines(
  lines: Line[],
  r: Reckoning | undefined,
  roles: Map<string, string>,
  typing?: string,
): Group[] {
  const rows = lines.map((line) => ({ line, figure: r?.lines.find((f) => f.key === line.key) }))
  for (const { line, figure } of rows) {
    if (figure?.role && line.key !== typing) roles.set(line.key, figure.role)
  }
  const codeOf = ({ line, figure }: Row) => {
    if (line.isNote) return 'notes'
    return groupOf[roles.get(line.key) ?? ''] ?? (figure ? 'asked' : 'new')
  }
  return groups
    .map((code) => ({
      code,
      name: copy.bench.groups[code] ?? '',
      figure: headFigure(code, r),
      rows: rows.filter((row) => codeOf(row) === code),
    }))
    .filter((g) => g.rows.length > 0)
}

function headFigure(code: string, r: Reckoning | undefined): string {
  if (!r?.reckoned) return ''
  switch (code) {
    case 'base':
      if (!r.ratio) return ''
      return copy.bench.n1ByCups1By(toTwoFigures(r.ratio.byVolume), toTwoFigures(r.ratio.byMass))
    case 'sweet':
      return copy.bench.g100MlAsSugar(toTenth(r.per100mL.sucroseEquivalentG))
    case 'fat':
      return copy.bench.fatInAll(toTenth(r.dials[1]?.value ?? 0))
  }
  return ''
}
