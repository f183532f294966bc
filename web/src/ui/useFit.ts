import { useLayoutEffect, useRef } from 'react'

/** What stays free around a page, in mm. */
export const marginMM = 10

/** Letters from the largest that reads well at arm's length to the smallest that still can be read, in pt. */
const [largestPt, leastPt, stepPt] = [12, 7.25, 0.25]

/** Columns break a little differently on paper than they were measured. */
const columnsBreak = 0.95

/** useFit makes letters as large as lets all of an element stand on one page of a height in mm, and no larger than mostPt. */
export function useFit<T extends HTMLElement>(highMM: number, mostPt = largestPt) {
  const sheet = useRef<T>(null)
  // after every rendering: what stands on the page decides
  useLayoutEffect(() => {
    const el = sheet.current
    if (!el || !Number.isFinite(highMM)) return
    const highPx = ((highMM - 2 * marginMM) / 25.4) * 96 * columnsBreak
    for (let pt = mostPt; pt >= leastPt; pt -= stepPt) {
      el.style.fontSize = `${pt}pt`
      if (el.scrollHeight < highPx) return
    }
  })
  return sheet
}
