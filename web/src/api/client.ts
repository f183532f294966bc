import createClient from 'openapi-fetch'
import createQueryHooks from 'openapi-react-query'
import { copy } from '../copy'
import { keptHeader } from './kept'
import { hasMarks, keepMark, sendMarks, wordsOf } from './outbox'
import { setReached } from './reached'
import type { ErrorModel, paths } from './schema'
import { type Done, doneOf, offerUndo } from './undo'

/** How long is waited before a request that got no answer is sent again. */
const againAfterMS = [300, 1_200]

const wait = (ms: number) => new Promise((done) => setTimeout(done, ms))

/**
 * persistent sends a request, and again where no answer came or the kitchen was busy. What adds something bears a
 * key of its own, the same each time it is sent, so that the kitchen never acts on it twice. A mark that still does
 * not arrive is kept in the outbox.
 */
async function persistent(request: Request): Promise<Response> {
  const words = wordsOf(request.method, new URL(request.url).pathname)
  if (!words) return again(request)
  const body = await request.clone().text()
  const keep = () => {
    const key = request.headers.get('Idempotency-Key') ?? newKey()
    keepMark({ key, path: new URL(request.url).pathname, body, at: Date.now(), words })
    return new Kept()
  }
  if (hasMarks()) {
    const kept = keep() // after those that wait already
    sendMarks()
    throw kept
  }
  try {
    return await again(request)
  } catch (cause) {
    throw cause instanceof TypeError ? keep() : cause
  }
}

async function again(request: Request): Promise<Response> {
  const bearsKey = request.headers.has('Idempotency-Key')
  for (const pause of bearsKey ? againAfterMS : []) {
    try {
      const response = await fetch(request.clone())
      if (response.status !== 503) return response
    } catch (cause) {
      if (request.signal.aborted) throw cause
    }
    await wait(pause)
  }
  return fetch(request)
}

/** newKey is random also on a page without HTTPS, where randomUUID is not to be had. */
const newKey = () =>
  Array.from(crypto.getRandomValues(new Uint8Array(16)), (b) => b.toString(16).padStart(2, '0')).join('')

export const api = createClient<paths>({ baseUrl: window.location.origin, fetch: persistent })

/** problemOf is what a refusal says, where it says anything. */
const problemOf = (response: Response): Promise<ErrorModel | undefined> => response.json().catch(() => undefined)

api.use({
  onRequest({ request }) {
    if (request.method === 'POST') request.headers.set('Idempotency-Key', newKey())
    return request
  },
  async onResponse({ request, response }) {
    setReached(!response.headers.has(keptHeader))
    if (!response.ok) throw new Refused(await problemOf(response), response.status)
    const id = response.headers.get('Undo')
    const done: Done | undefined = id
      ? doneOf(request.method, new URL(request.url).pathname, window.location.pathname)
      : undefined
    if (id && done) offerUndo({ id, ...done })
  },
  onError({ error }) {
    if (error instanceof DOMException && error.name === 'AbortError') return error
    setReached(false)
    if (error instanceof Kept) return error
    return new Refused({ detail: copy.api.plushLadleCannotBeReached }, 0)
  },
})

/** query asks for what the kitchen has, and keeps it under its method, path and parameters. What it throws is a Refused. */
export const query = createQueryHooks(api)

/** A refused request: what was wrong, and with which field. */
export class Refused extends Error implements ErrorModel {
  status: number
  detail: string
  fields: Record<string, string>

  constructor(problem: ErrorModel | undefined, status: number) {
    const details = problem?.errors ?? []
    const detail = details[0]?.message ?? problem?.detail ?? copy.api.theKitchenDidNotAnswer
    super(detail)
    this.status = status
    this.detail = detail
    this.fields = Object.fromEntries(details.map((d) => [(d.location ?? '').replace(/^body\.?/, ''), d.message ?? '']))
  }
}

/** A mark that is kept on this device, and sent when the kitchen can be reached. */
export class Kept extends Refused {
  constructor() {
    super({ detail: copy.api.keptOnThisDevice }, 0)
  }
}

/** answer gives the data of a request. */
export async function answer<T>(request: Promise<{ data?: T }>): Promise<T> {
  return (await request).data as T
}
