// @vitest-environment jsdom
import { screen } from '@testing-library/react'
import { expect, test, vi } from 'vitest'
import { Said, shown } from '../../testing'
import { AddDrink } from './AddDrink'

const drinks = [{ id: 4, name: 'Pecan flask creamer' }]

test('a drink whose lines are not all counted is planned only once that is agreed to', async () => {
  const onClose = vi.fn()
  const { hands, changes } = shown(<AddDrink bowls={[]} onClose={onClose} />, {
    'GET /api/drinks': () => drinks,
    'POST /api/plan/items': (body) =>
      (body as { anyway?: boolean }).anyway ? {} : new Said(409, { anyway: 'Stevia drops is not counted.' }),
  })
  await screen.findAllByText('Pecan flask creamer')
  await hands.click(screen.getByRole('button', { name: 'Plan it' }))
  expect(await screen.findByText('Stevia drops is not counted.')).toBeTruthy()
  expect(onClose).not.toHaveBeenCalled()
  await hands.click(screen.getByRole('button', { name: 'Plan it anyway' }))
  expect(changes().map(([, body]) => (body as { anyway?: boolean }).anyway)).toEqual([undefined, true])
  await vi.waitFor(() => expect(onClose).toHaveBeenCalledOnce())
})
