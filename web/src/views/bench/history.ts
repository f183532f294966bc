import type { Recipe } from '../../api/schema'

/** Draft is what is being worked on. */
export type Draft = { name: string; recipe: Recipe }

export type History = { past: Draft[]; now: Draft; future: Draft[]; field: string }

/** Change is an edit of a field, or a step back or forth. Edits of the same field in a row are one step; '' is never the same. */
export type Change = { type: 'edit'; edit: (d: Draft) => Draft; field: string } | { type: 'undo' } | { type: 'redo' }

const mostSteps = 200

export const begin = (now: Draft): History => ({ past: [], now, future: [], field: '' })

/** follow is the history after a change. */
export function follow(h: History, change: Change): History {
  switch (change.type) {
    case 'edit': {
      const typingOn = change.field !== '' && change.field === h.field
      const past = typingOn ? h.past : [...h.past, h.now].slice(-mostSteps)
      return { past, now: change.edit(h.now), future: [], field: change.field }
    }
    case 'undo': {
      const before = h.past.at(-1)
      if (!before) return h
      return { past: h.past.slice(0, -1), now: before, future: [h.now, ...h.future], field: '' }
    }
    case 'redo': {
      const [next, ...future] = h.future
      if (!next) return h
      return { past: [...h.past, h.now], now: next, future, field: '' }
    }
  }
}
