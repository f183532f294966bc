// @vitest-environment jsdom
import { afterEach, beforeEach, expect, test, vi } from 'vitest'
import { answer, api, Kept, Refused } from './client'

const json = (body: unknown, status = 200) =>
  new Response(JSON.stringify(body), { status, headers: { 'Content-Type': 'application/json' } })

/** asked are the requests, with what each is answered by in turn; the last answer stays. */
const kitchen = (...answers: (() => Response)[]) => {
  const asked: Request[] = []
  vi.stubGlobal('fetch', async (request: Request) => {
    asked.push(request)
    return (answers[asked.length - 1] ?? answers[answers.length - 1])?.()
  })
  return asked
}
const dropped = () => {
  throw new TypeError('Failed to fetch')
}

beforeEach(() => {
  localStorage.clear()
  vi.useFakeTimers({ shouldAdvanceTime: true, advanceTimeDelta: 500 })
})
afterEach(() => {
  vi.useRealTimers()
  vi.unstubAllGlobals()
})

const newDrink = () => answer(api.POST('/api/drinks', { body: { name: 'Porch milk' } }))

test('what adds something is sent again with the key it had, so that it is added once', async () => {
  const asked = kitchen(
    dropped,
    () => json({ detail: 'busy' }, 503),
    () => json({ id: 1 }),
  )
  expect(await newDrink()).toEqual({ id: 1 })
  const keys = asked.map((r) => r.headers.get('Idempotency-Key'))
  expect(keys).toHaveLength(3)
  expect(new Set(keys).size).toBe(1)
  expect(keys[0]).toMatch(/^[0-9a-f]{32}$/)
})

test('what only asks is sent once, and says that the kitchen was not reached', async () => {
  const asked = kitchen(dropped)
  const failed = await answer(api.GET('/api/drinks')).catch((e: unknown) => e)
  expect(asked).toHaveLength(1)
  expect(failed).toBeInstanceOf(Refused)
  expect((failed as Refused).status).toBe(0)
})

test('a refusal tells which field it is about', async () => {
  kitchen(() => json({ detail: 'no', errors: [{ location: 'body.recipe.name', message: 'Name it.' }] }, 422))
  const refused = (await newDrink().catch((e: unknown) => e)) as Refused
  expect([refused.status, refused.detail, refused.fields]).toEqual([422, 'Name it.', { 'recipe.name': 'Name it.' }])
})

test('an answer that is no problem is one all the same', async () => {
  kitchen(() => new Response('<h1>proxy</h1>', { status: 502 }))
  const refused = (await newDrink().catch((e: unknown) => e)) as Refused
  expect(refused.status).toBe(502)
  expect(refused.detail).not.toBe('')
})

test('a pour that does not arrive is kept on this device', async () => {
  kitchen(dropped)
  const path = { params: { path: { id: 3 } }, body: { ml: 200 } } as never
  const kept = await answer(api.POST('/api/bottles/{id}/pours', path)).catch((e: unknown) => e)
  expect(kept).toBeInstanceOf(Kept)
  expect(localStorage.getItem('plush-ladle-outbox')).toContain('/api/bottles/3/pours')
})
