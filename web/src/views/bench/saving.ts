import { answer, api, Refused } from '../../api/client'
import type { Drink } from '../../api/schema'
import type { Draft } from './history'

export type SaveState = { is: 'saved' | 'saving' | 'conflict' } | { is: 'waiting' | 'refused'; why: string }

const pause = 400
const retryAfter = 3000

type Told = { onState: (s: SaveState) => void; onSaved: (d: Drink) => void }

/**
 * Saver keeps a draft on the server, one request at a time, the newest state
 * last. Until the server has it, the draft is also kept in the browser, so that
 * a closed page or an unreachable kitchen loses nothing.
 */
export class Saver {
  private latest: Draft
  private saved: Draft
  private timer = 0
  private sending = false
  private stopped = false

  constructor(
    private readonly id: number,
    private revision: number,
    draft: Draft,
    private readonly tell: Told,
  ) {
    this.latest = draft
    this.saved = draft
  }

  /** begin saves from now on; the answer ends it, saving what is left. */
  begin(): () => void {
    this.stopped = false
    const leave = () => this.leave()
    window.addEventListener('pagehide', leave)
    return () => {
      window.removeEventListener('pagehide', leave)
      this.leave()
      this.stopped = true
    }
  }

  /** change takes a new state of the draft. */
  change(draft: Draft) {
    if (draft === this.latest) return
    this.latest = draft
    keepBackup(this.id, this.revision, draft)
    if (!this.stopped) this.later(pause)
  }

  /** overwrite saves this draft over whatever was saved elsewhere, at the cook's word. */
  async overwrite() {
    const theirs = await answer(api.GET('/api/drinks/{id}', { params: { path: { id: this.id } } }))
    this.revision = theirs.revision
    this.stopped = false
    await this.save()
  }

  /** settle waits until all is saved; false where it could not be. */
  async settle(): Promise<boolean> {
    window.clearTimeout(this.timer)
    while (this.sending) await new Promise((done) => setTimeout(done, 20))
    if (this.latest !== this.saved) await this.save()
    return this.latest === this.saved
  }

  private later(ms: number) {
    window.clearTimeout(this.timer)
    this.timer = window.setTimeout(() => this.save(), ms)
  }

  private body(draft: Draft) {
    return { ...draft, revision: this.revision }
  }

  private async save() {
    if (this.sending || this.latest === this.saved) return
    const draft = this.latest
    this.sending = true
    this.tell.onState({ is: 'saving' })
    try {
      const drink = await answer(
        api.PUT('/api/drinks/{id}/draft', { params: { path: { id: this.id } }, body: this.body(draft) }),
      )
      this.revision = drink.revision
      this.saved = draft
      dropBackup(this.id)
      this.tell.onSaved(drink)
      this.tell.onState({ is: 'saved' })
    } catch (error) {
      this.failed(error)
    } finally {
      this.sending = false
    }
    if (this.latest !== draft && !this.stopped) this.later(0)
  }

  private failed(error: unknown) {
    const refused = error instanceof Refused ? error : new Refused(undefined, 0)
    if (refused.status === 409) {
      this.stopped = true
      this.tell.onState({ is: 'conflict' })
      return
    }
    if (refused.status >= 400 && refused.status < 500) {
      this.tell.onState({ is: 'refused', why: refused.message })
      return
    }
    this.tell.onState({ is: 'waiting', why: refused.message })
    this.later(retryAfter)
  }

  /** leave sends what is unsaved with the page already closing. */
  private leave() {
    window.clearTimeout(this.timer)
    if (this.stopped || this.sending || this.latest === this.saved) return
    fetch(`/api/drinks/${this.id}/draft`, {
      method: 'PUT',
      keepalive: true,
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify(this.body(this.latest)),
    }).then(
      (r) => r.ok && dropBackup(this.id),
      () => undefined, // the copy in the browser is found when the drink is opened again
    )
  }
}

const backupKey = (id: number) => `plushladle-draft-${id}`

function keepBackup(id: number, revision: number, draft: Draft) {
  try {
    localStorage.setItem(backupKey(id), JSON.stringify({ revision, draft }))
  } catch {
    // a full or forbidden storage leaves only the server's copy
  }
}

export const dropBackup = (id: number) => localStorage.removeItem(backupKey(id))

/** backupOf is a draft that did not reach the server, with the revision it was made from. */
export function backupOf(id: number): { revision: number; draft: Draft } | undefined {
  try {
    return JSON.parse(localStorage.getItem(backupKey(id)) ?? '') ?? undefined
  } catch {
    return undefined
  }
}
