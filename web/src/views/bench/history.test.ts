import { expect, test } from 'vitest'
import type { Recipe } from '../../api/schema'
import { begin, follow } from './history'

const draft = (name: string) => ({ name, recipe: {} as Recipe })
const edit = (name: string, field: string) => ({ type: 'edit', edit: () => draft(name), field }) as const

test('typing on in one field is one step back, another field is another', () => {
  const changes = [edit('a', 'name'), edit('ab', 'name'), edit('ab2', 'size')]
  const after = changes.reduce(follow, begin(draft('')))
  const once = follow(after, { type: 'undo' })
  expect(once.now.name).toBe('ab')
  const twice = follow(once, { type: 'undo' })
  expect(twice.now.name).toBe('')
  expect(follow(twice, { type: 'undo' }).now.name).toBe('')
  expect(follow(follow(twice, { type: 'redo' }), { type: 'redo' }).now.name).toBe('ab2')
})

test('an edit after undo forgets what was undone', () => {
  const undone = follow(follow(begin(draft('')), edit('a', 'x')), { type: 'undo' })
  expect(follow(undone, edit('b', 'x')).future).toEqual([])
})
