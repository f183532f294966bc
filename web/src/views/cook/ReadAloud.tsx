import { Volume2, VolumeX } from 'lucide-react'
import { useEffect, useState } from 'react'
import type { ItemStep } from '../../api/schema'
import { copy } from '../../copy/more'
import { Button } from '../../ui/Button'
import { toGrams } from '../../ui/format'
import { language } from '../../ui/units'

/** spoken is a step as it is read out: what to do, what goes in, what right looks like, what to mind. */
export const spoken = (step: ItemStep) =>
  [
    step.title,
    ...step.amounts.map((a) => (a.open ? a.name : `${a.name}, ${a.text || toGrams(a.massG)}`)),
    step.right,
    step.caution,
    step.never,
  ]
    .filter((words) => words !== '')
    .join('. ')

/** ReadAloud reads the step out, on request; it is not there where the browser has no voice. */
export function ReadAloud({ step }: { step: ItemStep }) {
  const [reading, setReading] = useState(false)
  const voice = window.speechSynthesis as SpeechSynthesis | undefined
  useEffect(() => () => window.speechSynthesis?.cancel(), [])
  if (!voice) return null
  const read = () => {
    voice.cancel()
    if (reading) return setReading(false)
    const words = new SpeechSynthesisUtterance(spoken(step))
    words.lang = language
    words.onend = () => setReading(false)
    words.onerror = () => setReading(false)
    voice.speak(words)
    setReading(true)
  }
  return (
    <div>
      <Button onClick={read}>
        {reading ? <VolumeX size={20} aria-hidden /> : <Volume2 size={20} aria-hidden />}
        {reading ? copy.cook.stopReading : copy.cook.readAloud}
      </Button>
    </div>
  )
}
