import type { Face, Layout } from './labelLayout'

/** The faces a label is set in, as the page has them. */
export const faces: Record<Face, { family: string; weight: number }> = {
  head: { family: "'Bricolage Grotesque Variable', sans-serif", weight: 700 },
  bold: { family: "'Atkinson Hyperlegible Next Variable', sans-serif", weight: 700 },
  text: { family: "'Atkinson Hyperlegible Next Variable', sans-serif", weight: 400 },
}

const mmPerPt = 25.4 / 72
export const ink = '#18213d'

type Props = { layout: Layout; wide: number; high: number; code: string; codeWords: string; name: string }

/** LabelDrawing is a label to the millimetre. Each line is held to the width it was measured at, whatever font draws it. */
export function LabelDrawing({ layout, wide, high, code, codeWords, name }: Props) {
  return (
    <svg
      xmlns="http://www.w3.org/2000/svg"
      role="img"
      aria-label={name}
      viewBox={`0 0 ${wide} ${high}`}
      width={`${wide}mm`}
      height={`${high}mm`}
      className="label"
    >
      <rect width={wide} height={high} fill="#fff" />
      {layout.lines.map((l) => (
        <text
          key={`${l.y} ${l.text}`}
          x={l.x}
          y={l.y}
          fontSize={l.pt * mmPerPt}
          fontFamily={faces[l.face].family}
          fontWeight={faces[l.face].weight}
          textLength={l.wide}
          lengthAdjust="spacingAndGlyphs"
          fill={ink}
        >
          {l.text}
        </text>
      ))}
      <image href={code} x={layout.code.x} y={layout.code.y} width={layout.code.side} height={layout.code.side}>
        <title>{codeWords}</title>
      </image>
    </svg>
  )
}
