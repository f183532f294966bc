import { useSyncExternalStore } from 'react'
import { copy } from '../copy'

/**
 * The outbox keeps what was marked while Plush Ladle could not be reached, and sends it in order once it can.
 *
 * Only marks are kept: a step done, a pour, a weight. What plans or decides has to see the kitchen as it is. Each
 * bears the key it was first sent with, so that the kitchen acts on it once, whatever of it arrived. It is in the
 * browser's own store, and so is still there after the page was closed.
 */
export type Mark = { key: string; path: string; body: string; at: number; words: string }

const place = 'plush-ladle-outbox'

const marks: [path: RegExp, words: string][] = [
  [/^\/api\/plan\/items\/\d+\/done$/, copy.api.stepMarkedDone],
  [/^\/api\/bottles\/\d+\/pours$/, copy.api.poured],
  [/^\/api\/plan\/items\/\d+\/weighings$/, copy.api.weightRecorded],
]

/** Those whose time is told with them once they are sent. */
const timed = /\/(done|pours)$/

/** wordsOf says what a request marks; undefined for one that is not kept. */
export const wordsOf = (method: string, path: string) =>
  method === 'POST' ? marks.find(([of]) => of.test(path))?.[1] : undefined

const read = (): Mark[] => {
  try {
    return JSON.parse(localStorage.getItem(place) ?? '[]')
  } catch {
    return [] // a browser that keeps nothing, or something else in its place
  }
}

let kept: Mark[] = typeof localStorage === 'undefined' ? [] : read()
let refused = ''
const listeners = new Set<() => void>()

function set(next: Mark[]) {
  kept = next
  localStorage.setItem(place, JSON.stringify(kept))
  for (const told of listeners) told()
}

export const keepMark = (mark: Mark) => set([...kept, mark])

export const hasMarks = () => kept.length > 0

/** bodyOf is what a mark sends: with how long ago it was, where that is told. */
export const bodyOf = (m: Mark, now: number) =>
  timed.test(m.path) ? JSON.stringify({ ...JSON.parse(m.body), agoS: Math.max(0, (now - m.at) / 1000) }) : m.body

let sending = false

/** sendMarks sends what is kept, in order, as long as it is taken. It tells whether anything was sent. */
export async function sendMarks(): Promise<boolean> {
  if (sending || kept.length === 0) return false
  sending = true
  let sent = false
  try {
    for (let m = kept[0]; m; m = kept[0]) {
      const headers = { 'Content-Type': 'application/json', 'Idempotency-Key': m.key }
      const response = await fetch(m.path, { method: 'POST', headers, body: bodyOf(m, Date.now()) })
      if (response.status === 503 || response.status === 401) break // busy, or to be signed in first
      if (!response.ok) refused = copy.api.notTaken(m.words)
      set(kept.slice(1))
      sent = true
    }
  } catch {
    // not reached yet: it is tried again
  } finally {
    sending = false
  }
  return sent
}

/** dismissRefused takes away what was said of a mark that was not taken. */
export function dismissRefused() {
  refused = ''
  set(kept)
}

const subscribe = (told: () => void) => {
  listeners.add(told)
  return () => listeners.delete(told)
}

/** useOutbox is what waits to be sent, and what was not taken. */
export const useOutbox = () => ({
  marks: useSyncExternalStore(subscribe, () => kept),
  refused: useSyncExternalStore(subscribe, () => refused),
})
