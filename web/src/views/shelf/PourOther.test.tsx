// @vitest-environment jsdom
import { screen } from '@testing-library/react'
import { expect, test } from 'vitest'
import type { Poured } from '../../api/schema'
import { shown } from '../../testing'
import { PourOther } from './PourOther'

test('another amount is poured in millilitres; more than any bottle is not', async () => {
  const poured: Poured[] = []
  const { hands } = shown(<PourOther onPour={(p) => poured.push(p)} />)
  const amount = screen.getByLabelText('Another amount')
  await hands.type(amount, '0.2 l')
  await hands.click(screen.getByRole('button', { name: 'Pour' }))
  await hands.clear(amount)
  await hands.type(amount, '60000')
  await hands.click(screen.getByRole('button', { name: 'Pour' }))
  expect(poured).toEqual([{ ml: 200 }])
  expect(screen.getByRole('alert').textContent).toBe('Enter 0 to 50,000 mL.')
})
