// @vitest-environment jsdom
import { screen } from '@testing-library/react'
import { expect, test, vi } from 'vitest'
import type { PantryRow } from '../../api/schema'
import { Said, shown } from '../../testing'
import { PriceDialog } from './PriceDialog'

const pecans = {
  id: 'pecan',
  name: 'Pecans',
  source: 'IFCT',
  price: 0,
  pack: '',
  inShell: false,
  inShellPct: 100,
  stockG: 100,
  priceRevision: 2,
} as unknown as PantryRow // prettier-ignore

const stock = {
  id: 'pecan',
  name: 'Pecans',
  massG: 100,
  lowG: 0,
  paidPerKg: 0,
  currency: 'GBP',
  lots: [],
  packs: [],
  canAdjust: true,
}

const open = (kitchen = {}) => {
  const onClose = vi.fn()
  const all = { 'GET /api/pantry/stock/pecan': () => stock, ...kitchen }
  return { onClose, ...shown(<PriceDialog row={pecans} currency="GBP" onClose={onClose} />, all) }
}

test('a price and what is in stock are kept, each where it changed', async () => {
  const { hands, changes, onClose } = open()
  await hands.type(screen.getByLabelText('Price of a pack'), '6.40')
  await hands.type(screen.getByLabelText('Pack size'), '500 g')
  await hands.clear(screen.getByLabelText('In stock'))
  await hands.type(screen.getByLabelText('In stock'), '1.2 kg')
  await hands.click(screen.getByRole('button', { name: 'Save' }))
  expect(changes()).toEqual([
    ['PUT /api/pantry/prices/pecan', { price: 6.4, pack: '500 g', inShell: false, revision: 2 }],
    ['PUT /api/pantry/stock/pecan', { massG: 1200 }],
  ])
  expect(onClose).toHaveBeenCalledOnce()
})

test('a price that is refused leaves the stock as it was, and all that was typed', async () => {
  const { hands, changes, onClose } = open({
    'PUT /api/pantry/prices/pecan': () => new Said(422, { pack: 'is not a pack size' }),
  })
  await hands.type(screen.getByLabelText('Price of a pack'), '6')
  await hands.type(screen.getByLabelText('Pack size'), 'some')
  await hands.clear(screen.getByLabelText('In stock'))
  await hands.click(screen.getByRole('button', { name: 'Save' }))
  expect(screen.getByRole('alert').textContent).toBe('is not a pack size')
  expect(changes()).toHaveLength(1)
  expect(onClose).not.toHaveBeenCalled()
})

test('what was bought goes into the pantry with its price and its date; a refusal leaves all that was typed', async () => {
  const { hands, changes } = open({
    'POST /api/pantry/stock/pecan/lots': () => new Said(422, { pack: 'is not a pack size' }),
  })
  await hands.type(await screen.findByLabelText('Pack bought'), '500 g')
  await hands.type(screen.getByLabelText('How many'), '2')
  await hands.type(screen.getByLabelText('Paid in all'), '14.50')
  await hands.click(screen.getByRole('button', { name: 'Add to stock' }))
  expect(changes()).toEqual([
    ['POST /api/pantry/stock/pecan/lots', { pack: '500 g', packs: 2, price: 14.5, bestBefore: '' }],
  ])
  expect((await screen.findByRole('alert')).textContent).toBe('is not a pack size')
  expect(screen.getByLabelText<HTMLInputElement>('Paid in all').value).toBe('14.50')
})
