import { Scale as ScaleIcon, Usb } from 'lucide-react'
import type { ScaleNow } from '../../api/schema'
import { copy } from '../../copy/more'
import { Button } from '../../ui/Button'
import { canReadSerial, readSerial, useSerial } from './serialScale'

type Props = { scale: ScaleNow; onConnect: (own: boolean) => void }

/** ConnectScale offers the scales there are: the one usually read, and the cook's own where it sends or can be read here. */
export function ConnectScale({ scale, onConnect }: Props) {
  const serial = useSerial()
  const overUSB = () =>
    readSerial()
      .then(() => onConnect(true))
      .catch(() => {
        // no port was chosen, or it is in use elsewhere: the button is still there
      })
  const usual = scale.note && !scale.own ? copy.cook.reconnectTheScale : copy.cook.connectTheScale
  return (
    <div className="grid gap-2">
      <div className="flex flex-wrap gap-2">
        {scale.sends && (
          <Button primary onClick={() => onConnect(true)}>
            <ScaleIcon size={20} aria-hidden /> {copy.cook.connectMyScale}
          </Button>
        )}
        <Button onClick={() => onConnect(false)}>
          <ScaleIcon size={20} aria-hidden /> {usual}
        </Button>
      </div>
      <details className="text-note">
        <summary className="min-h-8 cursor-pointer font-bold">{copy.cook.aScaleOfYourOwn}</summary>
        <div className="grid gap-2 py-1">
          {canReadSerial() ? (
            <div>
              <Button disabled={serial.reads} onClick={overUSB}>
                <Usb size={18} aria-hidden /> {serial.reads ? copy.cook.readOverUSB : copy.cook.connectOverUSB}
              </Button>
            </div>
          ) : (
            <p>{copy.cook.noUSBHere}</p>
          )}
          <p>{copy.cook.orSendsReadings}</p>
          <code className="break-all">
            POST {window.location.origin}/api/scale/readings {'{"line": "ST,+ 123.4 g"}'}
          </code>
        </div>
      </details>
    </div>
  )
}
