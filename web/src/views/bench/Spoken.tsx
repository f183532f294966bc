import { useEffect, useState } from 'react'
import type { Reckoning } from '../../api/schema'
import { copy } from '../../copy'
import { toMillilitres, toTenth } from '../../ui/format'

/** How long the figures stand still before they are read out. */
const stillMS = 1_200

/** Spoken reads the main figures out once they stand still, for whoever does not see the jug. */
export function Spoken({ r }: { r?: Reckoning }) {
  const words = r?.reckoned
    ? copy.bench.spoken(toMillilitres(r.drinkML), toTenth(r.per100mL.sucroseEquivalentG), r.keeps.wholeDays)
    : ''
  const [said, setSaid] = useState('')
  useEffect(() => {
    const timer = setTimeout(() => setSaid(words), stillMS)
    return () => clearTimeout(timer)
  }, [words])
  return (
    <p role="status" className="sr-only">
      {said}
    </p>
  )
}
