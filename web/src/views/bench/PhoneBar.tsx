import { memo } from 'react'
import type { Reckoning } from '../../api/schema'
import { copy } from '../../copy'
import { Button } from '../../ui/Button'
import { toMillilitres, toTenth } from '../../ui/format'

/** PhoneBar keeps the figures that one turns dials by in sight on a phone, above the views. */
export const PhoneBar = memo(function PhoneBar({ r, onMade }: { r?: Reckoning; onMade: () => void }) {
  if (!r?.reckoned) return null
  const fat = r.dials.find((d) => d.code === 'fat')
  return (
    <section
      aria-label={copy.bench.figures}
      className="fixed inset-x-0 bottom-[calc(3.1rem+env(safe-area-inset-bottom))] z-20 flex items-center gap-3 border-t-2 border-rim bg-enamel px-3 py-1.5 sm:hidden print:hidden"
    >
      <Short value={toMillilitres(r.drinkML)} words={copy.bench.yieldWord} />
      <Short value={toTenth(r.per100mL.sucroseEquivalentG)} words={copy.bench.sweetWord} />
      <Short value={`${toTenth(fat?.value ?? 0)} %`} words={copy.bench.fatWord} />
      {r.keeps.known && <Short value={copy.bench.daysMany(r.keeps.wholeDays)} words={copy.bench.fridgeWord} />}
      <Button primary size="small" className="ml-auto" onClick={onMade}>
        {copy.bench.madeIt}
      </Button>
    </section>
  )
})

function Short({ value, words }: { value: string; words: string }) {
  return (
    <p className="text-center leading-tight">
      <b className="block font-head whitespace-nowrap">{value}</b>
      <span className="text-fine text-mute">{words}</span>
    </p>
  )
}
