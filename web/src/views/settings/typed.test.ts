import { expect, test } from 'vitest'
import type { Settings } from '../../api/schema'
import { settled, typedOf } from './typed'

const kitchen = {
  language: 'es',
  locale: 'en-GB',
  system: 'metric',
  theme: 'light',
  currency: 'EUR',
  school: 'cautious',
  fridgeC: 4,
  kitchenC: 20,
  handsQuiet: '22:30-06:30',
  noiseQuiet: '',
  blender: 'high-speed',
  jugML: 1600,
  panCM: 20,
  tapC: 12,
  scaleG: 1,
  timeZone: 'Europe/Madrid',
  volumes: 'metric',
  temperature: 'c',
  weekStart: 'sunday',
} as unknown as Settings

test('settings that are opened and saved are the same', () => {
  expect(settled(typedOf(kitchen))).toEqual(kitchen)
})

test('quiet hours are two fields, and none where both are empty', () => {
  const typed = typedOf(kitchen)
  expect([typed.handsFrom, typed.handsTo, typed.noiseFrom, typed.noiseTo]).toEqual(['22:30', '06:30', '', ''])
  expect(settled({ ...typed, handsFrom: '', handsTo: '', noiseFrom: '21:00', noiseTo: '08:00' })).toMatchObject({
    handsQuiet: '',
    noiseQuiet: '21:00-08:00',
  })
})

test('what nobody said is the usual, and what is left empty is none', () => {
  const typed = typedOf({ ...kitchen, language: undefined, locale: '', blender: undefined, tapC: undefined, jugML: 0 })
  expect(typed).toMatchObject({ language: 'en', locale: 'auto', blender: 'regular', tapC: '15', jugML: '' })
  expect(settled({ ...typed, currency: ' gbp ', panCM: '', scaleG: '' })).toMatchObject({
    locale: '',
    currency: 'GBP',
    jugML: 0,
    panCM: 0,
    scaleG: 0,
  })
})
