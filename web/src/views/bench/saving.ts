import { answer, api, Refused } from '../../api/client'
import type { Drink } from '../../api/schema'
import type { Draft } from './history'

export type SaveState = { is: 'saved' | 'saving' | 'conflict' } | { is: 'waiting' | 'refused'; why: string }

/** sameState tells whether there is nothing new to show of the saving. */
export const sameState = (a: SaveState, b: SaveState) =>
  a.is === b.is && ('why' in a ? a.why : '') === ('why' in b ? b.why : '')

const pause = 400
const retryAfter = 3000

type Told = { onState: (s: SaveState) => void; onSaved: (d: Drink) => void }

/** settling are savers whose drink was left before all was saved. */
const settling = new Map<number, Promise<unknown>>()

/** settled waits until what was left of a drink is saved. */
export const settled = async (id: number) => settling.get(id)

/**
 * Saver keeps a draft on the server, one request at a time, the newest state
 * last. Until the server has it, the draft is also kept in the browser, so that
 * a closed page or an unreachable kitchen loses nothing.
 */
export class Saver {
  private saved: Draft
  private latest: Draft
  private timer = 0
  private sending?: Draft
  private conflict = false
  /** What this page sent or found unsaved: meeting it on the server is no conflict. */
  private readonly ours: Set<string>

  constructor(
    private readonly id: number,
    private revision: number,
    opened: Opened,
    private readonly tell: Told,
  ) {
    this.saved = opened.saved
    this.latest = opened.saved
    this.conflict = opened.clash
    this.ours = new Set([JSON.stringify(opened.draft)])
  }

  /** begin watches for the page being closed; the answer ends it and saves what is left. */
  begin(): () => void {
    const leave = () => this.leave()
    window.addEventListener('pagehide', leave)
    return () => {
      window.removeEventListener('pagehide', leave)
      const rest = this.settle().finally(() => settling.delete(this.id))
      settling.set(this.id, rest)
    }
  }

  /** change takes a new state of the draft. */
  change(draft: Draft) {
    if (draft === this.latest) return
    this.latest = draft
    this.backUp()
    if (this.conflict) return
    this.tell.onState({ is: 'saving' })
    this.later(pause)
  }

  /** overwrite saves this draft over whatever was saved elsewhere, at the cook's word. */
  async overwrite() {
    this.revision = (await this.theirs()).revision
    this.conflict = false
    await this.save()
  }

  /** settle waits until all is saved; false where it could not be. */
  async settle(): Promise<boolean> {
    window.clearTimeout(this.timer)
    while (this.sending) await new Promise((done) => setTimeout(done, 20))
    if (!this.conflict) await this.save()
    return this.latest === this.saved
  }

  private later(ms: number) {
    window.clearTimeout(this.timer)
    this.timer = window.setTimeout(() => this.save(), ms)
  }

  private async save() {
    if (this.sending || this.latest === this.saved) return
    const draft = this.latest
    this.sending = draft
    this.ours.add(JSON.stringify(draft))
    this.tell.onState({ is: 'saving' })
    try {
      this.accepted(draft, await this.send(draft))
    } catch (error) {
      await this.failed(error)
    } finally {
      this.sending = undefined
    }
    if (this.latest !== draft && !this.conflict) this.later(0)
  }

  private send(draft: Draft) {
    const body = { ...draft, revision: this.revision }
    return answer(api.PUT('/api/drinks/{id}/draft', { params: { path: { id: this.id } }, body }))
  }

  private theirs() {
    return answer(api.GET('/api/drinks/{id}', { params: { path: { id: this.id } } }))
  }

  private accepted(draft: Draft, drink: Drink) {
    this.revision = drink.revision
    this.saved = draft
    if (this.latest === draft) dropBackup(this.id)
    this.tell.onSaved(drink)
    this.tell.onState({ is: 'saved' })
  }

  private async failed(error: unknown) {
    const refused = error instanceof Refused ? error : new Refused(undefined, 0)
    if (refused.status === 409 && !(await this.metOwn())) {
      this.conflict = true
      this.tell.onState({ is: 'conflict' })
      return
    }
    if (refused.status >= 400 && refused.status < 500 && refused.status !== 409) {
      this.tell.onState({ is: 'refused', why: refused.message })
      return
    }
    this.tell.onState({ is: 'waiting', why: refused.message })
    this.later(refused.status === 409 ? 0 : retryAfter)
  }

  /** metOwn tells whether what stands on the server is this page's own, sent as the page was closed before. */
  private async metOwn(): Promise<boolean> {
    const theirs = await this.theirs().catch(() => undefined)
    if (!theirs || !this.ours.has(JSON.stringify(draftOf(theirs)))) return false
    this.revision = theirs.revision
    return true
  }

  /** leave sends what is unsaved with the page already closing. */
  private leave() {
    window.clearTimeout(this.timer)
    if (this.conflict || this.sending || this.latest === this.saved) return
    fetch(`/api/drinks/${this.id}/draft`, {
      method: 'PUT',
      keepalive: true,
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify({ ...this.latest, revision: this.revision }),
    }).catch(() => undefined) // the copy in the browser is found when the drink is opened again
  }

  private backUp() {
    const backup: Backup = { revision: this.revision, draft: this.latest, sending: this.sending }
    try {
      localStorage.setItem(backupKey(this.id), JSON.stringify(backup))
    } catch {
      // a full or forbidden storage leaves only the server's copy
    }
  }
}

/** Backup is a draft that has not reached the server, the revision it was made from, and what was on its way. */
type Backup = { revision: number; draft: Draft; sending?: Draft }

/** Opened is what a drink is opened with: what the server has, what is shown, and whether they clash. */
export type Opened = { saved: Draft; draft: Draft; clash: boolean }

const backupKey = (id: number) => `plushladle-draft-${id}`

export const dropBackup = (id: number) => localStorage.removeItem(backupKey(id))

const draftOf = (drink: Drink): Draft => ({ name: drink.name, recipe: drink.draft })

const alike = (a: Draft | undefined, b: Draft) => JSON.stringify(a) === JSON.stringify(b)

/** open begins with what the server has, or with what did not reach it last time. */
export function open(drink: Drink): Opened {
  const saved = draftOf(drink)
  const backup = readBackup(drink.id)
  if (!backup || alike(backup.draft, saved)) {
    dropBackup(drink.id)
    return { saved, draft: saved, clash: false }
  }
  const clash = backup.revision !== drink.revision && !alike(backup.sending, saved)
  return { saved, draft: backup.draft, clash }
}

function readBackup(id: number): Backup | undefined {
  try {
    return JSON.parse(localStorage.getItem(backupKey(id)) ?? '') ?? undefined
  } catch {
    return undefined
  }
}
