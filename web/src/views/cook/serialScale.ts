import { useSyncExternalStore } from 'react'
import { answer, api } from '../../api/client'

/** What of Web Serial is used (WICG Serial API); TypeScript does not know it yet. */
type SerialPort = {
  open(options: { baudRate: number }): Promise<void>
  close(): Promise<void>
  readable: ReadableStream<Uint8Array> | null
}
type Serial = { requestPort(): Promise<SerialPort> }

const serialOf = () => (navigator as Navigator & { serial?: Serial }).serial

/** canReadSerial is whether this browser can read a scale on a USB or serial port: only some do, and only over HTTPS or on the kitchen's own machine. */
export const canReadSerial = () => serialOf() !== undefined

/** The usual speed of kitchen and laboratory scales' ports, bits a second (common practice, no source). */
const baudRate = 9_600

/** How often a reading is passed on: the last one said. */
const sendEveryMS = 150

let port: SerialPort | undefined
let problem = ''
const listeners = new Set<() => void>()
const tell = () => {
  for (const told of listeners) told()
}

/** readSerial asks for the port of a scale and passes on what it says, line by line, for as long as it says anything. */
export async function readSerial() {
  const serial = serialOf()
  if (!serial || port) return
  const chosen = await serial.requestPort()
  await chosen.open({ baudRate })
  port = chosen
  problem = ''
  tell()
  passOn(chosen)
    .catch((e: Error) => {
      problem = e.message
    })
    .finally(() => {
      port = undefined
      chosen.close().catch(() => {
        // it is gone already
      })
      tell()
    })
}

async function passOn(from: SerialPort) {
  const reader = from.readable?.getReader()
  if (!reader) return
  const text = new TextDecoder()
  let rest = ''
  let last = ''
  let sending = false
  const send = async () => {
    if (sending || last === '') return
    const line = last
    last = ''
    sending = true
    await answer(api.POST('/api/scale/readings', { body: { line } })).catch(() => {
      // what is no weight, or does not arrive, is made up for by the next
    })
    sending = false
  }
  const timer = setInterval(send, sendEveryMS)
  try {
    for (;;) {
      const { value, done } = await reader.read()
      if (done) return
      const lines = (rest + text.decode(value, { stream: true })).split(/[\r\n]+/)
      rest = (lines.pop() ?? '').slice(-longestLine)
      last =
        lines
          .filter((l) => l.trim() !== '')
          .at(-1)
          ?.slice(0, longestLine) ?? last
    }
  } finally {
    clearInterval(timer)
    reader.releaseLock()
  }
}

/** What the kitchen takes of a line, characters. */
const longestLine = 80

const subscribe = (told: () => void) => {
  listeners.add(told)
  return () => listeners.delete(told)
}

/** useSerial is whether a scale is read on a port of this device, and why not any more. */
export const useSerial = () => ({
  reads: useSyncExternalStore(subscribe, () => port !== undefined),
  problem: useSyncExternalStore(subscribe, () => problem),
})
