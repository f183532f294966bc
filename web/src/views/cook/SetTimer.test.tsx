// @vitest-environment jsdom
import { screen } from '@testing-library/react'
import { expect, test } from 'vitest'
import { shown } from '../../testing'
import { SetTimer } from './SetTimer'

test('a step starts its own time, or the one that is typed', async () => {
  const { hands, changes } = shown(<SetTimer name="Soak the pecans" seconds={90} />)
  await hands.click(screen.getByRole('button', { name: /Timer 1:30/ }))
  await hands.type(screen.getByLabelText('Your own time'), '1 h')
  await hands.click(screen.getByRole('button', { name: 'Start' }))
  expect(changes()).toEqual([
    ['POST /api/timers', { name: 'Soak the pecans', minutes: 1.5 }],
    ['POST /api/timers', { name: 'Soak the pecans', minutes: 60 }],
  ])
  expect((screen.getByLabelText('Your own time') as HTMLInputElement).value).toBe('')
})

test('what is no time starts nothing and says what works', async () => {
  const { hands, changes } = shown(<SetTimer name="Soak" seconds={0} />)
  await hands.type(screen.getByLabelText('Your own time'), 'soon')
  await hands.click(screen.getByRole('button', { name: 'Start' }))
  expect(screen.getByRole('alert').textContent).toBe('Enter minutes, such as 5.')
  expect(changes()).toEqual([])
})
