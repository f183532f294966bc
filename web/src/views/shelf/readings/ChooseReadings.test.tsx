// @vitest-environment jsdom
import { cleanup, fireEvent, render, screen } from '@testing-library/react'
import { afterEach, expect, test, vi } from 'vitest'
import { copy } from '../../../copy/more'
import { ChooseReadings } from './ChooseReadings'

afterEach(cleanup)

const probe = new File(['2026-11-24 15:00,4.2'], 'probe.csv', { type: 'text/csv' })

test('a file that is dropped is taken, and none while another is on its way', () => {
  const onFile = vi.fn()
  const { rerender } = render(<ChooseReadings busy={false} onFile={onFile} />)
  const zone = screen.getByText(copy.shelf.dropAFileHere)
  fireEvent.dragOver(zone)
  fireEvent.drop(zone, { dataTransfer: { files: [probe] } })
  expect(onFile).toHaveBeenCalledExactlyOnceWith(probe)
  rerender(<ChooseReadings busy onFile={onFile} />)
  fireEvent.drop(zone, { dataTransfer: { files: [probe] } })
  fireEvent.drop(zone, { dataTransfer: { files: [] } })
  expect(onFile).toHaveBeenCalledOnce()
})

test('what is pasted goes the same way, as a file', () => {
  const onFile = vi.fn()
  render(<ChooseReadings busy={false} onFile={onFile} />)
  const show = screen.getByRole('button', { name: copy.shelf.readThese })
  expect(show).toHaveProperty('disabled', true)
  fireEvent.change(screen.getByLabelText(copy.shelf.orPasteThem), { target: { value: '2026-11-24 15:00,4.2' } })
  fireEvent.click(show)
  const file: File = onFile.mock.calls[0]?.[0]
  expect([file.name, file.size]).toEqual([`${copy.shelf.readings}.csv`, '2026-11-24 15:00,4.2'.length])
})
