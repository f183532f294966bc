import { query } from '../../api/client'
import type { Secure } from '../../api/schema'
import { copy } from '../../copy/more'
import { Tray } from '../../ui/Tray'

/** Phone says how a phone comes in by a secure connection, and what that allows. */
export function Phone() {
  const secure = query.useQuery('get', '/api/secure').data
  return (
    <Tray label={copy.settings.onAPhone} className="grid content-start gap-2">
      <h2 className="text-xl">{copy.settings.onAPhone}</h2>
      <p className="text-note">{window.isSecureContext ? copy.settings.isSecure : copy.settings.isPlain}</p>
      {secure && (!window.isSecureContext || secure.root !== '') && <Steps secure={secure} />}
    </Tray>
  )
}

function Steps({ secure }: { secure: Secure }) {
  if (secure.url === '') return <p className="text-note text-mute">{copy.settings.noHttps}</p>
  if (secure.root === '') return <p className="text-note">{copy.settings.fromElsewhere(secure.url)}</p>
  return (
    <>
      <ol className="grid list-decimal gap-1 pl-5 text-note">
        {copy.settings.installSteps(secure.url).map((step) => (
          <li key={step}>{step}</li>
        ))}
      </ol>
      <p>
        <a href={secure.root} download className="font-bold text-rim underline">
          {copy.settings.downloadCertificate}
        </a>
      </p>
      <p className="text-fine text-mute">
        {copy.settings.fingerprint}: <code className="break-all">{secure.fingerprint}</code>
      </p>
      <p className="text-fine text-mute">{copy.settings.whatItAllows}</p>
    </>
  )
}
