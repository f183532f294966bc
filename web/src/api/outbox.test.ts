// @vitest-environment jsdom
import { afterEach, beforeEach, expect, test, vi } from 'vitest'
import { bodyOf, hasMarks, keepMark, sendMarks, wordsOf } from './outbox'

const mark = (key: string, path = '/api/plan/items/3/done', at = Date.now()) => ({
  key,
  path,
  body: '{"step":2}',
  at,
  words: 'Step marked done.',
})

const taken = () => new Response('{}', { status: 200 })
let asked: [path: string, key: string][]

const answers = (how: () => Response) =>
  vi.stubGlobal('fetch', async (path: string, init: RequestInit) => {
    asked.push([path, (init.headers as Record<string, string>)['Idempotency-Key'] ?? ''])
    return how()
  })

beforeEach(() => {
  asked = []
})
afterEach(async () => {
  answers(taken)
  await sendMarks()
})

test('only marks are kept, and only those', () => {
  expect(wordsOf('POST', '/api/plan/items/3/done')).toBeTruthy()
  expect(wordsOf('POST', '/api/bottles/12/pours')).toBeTruthy()
  expect(wordsOf('POST', '/api/plan/items')).toBeUndefined()
  expect(wordsOf('DELETE', '/api/bottles/12/pours')).toBeUndefined()
})

test('what is kept is sent in order, each with its own key, and once', async () => {
  keepMark(mark('a'))
  keepMark(mark('b', '/api/bottles/1/pours'))
  answers(taken)
  expect(await Promise.all([sendMarks(), sendMarks()])).toEqual([true, false])
  expect(asked).toEqual([
    ['/api/plan/items/3/done', 'a'],
    ['/api/bottles/1/pours', 'b'],
  ])
  expect(hasMarks()).toBe(false)
})

test('what does not arrive stays, with all after it', async () => {
  keepMark(mark('a'))
  keepMark(mark('b'))
  vi.stubGlobal('fetch', async () => Promise.reject(new TypeError('no network')))
  expect(await sendMarks()).toBe(false)
  answers(() => new Response('', { status: 503 }))
  expect(await sendMarks()).toBe(false)
  expect(hasMarks()).toBe(true)
  expect(JSON.parse(localStorage.getItem('plush-ladle-outbox') ?? '')).toHaveLength(2)
})

test('what is refused is not sent for ever', async () => {
  keepMark(mark('a'))
  answers(() => new Response('{}', { status: 409 }))
  await sendMarks()
  expect(hasMarks()).toBe(false)
})

test('how long ago it was done is told with it', () => {
  expect(JSON.parse(bodyOf(mark('a', '/api/plan/items/3/done', 1_000), 61_000))).toEqual({ step: 2, agoS: 60 })
  expect(bodyOf(mark('a', '/api/plan/items/3/weighings', 1_000), 61_000)).toBe('{"step":2}')
})
