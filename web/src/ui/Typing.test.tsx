// @vitest-environment jsdom
import { fireEvent, render, screen } from '@testing-library/react'
import { expect, test, vi } from 'vitest'
import '../testing'
import { NumberField } from './NumberField'
import { ActButton, Typing, useForget, useKept } from './Typing'

function Form({ act }: { act: (cupML: number) => void }) {
  const [cupML, setCupML] = useKept('cup', 100)
  const forget = useForget()
  return (
    <>
      <NumberField label="Cup" unit="mL" limit={{ minimum: 1, maximum: 5000 }} value={cupML} onNumber={setCupML} />
      <output>{cupML}</output>
      <ActButton
        onClick={() => {
          forget()
          act(cupML)
        }}
      >
        Pour
      </ActButton>
    </>
  )
}

const sheet = (act = vi.fn(), name?: string) => {
  const shown = render(
    <Typing sheet={name}>
      <Form act={act} />
    </Typing>,
  )
  const field = screen.getByLabelText('Cup') as HTMLInputElement
  const type = (value: string) => fireEvent.change(field, { target: { value } })
  return { ...shown, act, field, type, pour: screen.getByText('Pour') as HTMLButtonElement }
}

test.each(['abc', '-5', '', '0', '99999', '2 kg'])(
  '%j is said to be wrong, stays, and nothing acts on the old value',
  (typed) => {
    const { act, field, type, pour } = sheet()
    type(typed)
    expect(field.value).toBe(typed)
    expect(field.getAttribute('aria-invalid')).toBe('true')
    expect(screen.getByRole('alert').textContent).not.toBe('')
    fireEvent.click(pour)
    expect(act).not.toHaveBeenCalled()
    type('0.25 L')
    expect(screen.queryByRole('alert')).toBeNull()
    fireEvent.click(pour)
    expect(act).toHaveBeenCalledWith(250)
  },
)

test('half a number that was right is taken back when the whole is wrong', () => {
  const { field, type } = sheet()
  fireEvent.focus(field)
  type('999')
  expect(screen.getByRole('status').textContent).toBe('999')
  type('99999')
  expect(screen.getByRole('status').textContent).toBe('100')
  expect(field.value).toBe('99999')
})

test('what was typed, right or wrong, is there again when the sheet comes back, until it has been done', () => {
  const first = sheet(vi.fn(), 'one')
  first.type('abc')
  first.unmount()
  const again = sheet(vi.fn(), 'one')
  expect(again.field.value).toBe('abc')
  expect(again.pour.disabled).toBe(true)
  again.type('250')
  again.unmount()
  const third = sheet(vi.fn(), 'one')
  expect(third.field.value).toBe('250')
  fireEvent.click(third.pour)
  expect(third.act).toHaveBeenCalledWith(250)
  third.unmount()
  const other = sheet(vi.fn(), 'two')
  expect(other.field.value).toBe('100')
  other.unmount()
  expect(sheet(vi.fn(), 'one').field.value).toBe('100')
})
