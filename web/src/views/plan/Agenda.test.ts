import { expect, test } from 'vitest'
import type { Plan } from '../../api/schema'
import { agendaOf } from './Agenda'

const step = (start: string, title: string, handsOn = true, doneAt?: string) => ({ start, title, handsOn, doneAt })

test('what needs hands stands by the clock and under its day; what waits or is done does not', () => {
  const plan = {
    items: [
      { name: 'nog', steps: [step('2026-11-27T21:00:00', 'Soak', false), step('2026-11-28T08:00:00', 'Blend')] },
      {
        name: 'milk',
        steps: [step('2026-11-27T20:00:00', 'Put to soak'), step('2026-11-27T19:00:00', 'Toast', true, 'x')],
      },
    ],
  } as unknown as Plan // prettier-ignore
  expect(agendaOf(plan).map(({ day, entries }) => [day, entries.map((e) => `${e.drink}: ${e.step.title}`)])).toEqual([
    ['Friday', ['milk: Put to soak']],
    ['Saturday', ['nog: Blend']],
  ])
})
