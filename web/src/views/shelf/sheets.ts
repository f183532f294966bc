import { copy } from '../../copy/more'

/** Paper is a page, in mm. */
type Paper = { wide: number; high: number; css: string }

const a4: Paper = { wide: 210, high: 297, css: '210mm 297mm' }
const letter: Paper = { wide: 215.9, high: 279.4, css: '215.9mm 279.4mm' }
const single = (wide: number, high: number): Paper => ({ wide, high, css: `${wide}mm ${high}mm` })

/** Sheet is a sheet of labels as it is sold, in mm: the first label's corner, its size, and the gap to the next. */
export type Sheet = {
  name: string
  paper: Paper
  wide: number
  high: number
  across: number
  down: number
  left: number
  top: number
  gapX: number
}

/** The common sheets: those of A4 and Letter by their labels' sizes, and single labels of a label printer. */
export const sheets: Record<string, Sheet> = {
  'a4-14': {
    name: copy.shelf.sheetNames['a4-14'] ?? '',
    paper: a4,
    wide: 99.1,
    high: 38.1,
    across: 2,
    down: 7,
    left: 4.65,
    top: 15.15,
    gapX: 2.5,
  }, // prettier-ignore
  'a4-21': {
    name: copy.shelf.sheetNames['a4-21'] ?? '',
    paper: a4,
    wide: 63.5,
    high: 38.1,
    across: 3,
    down: 7,
    left: 7.25,
    top: 15.15,
    gapX: 2.5,
  }, // prettier-ignore
  'a4-8': {
    name: copy.shelf.sheetNames['a4-8'] ?? '',
    paper: a4,
    wide: 99.1,
    high: 67.7,
    across: 2,
    down: 4,
    left: 4.65,
    top: 13.1,
    gapX: 2.5,
  }, // prettier-ignore
  'letter-10': {
    name: copy.shelf.sheetNames['letter-10'] ?? '',
    paper: letter,
    wide: 101.6,
    high: 50.8,
    across: 2,
    down: 5,
    left: 3.97,
    top: 12.7,
    gapX: 4.76,
  }, // prettier-ignore
  'letter-14': {
    name: copy.shelf.sheetNames['letter-14'] ?? '',
    paper: letter,
    wide: 101.6,
    high: 33.87,
    across: 2,
    down: 7,
    left: 3.97,
    top: 21.15,
    gapX: 4.76,
  }, // prettier-ignore
  'single-90': {
    name: copy.shelf.sheetNames['single-90'] ?? '',
    paper: single(90, 50),
    wide: 90,
    high: 50,
    across: 1,
    down: 1,
    left: 0,
    top: 0,
    gapX: 0,
  }, // prettier-ignore
  'single-62': {
    name: copy.shelf.sheetNames['single-62'] ?? '',
    paper: single(62, 40),
    wide: 62,
    high: 40,
    across: 1,
    down: 1,
    left: 0,
    top: 0,
    gapX: 0,
  }, // prettier-ignore
}

export const placesOf = (s: Sheet) => s.across * s.down

/** Placed is a label at its place on a page: its number, and its upper left corner in mm. */
export type Placed<T> = { label: T; x: number; y: number }

/** pagesOf puts labels on pages, from a position of the first sheet on, which may be used up to there. Positions count from 1, row by row. */
export function pagesOf<T>(sheet: Sheet, labels: T[], start = 1): Placed<T>[][] {
  const places = placesOf(sheet)
  const skipped = Math.min(Math.max(1, Math.round(start)), places) - 1
  const pages: Placed<T>[][] = []
  labels.forEach((label, n) => {
    const at = n + skipped
    const [page, place] = [Math.floor(at / places), at % places]
    const [row, column] = [Math.floor(place / sheet.across), place % sheet.across]
    pages[page] ??= []
    pages[page].push({
      label,
      x: sheet.left + column * (sheet.wide + sheet.gapX),
      y: sheet.top + row * sheet.high,
    })
  })
  return pages
}
