// @vitest-environment jsdom
import { screen } from '@testing-library/react'
import { expect, test, vi } from 'vitest'
import type { Recipe, Reckoning } from '../../api/schema'
import { shown } from '../../testing'
import { SizeBar } from './SizeBar'
import type { Size } from './size'

const opened = (recipe: Partial<Recipe> = {}) => {
  const setRecipe = vi.fn()
  const size = { sizeBy: '', sizeValue: 0, sizeEach: 0, perDay: 0, servingML: 0, ...recipe } as Size
  const at = shown(
    <SizeBar
      size={size}
      edits={{ setRecipe }}
      reckoning={{ drinkML: 812.4, servings: 27 } as Reckoning}
      onWriteAtSize={() => {}}
    />,
  )
  return { ...at, setRecipe, volume: screen.getByLabelText('Volume') as HTMLInputElement }
}

test('a size that is no size is not taken, and stays with what is wrong beside it', async () => {
  const { hands, setRecipe, volume } = opened()
  expect(volume.value).toBe('812')
  await hands.clear(volume)
  await hands.type(volume, 'lots{Tab}')
  expect(setRecipe).not.toHaveBeenCalled()
  expect(volume.value).toBe('lots')
  expect(volume.getAttribute('aria-invalid')).toBe('true')
  expect(screen.getByRole('alert').textContent).not.toBe('')
})

test('a size is taken as it is typed, with its unit', async () => {
  const { hands, setRecipe, volume } = opened()
  await hands.clear(volume)
  await hands.type(volume, '1.5 L')
  expect(setRecipe).toHaveBeenLastCalledWith({ sizeBy: 'volume', sizeValue: 1500 }, 'size-volume')
})

test('as written is no factor of one but no size at all', async () => {
  const { hands, setRecipe } = opened({ sizeBy: 'times', sizeValue: 2 })
  await hands.click(screen.getByText('×1'))
  expect(setRecipe).toHaveBeenLastCalledWith({ sizeBy: '', sizeValue: 0 }, 'size-')
})
