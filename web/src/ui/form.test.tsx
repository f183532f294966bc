// @vitest-environment jsdom
import { screen } from '@testing-library/react'
import { expect, test } from 'vitest'
import { Refused } from '../api/client'
import { shown } from '../testing'
import { ErrorText, Field } from './Field'
import { useFields } from './form'
import { numberOf, wrongWith } from './limit'

test.each([
  ['a number in its unit', '1.5 L', { type: 'number', minimum: 100, maximum: 50_000 }, { unit: 'mL' }, undefined],
  ['too little', '50', { type: 'number', minimum: 100, maximum: 50_000 }, { unit: 'mL' }, 'Enter 100 to 50,000 mL.'],
  [
    'too much, and it may be empty',
    '301',
    { type: 'number', minimum: 0, maximum: 300 },
    { unit: 'kg', optional: true },
    'Enter 0 to 300 kg. Or leave it empty.',
  ],
  ['no number', 'lots', { type: 'number', minimum: 0 }, { unit: 'g' }, 'Enter it like this: 250 g or 1.2 kg.'],
  ['not even the end that is left out', '0', { type: 'number', exclusiveMinimum: 0, maximum: 9 }, {}, 'Enter 0 to 9.'],
  ['empty where something is needed', ' ', { type: 'string', minLength: 1 }, {}, 'Enter something here.'],
  ['empty where it may be', '', { type: 'string', minLength: 1 }, { optional: true }, undefined],
  [
    'what does not fit the pattern',
    'pounds',
    { type: 'string', pattern: '^[A-Z]{3}$' },
    { says: 'Enter three letters.' },
    'Enter three letters.',
  ],
])('%s', (_, typed, limit, reading, says) => expect(wrongWith(typed, limit, reading)).toBe(says)) // prettier-ignore

test('an empty field is no number, and no nought', () => {
  expect(numberOf(' ', 'g')).toBeUndefined()
  expect(numberOf('0', 'g')).toBe(0)
  expect(numberOf('x', 'g')).toBeNaN()
})

const limits = { name: { type: 'string', minLength: 1 }, massG: { type: 'number', minimum: 1, maximum: 20 } }

function Form({ send }: { send: (typed: unknown) => unknown }) {
  const form = useFields(limits, { name: '', massG: '' })
  return (
    <form onSubmit={form.submit(send)}>
      <Field label="Name" {...form.field('name')} />
      <Field label="Mass" {...form.field('massG', { unit: 'g' })} />
      <ErrorText id="said">{form.refusal}</ErrorText>
      <button type="submit">Save</button>
    </form>
  )
}

test('nothing is sent until all of it is right, and what was typed stays', async () => {
  const sent: unknown[] = []
  const { hands } = shown(<Form send={(typed) => sent.push(typed)} />)
  await hands.type(screen.getByLabelText('Mass'), '21')
  await hands.click(screen.getByText('Save'))
  expect(screen.getAllByRole('alert').map((e) => e.textContent)).toEqual(['Enter something here.', 'Enter 1 to 20 g.'])
  expect(sent).toEqual([])
  await hands.type(screen.getByLabelText('Name'), 'mug')
  await hands.clear(screen.getByLabelText('Mass'))
  await hands.type(screen.getByLabelText('Mass'), '0.02 kg')
  await hands.click(screen.getByText('Save'))
  expect(sent).toEqual([{ name: 'mug', massG: '0.02 kg' }])
})

test('what is refused stands beside its field; what names none, below', async () => {
  const refuse = (location: string) => () => {
    throw new Refused({ errors: [{ location, message: 'is taken' }] }, 422)
  }
  const { hands } = shown(<Form send={refuse('body.name')} />)
  await hands.type(screen.getByLabelText('Name'), 'mug')
  await hands.click(screen.getByText('Save'))
  expect(screen.getByLabelText('Name').getAttribute('aria-invalid')).toBe('true')
  expect(screen.getByRole('alert').textContent).toBe('is taken')
  expect((screen.getByLabelText('Name') as HTMLInputElement).value).toBe('mug')
})
