import { expect, test } from 'vitest'
import { layOut, type Measure, wrapped } from './labelLayout'
import { pagesOf, placesOf, sheets } from './sheets'

/** About half an em a letter, as the fonts have it. */
const measure: Measure = (text, pt, face) => text.length * pt * (face === 'text' ? 0.5 : 0.54) * (25.4 / 72)

const words = {
  name: 'Pistachio and rosewater sherbet concentrate',
  useBy: 'use by Wed 30 Nov',
  small: [
    { text: 'Contains pistachio and coconut.', bold: true },
    { text: 'Made with equipment used for pecan, walnut, sesame and gluten (barley).', bold: false },
    { text: 'Made Thu 26 Nov, 500 mL', bold: false },
    { text: '12 servings of 30 mL. Shake before use. Let down 30 mL with 170 mL of water.', bold: false },
  ],
}

test.each(Object.entries(sheets))('%s: all labels stand on the paper, and none on another', (_, s) => {
  const [page] = pagesOf(
    s,
    Array.from({ length: placesOf(s) }, (_, n) => n),
  )
  for (const p of page ?? []) {
    expect(p.x).toBeGreaterThanOrEqual(0)
    expect(p.x + s.wide).toBeLessThanOrEqual(s.paper.wide + 0.06)
    expect(p.y + s.high).toBeLessThanOrEqual(s.paper.high + 0.06)
  }
  expect(s.left * 2 + s.across * s.wide + (s.across - 1) * s.gapX).toBeCloseTo(s.paper.wide, 0)
  expect(s.top * 2 + s.down * s.high).toBeCloseTo(s.paper.high, 0)
})

test('a half-used sheet is begun where it is', () => {
  const s = sheets['a4-14']
  if (!s) throw new Error('no such sheet')
  const pages = pagesOf(s, [1, 2, 3, 4], 13)
  expect(pages.map((p) => p.map((x) => x.label))).toEqual([
    [1, 2],
    [3, 4],
  ])
  expect(pages[0]?.[0]).toEqual({ label: 1, x: 4.65, y: 15.15 + 6 * 38.1 })
  expect(pages[1]?.[0]).toEqual({ label: 3, x: 4.65, y: 15.15 })
})

test.each(Object.entries(sheets))('%s: every line and the code lie inside, name and date large enough', (_, s) => {
  const { lines, code } = layOut(words, s.wide, s.high, measure)
  for (const l of lines) {
    expect(l.x + l.wide, l.text).toBeLessThanOrEqual(s.wide)
    expect(l.y, l.text).toBeLessThanOrEqual(s.high - 2)
    const beside = l.face !== 'head' && l.y > code.y
    if (beside) expect(l.x + l.wide, l.text).toBeLessThanOrEqual(code.x)
    if (l.face === 'head') expect(l.y, `${l.text} stands above the code`).toBeLessThanOrEqual(code.y)
  }
  expect(code.x + code.side).toBeLessThanOrEqual(s.wide - 2)
  expect(code.y + code.side).toBeLessThanOrEqual(s.high - 2)
  expect(lines[0]?.pt).toBeGreaterThanOrEqual(14)
  expect(lines.find((l) => l.text.startsWith('use by'))?.pt).toBeGreaterThanOrEqual(18)
  expect(lines.some((l) => l.text.startsWith('Contains'))).toBe(true)
})

test('words are wrapped, and one that is too long is cut', () => {
  expect(wrapped('shake it well', 12, 8, 'text', measure)).toEqual(['shake it', 'well'])
  expect(wrapped('unbelievablylong', 12, 8, 'text', measure)).toEqual(['unbelie…'])
})
