// @vitest-environment jsdom
import { act, renderHook } from '@testing-library/react'
import { expect, test, vi } from 'vitest'
import { canReadSerial, readSerial, useSerial } from './serialScale'

test('of what a scale says the last whole line is passed on, and a port that breaks says why', async () => {
  vi.useFakeTimers()
  const sent: string[] = []
  vi.stubGlobal('fetch', async (request: Request) => {
    sent.push((await request.json()).line)
    return new Response('{}', { headers: { 'Content-Type': 'application/json' } })
  })
  expect(canReadSerial()).toBe(false)
  let out: ReadableStreamDefaultController<Uint8Array> | undefined
  const readable = new ReadableStream<Uint8Array>({
    start: (controller) => {
      out = controller
    },
  })
  const close = vi.fn(async () => {})
  const port = { open: vi.fn(async () => {}), close, readable }
  vi.stubGlobal('navigator', { serial: { requestPort: async () => port } })
  expect(canReadSerial()).toBe(true)
  const says = async (text: string) => {
    out?.enqueue(new TextEncoder().encode(text))
    await act(() => vi.advanceTimersByTimeAsync(400))
  }
  const { result } = renderHook(useSerial)
  await act(() => readSerial())
  expect([result.current.reads, port.open.mock.calls]).toEqual([true, [[{ baudRate: 9600 }]]])
  await says('12.0 g\r\n12.4 g\r\n')
  await says('13')
  expect(sent).toEqual(['12.4 g'])
  await says('.5 g\n')
  expect(sent).toEqual(['12.4 g', '13.5 g'])
  await says(`${'9'.repeat(200)}\n`)
  expect(sent.at(-1)).toHaveLength(80)
  out?.error(new Error('The cable is out.'))
  await act(() => vi.advanceTimersByTimeAsync(400))
  expect(result.current).toEqual({ reads: false, problem: 'The cable is out.' })
  expect(close).toHaveBeenCalled()
  vi.useRealTimers()
})
