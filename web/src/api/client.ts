import createClient from 'openapi-fetch'
import type { ErrorModel, paths } from './schema'
import { type Done, doneOf, offerUndo } from './undo'

/** How long is waited before a request that got no answer is sent again. */
const againAfterMS = [300, 1_200]

const wait = (ms: number) => new Promise((done) => setTimeout(done, ms))

/**
 * persistent sends a request, and again where no answer came or the kitchen was busy. What adds something bears a
 * key of its own, the same each time it is sent, so that the kitchen never acts on it twice.
 */
async function persistent(request: Request): Promise<Response> {
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

api.use({
  onRequest({ request }) {
    if (request.method === 'POST') request.headers.set('Idempotency-Key', newKey())
    return request
  },
  onResponse({ request, response }) {
    const id = response.headers.get('Undo')
    const done: Done | undefined = id ? doneOf(request.method, new URL(request.url).pathname) : undefined
    if (id && done) offerUndo({ id, ...done })
  },
})

/** A refused request: what was wrong, and with which field. */
export class Refused extends Error {
  status: number
  fields: Record<string, string>

  constructor(problem: ErrorModel | undefined, status: number) {
    const details = problem?.errors ?? []
    super(details[0]?.message ?? problem?.detail ?? 'The kitchen did not answer.')
    this.status = status
    this.fields = Object.fromEntries(details.map((d) => [(d.location ?? '').replace(/^body\.?/, ''), d.message ?? '']))
  }
}

type Answer<T> = { data?: T; error?: ErrorModel; response: Response }

/** answer gives the data of a request, or throws what was wrong with it. */
export async function answer<T>(request: Promise<Answer<T>>): Promise<T> {
  let got: Answer<T>
  try {
    got = await request
  } catch (cause) {
    if (cause instanceof DOMException && cause.name === 'AbortError') throw cause
    throw new Refused({ detail: 'The kitchen cannot be reached. What you typed is kept here.' }, 0)
  }
  if (got.data === undefined) throw new Refused(got.error, got.response.status)
  return got.data
}
