// @vitest-environment jsdom
import { act, renderHook } from '@testing-library/react'
import { afterEach, beforeEach, expect, test, vi } from 'vitest'
import type { ScaleNow } from '../../api/schema'
import { silentForMS, useBackAgain, useIsSilent } from './useBackAgain'

const scale = (station: string, connected: boolean, own = false) =>
  ({ station, connected, own, itemID: connected ? 3 : 0 }) as ScaleNow

beforeEach(() => void vi.useFakeTimers())
afterEach(() => void vi.useRealTimers())

test.each([
  { what: 'after a restart it is connected again, the cook’s own as such', later: scale('b', false), calls: [[true]] },
  { what: 'what someone disconnected stays so', later: scale('a', false), calls: [] },
  { what: 'another drink’s scale is left alone', later: { ...scale('b', true), itemID: 9 } as ScaleNow, calls: [] },
])('$what', ({ later, calls }) => {
  const connect = vi.fn()
  const { result, rerender } = renderHook(({ now }) => useBackAgain(now, 3, connect), {
    initialProps: { now: scale('a', true, true) },
  })
  rerender({ now: later })
  rerender({ now: later })
  expect(connect.mock.calls).toEqual(calls)
  expect(result.current.again).toBe(calls.length > 0)
  act(() => result.current.forget())
  expect(result.current.again).toBe(false)
})

test('a reading that is not renewed is not live', () => {
  const begun = Date.now()
  const { result, rerender } = renderHook(({ at, on }) => useIsSilent(at, on), {
    initialProps: { at: begun, on: true },
  })
  act(() => void vi.advanceTimersByTime(silentForMS - 500))
  expect(result.current).toBe(false)
  act(() => void vi.advanceTimersByTime(1_500))
  expect(result.current).toBe(true)
  rerender({ at: Date.now(), on: true })
  expect(result.current).toBe(false)
  rerender({ at: begun, on: false })
  expect(result.current).toBe(false)
})
