// @vitest-environment jsdom
import { screen } from '@testing-library/react'
import { expect, test, vi } from 'vitest'
import { useReckoning } from '../../api/hooks'
import type { Drink, Line } from '../../api/schema'
import { shown } from '../../testing'
import { useDraft } from './useDraft'

const line = (key: string) => ({ key, ingredient: 'Pecans', amount: '1 cup' }) as Line
const drink = {
  id: 1,
  name: 'Porch milk',
  revision: 1,
  versions: [],
  draft: { lines: [line('a'), line('b')] },
} as unknown as Drink

/** A Bench of one line, which says what it is told of the figures. */
function Small() {
  const bench = useDraft(drink)
  const { data } = useReckoning(bench.draft.name, bench.draft.recipe)
  return (
    <>
      <input
        aria-label="Amount"
        value={bench.draft.recipe.lines[0]?.amount}
        onChange={(e) => bench.edits.setLine('a', { amount: e.target.value }, 'amount')}
      />
      <button type="button" onClick={() => bench.undo?.()}>
        Undo
      </button>
      <output>{[data?.missingTold, data?.missing?.join(', ')].filter(Boolean).join(': ')}</output>
    </>
  )
}

const sinceOf = (body: unknown) => (body as { since?: string }).since
const amountOf = (body: unknown) => (body as { recipe?: { lines: Line[] } }).recipe?.lines[0]?.amount

test('each change asks for its figures once, and a step back shows those it had', async () => {
  const { hands, asked } = shown(<Small />, {
    'POST /api/reckonings/since': (body) => ({ answer: 'a', whole: { missingTold: `of ${amountOf(body)}` } }),
    'PUT /api/drinks/1/draft': () => ({ ...drink, revision: 2 }),
  })
  await screen.findByText('of 1 cup')
  await hands.type(screen.getByLabelText('Amount'), 's')
  await screen.findByText('of 1 cups')
  await hands.click(screen.getByText('Undo'))
  await screen.findByText('of 1 cup')
  const amounts = asked.filter(([what]) => what === 'POST /api/reckonings/since').map(([, body]) => amountOf(body))
  expect(amounts.slice(0, 2)).toEqual(['1 cup', '1 cups'])
  expect(amounts.length).toBeLessThanOrEqual(3)
})

test('figures are told whole at first, and then as what changed since', async () => {
  const { hands, asked } = shown(<Small />, {
    'POST /api/reckonings/since': (body) =>
      amountOf(body) === '1 cup'
        ? { answer: 'first', whole: { missing: ['salt', 'ice'], missingTold: 'two' } }
        : { answer: 'second', changed: { missing: { 1: 'rum' } } },
  })
  await screen.findByText('two: salt, ice')
  await hands.type(screen.getByLabelText('Amount'), 's')
  await screen.findByText('two: salt, rum')
  const names = asked.filter(([what]) => what === 'POST /api/reckonings/since').map(([, body]) => sinceOf(body))
  expect(names.slice(1)).toEqual(['first'])
})

test('where nothing changed the figures stay', async () => {
  const { hands, asked } = shown(<Small />, {
    'POST /api/reckonings/since': (body) =>
      sinceOf(body) === 'first'
        ? { answer: 'second', changed: {} }
        : { answer: 'first', whole: { missingTold: 'all' } },
  })
  await screen.findByText('all')
  await hands.type(screen.getByLabelText('Amount'), 's')
  await vi.waitFor(() => expect(asked.some(([, body]) => amountOf(body) === '1 cups')).toBe(true))
  await hands.type(screen.getByLabelText('Amount'), '!')
  await vi.waitFor(() => expect(asked.some(([, body]) => sinceOf(body) === 'second')).toBe(true))
  await screen.findByText('all')
})

test('a line whose words were changed is settled, and no other', async () => {
  const { hands, asked } = shown(<Small />, { 'POST /api/reckonings/since': () => ({ answer: 'a', whole: {} }) })
  await hands.type(screen.getByLabelText('Amount'), 's')
  const last = asked.filter(([what]) => what === 'POST /api/reckonings/since').at(-1)?.[1] as {
    recipe: { lines: Line[] }
  }
  expect(last.recipe.lines.map((l) => l.settled ?? false)).toEqual([true, false])
})
