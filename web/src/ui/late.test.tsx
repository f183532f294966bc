// @vitest-environment jsdom
import { act, cleanup, render, screen } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { afterEach, expect, test } from 'vitest'
import { Late, late, settle, useAsked } from './late'

afterEach(cleanup)

type Part = { Whole: (p: { opened: boolean }) => React.ReactNode }

/** loading is a part that comes when it is told to, or does not come. */
function loading() {
  const asked: { come: () => void; fail: () => void }[] = []
  const usePart = late(
    () =>
      new Promise<Part>((come, fail) => {
        const Whole = ({ opened }: { opened: boolean }) => <button type="button">{opened ? 'open' : 'closed'}</button>
        asked.push({ come: () => come({ Whole }), fail: () => fail(new TypeError('no network')) })
      }),
  )
  function Menu() {
    const [wanted, ask] = useAsked()
    return (
      <Late
        part={usePart()}
        standIn={
          <button type="button" onClick={ask}>
            stand-in
          </button>
        }
        whole={({ Whole }) => <Whole opened={wanted} />}
      />
    )
  }
  return { Menu, asked }
}

const until = (step: () => void) => act(async () => step())

test('what stands in gives way to the whole, which has the keyboard then', async () => {
  const { Menu, asked } = loading()
  render(<Menu />)
  screen.getByText('stand-in').focus()
  expect(asked).toHaveLength(0)
  await until(settle)
  await until(() => asked[0]?.come())
  expect(screen.getByText('closed')).toBe(document.activeElement)
})

test('a field is typed on where the caret stood', async () => {
  let come: (m: { Field: () => React.ReactNode }) => void = () => undefined
  const useField = late(() => new Promise<{ Field: () => React.ReactNode }>((done) => (come = done)))
  const Field = () => <input aria-label="name" defaultValue="maple" />
  const Name = () => <Late part={useField()} standIn={<Field />} whole={(m) => <m.Field />} />
  render(<Name />)
  const before = screen.getByRole<HTMLInputElement>('textbox')
  before.focus()
  before.setSelectionRange(2, 3)
  await until(settle)
  await until(() => come({ Field }))
  const after = screen.getByRole<HTMLInputElement>('textbox')
  expect(after).not.toBe(before)
  expect([document.activeElement, after.selectionStart, after.selectionEnd]).toEqual([after, 2, 3])
})

test('the keyboard stays away from what did not have it', async () => {
  const { Menu, asked } = loading()
  render(<Menu />)
  await until(settle)
  await until(() => asked[0]?.come())
  expect(document.activeElement).toBe(document.body)
})

test('what is pressed before it is there opens once it is, also where it could not be fetched at first', async () => {
  const { Menu, asked } = loading()
  render(<Menu />)
  await until(settle)
  await until(() => asked[0]?.fail())
  await until(() => screen.getByText('stand-in').click())
  expect(asked).toHaveLength(2)
  await until(() => asked[1]?.come())
  screen.getByText('open')
  await until(settle)
  expect(asked).toHaveLength(2)
})

test('a part that is there already shows at once', async () => {
  const { Menu, asked } = loading()
  await until(settle)
  await until(() => asked[0]?.come())
  render(<Menu />)
  screen.getByText('closed')
})

test('a press that began on what stands in ends on it', async () => {
  const { Menu, asked } = loading()
  const hands = userEvent.setup()
  render(<Menu />)
  const standIn = screen.getByText('stand-in')
  await until(settle)
  await hands.pointer({ keys: '[MouseLeft>]', target: standIn })
  await until(() => asked[0]?.come())
  expect(screen.getByText('stand-in')).toBe(standIn)
  await hands.pointer({ keys: '[/MouseLeft]' })
  await screen.findByText('open')
})

test.each(['pointercancel', 'blur', 'keyup'])('a press that ends in a %s holds nothing up', async (ends) => {
  const { Menu, asked } = loading()
  render(<Menu />)
  await until(settle)
  await until(() => window.dispatchEvent(new Event('pointerdown')))
  await until(() => asked[0]?.come())
  screen.getByText('stand-in')
  await until(() => window.dispatchEvent(new Event(ends)))
  await screen.findByText('closed')
})

test('what is there when a press begins is there until it ends', async () => {
  const { Menu, asked } = loading()
  render(<Menu />)
  await until(settle)
  const here = globalThis as { IS_REACT_ACT_ENVIRONMENT?: boolean }
  here.IS_REACT_ACT_ENVIRONMENT = false // React draws when it comes to it, as in a page
  asked[0]?.come()
  for (let n = 0; n < 5; n++) await Promise.resolve() // it has come, and is perhaps not drawn yet
  const pressed = screen.getByRole('button')
  window.dispatchEvent(new Event('pointerdown'))
  await new Promise((done) => setTimeout(done, 100))
  expect(screen.getByRole('button')).toBe(pressed)
  window.dispatchEvent(new Event('pointerup'))
  await new Promise((done) => setTimeout(done, 50))
  screen.getByText('closed')
  here.IS_REACT_ACT_ENVIRONMENT = true
})
