// @vitest-environment jsdom
import { screen } from '@testing-library/react'
import { afterEach, expect, test, vi } from 'vitest'
import type { ItemStep } from '../../api/schema'
import { shown } from '../../testing'
import { ReadAloud } from './ReadAloud'

const step = {
  title: 'Blend for 60 seconds',
  right: 'It feels smooth between your fingers.',
  caution: '',
  never: '',
  amounts: [{ name: 'Pecans', text: '1½ cups', massG: 148, open: false }],
} as ItemStep

afterEach(() => vi.unstubAllGlobals())

test('a step is read out on request, and stops when asked', async () => {
  const voice = { speak: vi.fn(), cancel: vi.fn() }
  vi.stubGlobal('speechSynthesis', voice)
  vi.stubGlobal(
    'SpeechSynthesisUtterance',
    class {
      constructor(readonly text: string) {}
    },
  )
  const { hands } = shown(<ReadAloud step={step} />)
  await hands.click(screen.getByRole('button', { name: 'Read aloud' }))
  expect(voice.speak.mock.calls[0]?.[0]).toMatchObject({
    text: 'Blend for 60 seconds. Pecans, 1½ cups. It feels smooth between your fingers.',
    lang: 'en',
  })
  await hands.click(screen.getByRole('button', { name: 'Stop reading' }))
  expect(voice.speak).toHaveBeenCalledOnce()
  expect(voice.cancel).toHaveBeenCalledTimes(2)
})

test('where there is no voice there is no button', () => {
  vi.stubGlobal('speechSynthesis', undefined)
  shown(<ReadAloud step={step} />)
  expect(screen.queryByRole('button')).toBeNull()
})
