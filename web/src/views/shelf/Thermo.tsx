import { Thermometer } from 'lucide-react'
import { useState } from 'react'
import { answer, api } from '../../api/client'
import type { FridgeDrive, Thermo as Seen } from '../../api/schema'
import { useShelfChange, useThermo } from '../../api/shelf'
import { copy } from '../../copy/more'
import { Button } from '../../ui/Button'
import { toDayAndClock, toTenth, toTwoFigures } from '../../ui/format'
import { Tray } from '../../ui/Tray'
import { Imports } from './readings/Imports'
import { ReadingsDialog } from './readings/ReadingsDialog'
import { TemperatureStrip } from './TemperatureStrip'

/** Thermo is what the fridge saw in seven days, and the warm spells that cost life. */
export function Thermo() {
  const thermo = useThermo().data
  const [importing, setImporting] = useState(false)
  const connect = useShelfChange(() => answer(api.POST('/api/thermometer/connect')))
  const disconnect = useShelfChange(() => answer(api.POST('/api/thermometer/disconnect')))
  if (!thermo) return null
  return (
    <Tray label={copy.shelf.fridgeTemperature} className="grid gap-2">
      <div className="flex flex-wrap items-baseline justify-between gap-x-4">
        <h2 className="text-xl">{copy.shelf.fridgeTemperature}</h2>
        <p className="text-mute">{lastWords(thermo)}</p>
      </div>
      {thermo.points.length > 0 && <TemperatureStrip thermo={thermo} />}
      {thermo.spells.length > 0 && (
        <ul className="text-note">
          {thermo.spells.map((s) => (
            <li key={s.from}>
              <b>{toDayAndClock(s.from)}</b>
              {copy.shelf.itTookDaysOffThe(s.words, toTwoFigures(s.days))}
            </li>
          ))}
        </ul>
      )}
      {thermo.note && <p className="text-note text-mute">{thermo.note}</p>}
      <div className="flex flex-wrap gap-2">
        {thermo.connected ? (
          <Button onClick={() => disconnect.mutate(undefined)}>{copy.shelf.disconnect}</Button>
        ) : (
          <Button onClick={() => connect.mutate(undefined)}>
            <Thermometer size={18} aria-hidden />
            {copy.shelf.connectAThermometer}
          </Button>
        )}
        <Button onClick={() => setImporting(true)}>{copy.shelf.importReadings}</Button>
        <a
          href="/api/thermometer.csv"
          download="fridge.csv"
          className="inline-flex min-h-11 items-center rounded-full border-2 border-rim bg-enamel px-4 font-bold"
        >
          {copy.shelf.downloadReadings}
        </a>
      </div>
      <Imports imports={thermo.imports} />
      {thermo.connected && thermo.standIn && <StandInFridge />}
      {importing && <ReadingsDialog onClose={() => setImporting(false)} />}
    </Tray>
  )
}

function lastWords(t: Seen): string {
  if (t.lastC === undefined || t.lastAt === undefined) return copy.shelf.noReadingsUsingTheSet(toTenth(t.setC))
  return copy.shelf.cAtSetToC(toTenth(t.lastC), toDayAndClock(t.lastAt), toTenth(t.setC))
}

const drives: { what: FridgeDrive['what']; minutes: number; words: string }[] = [
  { what: 'door', minutes: 10, words: copy.shelf.doorOpen10Minutes },
  { what: 'warm load', minutes: 1, words: copy.shelf.somethingWarmPutIn },
  { what: 'power cut', minutes: 180, words: copy.shelf.powerCut3Hours },
  { what: 'silence', minutes: 60, words: copy.shelf.noReadingsForAnHour },
  { what: 'nonsense', minutes: 3, words: copy.shelf.threeFaultyReadings },
]

/** StandInFridge moves the fridge that is not there; it reads once a minute. */
function StandInFridge() {
  const drive = useShelfChange((body: FridgeDrive) => answer(api.POST('/api/thermometer/stand-in', { body })))
  return (
    <details className="rounded-2xl bg-linen px-4 py-2 text-note">
      <summary className="min-h-8 cursor-pointer font-bold">{copy.shelf.practiceThermometerWhatHappensTo}</summary>
      <div className="flex flex-wrap gap-2 py-2">
        {drives.map(({ what, minutes, words }) => (
          <Button key={what} onClick={() => drive.mutate({ what, minutes })}>
            {words}
          </Button>
        ))}
      </div>
    </details>
  )
}
