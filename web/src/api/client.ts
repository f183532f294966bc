import createClient from 'openapi-fetch'
import type { ErrorModel, paths } from './schema'

export const api = createClient<paths>({ baseUrl: window.location.origin, fetch: (request) => fetch(request) })

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
