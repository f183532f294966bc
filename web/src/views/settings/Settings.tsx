import { useKitchen } from '../../api/hooks'
import { copy } from '../../copy/more'
import { Tray } from '../../ui/Tray'
import { Devices } from './Devices'
import { Everything } from './Everything'
import { Files } from './Files'
import { Learned } from './Learned'
import { Phone } from './Phone'
import { SettingsForm } from './SettingsForm'

/** SettingsView is how the kitchen measures, chills and stores, who may come in, and all of it in one file. */
export function SettingsView() {
  const kitchen = useKitchen()
  if (!kitchen.data) return null
  return (
    <main className="grid grid-cols-[minmax(0,1fr)] gap-4">
      <div>
        <h1 className="text-title leading-tight">{copy.app.settings}</h1>
        <p className="text-note text-mute">{copy.app.howYourKitchenMeasuresChills}</p>
      </div>
      <SettingsForm now={kitchen.data} />
      <div className="grid grid-cols-[minmax(0,1fr)] items-start gap-4 lg:grid-cols-2">
        <Tray label={copy.app.devices}>
          <Devices />
        </Tray>
        <div className="grid grid-cols-[minmax(0,1fr)] gap-4">
          <Learned />
          <Phone />
          <Everything />
          <Files />
        </div>
      </div>
      <p className="text-note text-mute">
        <a href="/licences.txt" target="_blank" rel="noreferrer" className="underline">
          {copy.app.thirdPartyLicences}
        </a>
      </p>
    </main>
  )
}
