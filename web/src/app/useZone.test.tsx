// @vitest-environment jsdom
import { QueryClient, QueryClientProvider } from '@tanstack/react-query'
import { act, renderHook } from '@testing-library/react'
import type { ReactNode } from 'react'
import { afterEach, expect, test, vi } from 'vitest'
import { useKitchen, useSetKitchen } from '../api/hooks'
import { useZone } from './useZone'

afterEach(() => vi.unstubAllGlobals())

const json = (body: unknown) => new Response(JSON.stringify(body), { headers: { 'Content-Type': 'application/json' } })

test('who is quicker than the time zone of a new kitchen changes it as it is then', async () => {
  const now = { timeZone: '', welcomed: false, revision: 1 }
  const put: unknown[] = []
  let arrive = () => {}
  vi.stubGlobal('fetch', async (request: Request) => {
    if (request.method === 'GET') return json(now)
    const body = await request.json()
    put.push(body)
    if (request.url.endsWith('/time-zone')) await new Promise<void>((done) => (arrive = done))
    Object.assign(now, body, { revision: now.revision + 1 })
    return json(now)
  })
  const client = new QueryClient({ defaultOptions: { queries: { retry: false } } })
  const wrapper = ({ children }: { children: ReactNode }) => (
    <QueryClientProvider client={client}>{children}</QueryClientProvider>
  )
  const { result } = renderHook(
    () => {
      const kitchen = useKitchen().data
      useZone(kitchen && (kitchen.timeZone ?? ''))
      return { kitchen, set: useSetKitchen() }
    },
    { wrapper },
  )
  await vi.waitFor(() => expect(put).toHaveLength(1))
  act(() => result.current.set.mutate({ welcomed: true }))
  await act(async () => arrive())
  await vi.waitFor(() => expect(put).toHaveLength(2))
  expect(put[1]).toMatchObject({ welcomed: true, timeZone: (put[0] as { timeZone: string }).timeZone, revision: 2 })
})
