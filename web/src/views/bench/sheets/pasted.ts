import type { Line, Offer, PastedLine, Recipe } from '../../../api/schema'

/** Settled is what the cook made of a line that was not read for certain. */
export type Settled = { lines: Line[]; told: string; teach?: { name: string; ingredient: string } }

/** needsSettling tells whether a line asks for a decision. */
export const needsSettling = (l: PastedLine) => !l.understood || l.question !== '' || l.problem !== ''

/** toSettle tells whether it still does. */
export const toSettle = (l: PastedLine, settled: Record<string, Settled>) =>
  needsSettling(l) && settled[l.text] === undefined

const newKey = () => Math.random().toString(36).slice(2, 12)

/** linesOf are the lines of a drink that a page comes to, in its order. What was not settled stands as it was written. */
export function linesOf(lines: PastedLine[], settled: Record<string, Settled>): Line[] {
  return lines.flatMap((l) =>
    (settled[l.text]?.lines ?? l.lines).map((line) => ({
      ...line,
      key: newKey(),
      settled: settled[l.text] !== undefined,
    })),
  )
}

/** offered is what the method says, as changes of a recipe. */
export function offered(offers: Offer[], recipe: Recipe): Partial<Recipe> {
  const changes: Partial<Recipe> = { process: [] }
  for (const o of offers) {
    if (o.blendS) changes.blendS = o.blendS
    if (o.heat) changes.heat = o.heat as Recipe['heat']
    if (o.cookMin) changes.cookMin = o.cookMin
    if (o.strainer) changes.strainer = o.strainer as Recipe['strainer']
    if (o.change) changes.process = [...(changes.process ?? recipe.process ?? []), o.change]
  }
  return changes
}
