import { useEffect, useMemo, useState } from 'react'
import { faces } from './LabelDrawing'
import type { Measure } from './labelLayout'

const mmPerPt = 25.4 / 72
const px = 100

/** useMeasure measures text in the fonts that labels are set in, once they are there; undefined until then. */
export function useMeasure(): Measure | undefined {
  const [ready, setReady] = useState(false)
  useEffect(() => {
    const all = Object.values(faces).map((f) => document.fonts.load(`${f.weight} ${px}px ${f.family}`))
    Promise.all(all).finally(() => setReady(true))
  }, [])
  return useMemo(() => {
    const pen = document.createElement('canvas').getContext('2d')
    if (!ready || !pen) return undefined
    return (text, pt, face) => {
      pen.font = `${faces[face].weight} ${px}px ${faces[face].family}`
      return (pen.measureText(text).width / px) * pt * mmPerPt
    }
  }, [ready])
}
