// @vitest-environment jsdom
import { afterEach, beforeEach, expect, test, vi } from 'vitest'
import type { Drink, Recipe } from '../../api/schema'
import type { Draft } from './history'
import { open, Saver, type SaveState } from './saving'

const draft = (name: string): Draft => ({ name, recipe: { lines: [] } as unknown as Recipe })
const drink = (name: string, revision: number) =>
  ({ id: 1, name, draft: draft(name).recipe, revision, versions: [] }) as unknown as Drink

/** A kitchen that keeps one draft as the server does, and can be out of reach. */
const kitchen = { name: 'first', revision: 1, reachable: true, sent: [] as string[] }

const respond = (body: unknown, status = 200) =>
  new Response(JSON.stringify(body), { status, headers: { 'Content-Type': 'application/json' } })

async function answer(request: Request) {
  if (!kitchen.reachable) throw new TypeError('Failed to fetch')
  if (request.method === 'GET') return respond(drink(kitchen.name, kitchen.revision))
  const body = await request.json()
  kitchen.sent.push(body.name)
  if (body.revision !== kitchen.revision) return respond({ detail: 'changed elsewhere' }, 409)
  kitchen.name = body.name
  kitchen.revision += 1
  return respond(drink(kitchen.name, kitchen.revision))
}

const states: SaveState[] = []
const saverFor = (d: Drink) => new Saver(1, d.revision, open(d), { onState: (s) => states.push(s), onSaved: () => {} })

beforeEach(() => {
  Object.assign(kitchen, { name: 'first', revision: 1, reachable: true, sent: [] })
  states.length = 0
  localStorage.clear()
  vi.stubGlobal('fetch', vi.fn(answer))
})
afterEach(() => vi.unstubAllGlobals())

test('the newest state is saved last, and the copy in the browser goes', async () => {
  const saver = saverFor(drink('first', 1))
  saver.change(draft('second'))
  saver.change(draft('third'))
  expect(await saver.settle()).toBe(true)
  expect(kitchen).toMatchObject({ name: 'third', revision: 2, sent: ['third'] })
  expect(localStorage.length).toBe(0)
})

test('what cannot be sent is found again when the drink is opened', async () => {
  kitchen.reachable = false
  const saver = saverFor(drink('first', 1))
  saver.change(draft('typed on a train'))
  expect(await saver.settle()).toBe(false)
  expect(states.at(-1)?.is).toBe('waiting')
  expect(open(drink('first', 1))).toMatchObject({ draft: { name: 'typed on a train' }, clash: false })
  expect(open(drink('changed elsewhere', 2))).toMatchObject({ draft: { name: 'typed on a train' }, clash: true })
})

test('a change from elsewhere is never overwritten without a word', async () => {
  const saver = saverFor(drink('first', 1))
  Object.assign(kitchen, { name: 'theirs', revision: 2 })
  saver.change(draft('mine'))
  expect(await saver.settle()).toBe(false)
  expect(states.at(-1)?.is).toBe('conflict')
  expect(kitchen.name).toBe('theirs')
  await saver.overwrite()
  expect(kitchen.name).toBe('mine')
})

test('meeting what the closing page itself had sent is no conflict', async () => {
  const left = saverFor(drink('first', 1))
  left.change(draft('typed before closing'))
  const opened = drink('first', 1) // read before the closing page's request came in
  const saver = saverFor(opened)
  Object.assign(kitchen, { name: 'typed before closing', revision: 2 })
  saver.change(draft('typed after'))
  await saver.settle()
  await vi.waitFor(() => expect(kitchen.name).toBe('typed after'))
  expect(states.some((s) => s.is === 'conflict')).toBe(false)
})
