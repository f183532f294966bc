import type { Line, LineFigure, Reckoning } from '../../api/schema'
import { copy } from '../../copy'
import { toTenth, toTwoFigures } from '../../ui/format'

/** Row is a line as typed with its figures, if they are there yet. */
export type Row = { line: Line; figure?: LineFigure }

export type Group = { name: string; figure: string; rows: Row[] }

const groupOf: Record<string, string> = {
  base: 'Base',
  liquid: 'Base',
  sweetener: 'Sweet',
  spice: 'Spice and flavour',
  flavour: 'Spice and flavour',
  fat: 'Fat and pinch',
  salt: 'Fat and pinch',
  dairy: 'Fat and pinch',
  body: 'Fat and pinch',
  other: 'Fat and pinch',
}

/** What needs a decision comes first, what was only just typed and what is kept as a note last. */
const groupNames = ['Needs attention', 'Base', 'Sweet', 'Spice and flavour', 'Fat and pinch', 'New', 'Notes']

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
  const nameOf = ({ line, figure }: Row) => {
    if (line.isNote) return 'Notes'
    return groupOf[roles.get(line.key) ?? ''] ?? (figure ? 'Needs attention' : 'New')
  }
  return groupNames
    .map((name) => ({ name, figure: headFigure(name, r), rows: rows.filter((row) => nameOf(row) === name) }))
    .filter((g) => g.rows.length > 0)
}

function headFigure(name: string, r: Reckoning | undefined): string {
  if (!r?.reckoned) return ''
  switch (name) {
    case 'Base':
      if (!r.ratio) return ''
      return copy.bench.n1ByCups1By(toTwoFigures(r.ratio.byVolume), toTwoFigures(r.ratio.byMass))
    case 'Sweet':
      return copy.bench.g100MlAsSugar(toTenth(r.per100mL.sucroseEquivalentG))
    case 'Fat and pinch':
      return copy.bench.fatInAll(toTenth(r.dials[1]?.value ?? 0))
  }
  return ''
}
