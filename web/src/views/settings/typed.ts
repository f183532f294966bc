import type { Settings } from '../../api/schema'
import { numberOf } from '../../ui/limit'
import { toShown } from '../../ui/units'

const shown = (v: number | undefined, unit: string) => (v ? String(toShown(v, unit)) : '')

/** partOf is one end of "22:30-06:30"; empty where there are no such hours. */
const partOf = (hours: string, n: 0 | 1) => hours.split('-')[n] ?? ''

const span = (from: string, to: string) => (from || to ? `${from}-${to}` : '')

/** typedOf is the settings as the form has them: text, in the units shown. */
export const typedOf = (now: Settings) => ({
  language: now.language ?? 'en',
  locale: now.locale || 'auto',
  system: now.system as string,
  volumes: now.volumes ?? 'metric',
  temperature: now.temperature ?? 'c',
  weekStart: now.weekStart ?? 'monday',
  theme: now.theme as string,
  currency: now.currency,
  timeZone: now.timeZone ?? '',
  school: now.school as string,
  fridgeC: String(toShown(now.fridgeC, '°C')),
  kitchenC: String(toShown(now.kitchenC, '°C')),
  handsQuiet: now.handsQuiet,
  handsFrom: partOf(now.handsQuiet, 0),
  handsTo: partOf(now.handsQuiet, 1),
  noiseQuiet: now.noiseQuiet,
  noiseFrom: partOf(now.noiseQuiet, 0),
  noiseTo: partOf(now.noiseQuiet, 1),
  blender: (now.blender ?? 'regular') as string,
  jugML: shown(now.jugML, 'mL'),
  panCM: shown(now.panCM, 'cm'),
  tapC: String(toShown(now.tapC ?? 15, '°C')),
  scaleG: shown(now.scaleG, 'g'),
})

export type Typed = ReturnType<typeof typedOf>

/** settled is what was typed as the settings have it. */
export function settled({ handsFrom, handsTo, noiseFrom, noiseTo, ...typed }: Typed) {
  return {
    ...typed,
    language: typed.language as Settings['language'],
    locale: typed.locale === 'auto' ? '' : typed.locale,
    system: typed.system as Settings['system'],
    volumes: typed.volumes as Settings['volumes'],
    temperature: typed.temperature as Settings['temperature'],
    weekStart: typed.weekStart as Settings['weekStart'],
    theme: typed.theme as Settings['theme'],
    school: typed.school as Settings['school'],
    blender: typed.blender as Settings['blender'],
    currency: typed.currency.trim().toUpperCase(),
    handsQuiet: span(handsFrom, handsTo),
    noiseQuiet: span(noiseFrom, noiseTo),
    fridgeC: numberOf(typed.fridgeC, '°C') ?? 0,
    kitchenC: numberOf(typed.kitchenC, '°C') ?? 0,
    jugML: numberOf(typed.jugML, 'mL') ?? 0,
    panCM: numberOf(typed.panCM, 'cm') ?? 0,
    tapC: numberOf(typed.tapC, '°C') ?? 0,
    scaleG: numberOf(typed.scaleG, 'g') ?? 0,
  }
}
