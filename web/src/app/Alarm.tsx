import { BellRing } from 'lucide-react'
import { useEffect, useState } from 'react'
import { answer, api } from '../api/client'
import { useTimerChange, useTimers } from '../api/cooking'
import { copy } from '../copy'
import { Button } from '../ui/Button'
import { useNotified } from './notify'

/** useSound is the page's sound. A browser gives it only after a tap or a key. */
function useSound() {
  const [sound, setSound] = useState<AudioContext>()
  useEffect(() => {
    const open = () => setSound((now) => now ?? new AudioContext())
    window.addEventListener('pointerdown', open, { once: true })
    window.addEventListener('keydown', open, { once: true })
    return () => {
      window.removeEventListener('pointerdown', open)
      window.removeEventListener('keydown', open)
    }
  }, [])
  return sound
}

const glasses = [
  { hertz: 1320, after: 0 },
  { hertz: 990, after: 0.22 },
]

/** strike sounds two struck glasses, one after the other. */
function strike(sound: AudioContext) {
  for (const { hertz, after } of glasses) {
    const tone = sound.createOscillator()
    const loud = sound.createGain()
    const at = sound.currentTime + after
    tone.frequency.value = hertz
    loud.gain.setValueAtTime(0.4, at)
    loud.gain.exponentialRampToValueAtTime(0.001, at + 0.5)
    tone.connect(loud).connect(sound.destination)
    tone.start(at)
    tone.stop(at + 0.5)
  }
}

/** Alarm rings in every view, from when a timer is over until it is answered. */
export function Alarm() {
  const ringing = useTimers().data?.timers.filter((t) => t.state === 'rings') ?? []
  const sound = useSound()
  const stop = useTimerChange((id: number) => answer(api.DELETE('/api/timers/{id}', { params: { path: { id } } })))
  const rings = ringing.length > 0
  useNotified(ringing.map((t) => t.name))
  useEffect(() => {
    if (!rings || !sound) return
    strike(sound)
    const again = setInterval(() => strike(sound), 1200)
    return () => clearInterval(again)
  }, [rings, sound])
  if (!rings) return null
  return (
    <section
      aria-label={copy.app.alarm}
      className="flashes sticky top-2 z-50 my-2 rounded-tray border-tray border-rim bg-turmeric px-5 py-3 text-day-ink print:hidden"
    >
      <ul role="alert" className="grid gap-2">
        {ringing.map((t) => (
          <li key={t.id} className="flex items-center gap-3 text-xl font-bold">
            <BellRing size={26} aria-hidden className="shrink-0" />
            <span className="grow">{copy.app.timeIsUp(t.name)}</span>
            <Button primary onClick={() => stop.mutate(t.id)} aria-label={copy.app.stopTimer(t.name)}>
              {copy.app.stop}
            </Button>
          </li>
        ))}
      </ul>
      {!sound && <p className="mt-1 text-note">{copy.app.yourBrowserOnlyLetsThe}</p>}
    </section>
  )
}
