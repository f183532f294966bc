import { QueryClient, QueryClientProvider } from '@tanstack/react-query'
import { cleanup, render } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import type { ReactNode } from 'react'
import { afterEach, beforeAll, vi } from 'vitest'
import { settle } from './ui/late'

/** What a request of the page was answered with in a test, by method and path. */
export type Kitchen = Record<string, (body: unknown) => unknown>

/** Said is a refusal as the kitchen tells it, beside its fields. */
export class Said {
  constructor(
    readonly status: number,
    readonly fields: Record<string, string>,
  ) {}
}

const json = (body: unknown, status = 200) =>
  new Response(JSON.stringify(body), { status, headers: { 'Content-Type': 'application/json' } })

const refusal = ({ status, fields }: Said) =>
  json({ errors: Object.entries(fields).map(([name, message]) => ({ location: `body.${name}`, message })) }, status)

/** jsdom lacks what Radix asks a browser for. */
beforeAll(() => {
  settle()
  vi.stubGlobal(
    'ResizeObserver',
    class {
      observe() {}
      unobserve() {}
      disconnect() {}
    },
  )
  Element.prototype.hasPointerCapture = () => false
  Element.prototype.scrollIntoView = () => {}
})
afterEach(cleanup)

/** shown draws a part of the page with a kitchen that answers as the test says, and gives the hands and what was asked. */
export function shown(part: ReactNode, kitchen: Kitchen = {}) {
  const asked: [what: string, body: unknown][] = []
  vi.stubGlobal('fetch', async (request: Request) => {
    const what = `${request.method} ${new URL(request.url).pathname}`
    const text = await request.text()
    const body = text === '' ? undefined : JSON.parse(text)
    asked.push([what, body])
    const said = kitchen[what]?.(body) ?? {}
    return said instanceof Said ? refusal(said) : json(said)
  })
  const client = new QueryClient({ defaultOptions: { queries: { retry: false } } })
  render(<QueryClientProvider client={client}>{part}</QueryClientProvider>)
  const changes = () => asked.filter(([what]) => !what.startsWith('GET '))
  return { hands: userEvent.setup(), asked, changes }
}
