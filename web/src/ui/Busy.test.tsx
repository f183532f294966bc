// @vitest-environment jsdom
import { act, render, screen } from '@testing-library/react'
import { expect, test, vi } from 'vitest'
import { Busy } from './Busy'

test('what takes over a second says so, and what does not is silent', () => {
  vi.useFakeTimers()
  const { rerender } = render(<Busy on words="Restoring…" share={0.4} />)
  act(() => vi.advanceTimersByTime(900))
  expect(screen.queryByRole('progressbar')).toBeNull()
  act(() => vi.advanceTimersByTime(200))
  expect((screen.getByRole('progressbar') as HTMLProgressElement).value).toBe(0.4)
  rerender(<Busy on={false} words="Restoring…" />)
  expect(screen.queryByRole('progressbar')).toBeNull()
  vi.useRealTimers()
})
