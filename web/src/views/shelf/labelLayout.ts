/** Face is one of the three that a label is set in. */
export type Face = 'head' | 'bold' | 'text'

/** Measures how wide a text is, in mm, at a size in pt. */
export type Measure = (text: string, pt: number, face: Face) => number

/** Words are what stands on a label. */
export type Words = { name: string; useBy: string; small: { text: string; bold: boolean }[] }

/** TextLine is a line of a label: where its baseline begins, in mm, its size in pt, and how wide it is. */
export type TextLine = { text: string; x: number; y: number; pt: number; face: Face; wide: number }

/** Layout is a label laid out in its box: every line of text, and the code's square. */
export type Layout = { lines: TextLine[]; code: { x: number; y: number; side: number } }

const mmPerPt = 25.4 / 72
const edge = 2.5
const gap = 1.5
/** Readable at a glance: the least sizes of name and date; the most where there is room. */
const namePt = [16, 15, 14]
const datePt = [26, 24, 22, 20, 18]
const smallPt = [9, 8.5, 8, 7.5, 7, 6.5, 6, 5.5, 5]
const leading = 1.18
const ascent = 0.8
const codeMost = 20
const codeLeast = 14

/** wrapped breaks a text into lines that fit; a word that is too long by itself is cut with an ellipsis. */
export function wrapped(text: string, room: number, pt: number, face: Face, measure: Measure): string[] {
  const lines: string[] = []
  for (const word of text.split(/\s+/).filter(Boolean)) {
    const last = lines[lines.length - 1]
    const longer = last === undefined ? word : `${last} ${word}`
    if (last !== undefined && measure(longer, pt, face) <= room) lines[lines.length - 1] = longer
    else lines.push(shortened(word, room, pt, face, measure))
  }
  return lines
}

/** shortened is a text cut so that it fits. */
export function shortened(text: string, room: number, pt: number, face: Face, measure: Measure): string {
  if (measure(text, pt, face) <= room) return text
  let cut = text
  while (cut.length > 1 && measure(`${cut}…`, pt, face) > room) cut = cut.slice(0, -1).trimEnd()
  return `${cut}…`
}

/** named lays a name out: in one line as large as it goes, else in two where the code still has its room below, the last cut where it has to be. */
function named(name: string, room: number, high: number, measure: Measure): { texts: string[]; pt: number } {
  const one = namePt.find((pt) => measure(name, pt, 'head') <= room)
  if (one) return { texts: [name], pt: one }
  const pt = 14
  const below = high - 2 * edge - leading * (2 * pt + (datePt[datePt.length - 1] ?? 18)) * mmPerPt
  if (below < codeLeast) return { texts: [shortened(name, room, pt, 'head', measure)], pt }
  const [first = '', ...rest] = wrapped(name, room, pt, 'head', measure)
  return { texts: rest.length > 0 ? [first, shortened(rest.join(' '), room, pt, 'head', measure)] : [first], pt }
}

/** The least size of the small print that the date makes room for. */
const readablePt = 7

/**
 * layOut puts words and code into a box of wide by high mm: the name and the date large at the top, the code in the lower right corner, and
 * the rest beside it. The date is as large as leaves the rest readable, and the rest as large as fits.
 */
export function layOut(words: Words, wide: number, high: number, measure: Measure): Layout {
  const all = datePt.map((pt) => laidOut(words, wide, high, pt, measure))
  return (
    all.find((l) => l.fits && l.smallPt >= readablePt) ??
    all[all.length - 1] ??
    laidOut(words, wide, high, 18, measure)
  ).layout
}

/** laidOut is a label with its date at a size; whether that is its place, and how large the rest came out. */
function laidOut(words: Words, wide: number, high: number, pt: number, measure: Measure) {
  const room = wide - 2 * edge
  const lines: TextLine[] = []
  let y = edge
  const put = (text: string, pt: number) => {
    lines.push({ text, x: edge, y: y + ascent * pt * mmPerPt, pt, face: 'head', wide: measure(text, pt, 'head') })
    y += leading * pt * mmPerPt
  }
  const name = named(words.name, room, high, measure)
  for (const text of name.texts) put(text, name.pt)
  put(shortened(words.useBy, room, pt, 'head', measure), pt)
  const side = Math.max(codeLeast, Math.min(codeMost, high - y - edge))
  const code = { x: wide - edge - side, y: high - edge - side, side }
  const smallPt = small(
    words.small,
    { top: y + 0.5, wide: room - side - gap, high: high - edge - y - 0.5 },
    measure,
    lines,
  )
  const fits = measure(words.useBy, pt, 'head') <= room && code.y >= y - 0.01
  return { layout: { lines, code }, fits, smallPt }
}

/** small lays the rest out in its box and tells the size: the largest at which it fits; what still does not fit is cut at its end. */
function small(
  parts: Words['small'],
  box: { top: number; wide: number; high: number },
  measure: Measure,
  lines: TextLine[],
): number {
  const least = smallPt[smallPt.length - 1] ?? 5
  const at = (pt: number) =>
    parts.flatMap((p) => {
      const face: Face = p.bold ? 'bold' : 'text'
      return wrapped(p.text, box.wide, pt, face, measure).map((text) => ({ text, face }))
    })
  const rows = (pt: number) => Math.floor(box.high / (leading * pt * mmPerPt))
  const pt = smallPt.find((pt) => at(pt).length <= rows(pt)) ?? least
  at(pt)
    .slice(0, rows(pt))
    .forEach(({ text, face }, n) => {
      const y = box.top + (n * leading + ascent) * pt * mmPerPt
      lines.push({ text, x: edge, y, pt, face, wide: measure(text, pt, face) })
    })
  return pt
}
