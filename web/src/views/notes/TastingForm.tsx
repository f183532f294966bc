import { useState } from 'react'
import type { BatchPage, Taste } from '../../api/schema'
import { copy } from '../../copy/more'
import { Button } from '../../ui/Button'
import { ErrorText, Field } from '../../ui/Field'
import { toTenth } from '../../ui/format'
import { Slide } from '../../ui/Slide'
import { ToggleGroup } from '../../ui/ToggleGroup'
import { toStars } from './figures'
import { Proposals } from './Proposals'
import type { Said } from './TastingTray'
import { useTasting } from './useTasting'

const sliders = [
  { of: 'sweet', pigment: 'var(--color-turmeric)' },
  { of: 'body', pigment: 'var(--color-nutmeg)' },
  { of: 'spice', pigment: 'var(--color-hibiscus)' },
  { of: 'salt', pigment: 'var(--color-water-deep)' },
] as const

const flags = Object.entries(copy.notes.flags).map(([value, label]) => ({ value, label }))

type Props = { batch: BatchPage; bottleID?: number; onSaid: (said: Said) => void }

/** TastingForm is a tasting in a few moves: sliders, stars, what was noticed; what it asks of the next batch stands below as it is told. */
export function TastingForm({ batch, bottleID, onSaid }: Props) {
  const [taste, setTaste] = useState<Taste>({ bottleID: bottleID ?? 0, flags: [], who: '', words: '' })
  const [accepted, accept] = useState<string[]>([])
  const change = (part: Partial<Taste>) => setTaste((now) => ({ ...now, ...part }))
  const tasting = useTasting(batch.id, taste)
  const chosen = accepted.filter((code) => tasting.next?.proposals.some((p) => p.code === code))
  const chosenFlags = taste.flags ?? []
  const toggle = (all: string[], one: string) => (all.includes(one) ? all.filter((o) => o !== one) : [...all, one])
  return (
    <div className="grid gap-2">
      {sliders.map((s) => (
        <TasteSlide
          key={s.of}
          of={s.of}
          pigment={s.pigment}
          value={taste[s.of] ?? 0}
          onChange={(v) => change({ [s.of]: v })}
        />
      ))}
      <Stars stars={taste.stars ?? 0} onChange={(stars) => change({ stars })} />
      <ToggleGroup
        label={copy.notes.noticed}
        choices={flags}
        chosen={chosenFlags}
        onToggle={(flag) => change({ flags: toggle(chosenFlags, flag) })}
      />
      <div className="grid gap-2 sm:grid-cols-2">
        <Field
          label={copy.notes.whoTasted}
          value={taste.who ?? ''}
          maxLength={60}
          onChange={(e) => change({ who: e.target.value })}
        />
        <Field
          label={copy.notes.words}
          value={taste.words ?? ''}
          maxLength={500}
          onChange={(e) => change({ words: e.target.value })}
        />
      </div>
      <Proposals next={tasting.next} chosen={chosen} onToggle={(code) => accept(toggle(chosen, code))} />
      <ErrorText id="tasting-error">{tasting.problem}</ErrorText>
      <div className="flex flex-wrap gap-2">
        {chosen.length > 0 && tasting.next && (
          <Button primary disabled={tasting.busy} onClick={() => tasting.improve(chosen, onSaid)}>
            {copy.notes.saveAsVersion(tasting.next.version)}
          </Button>
        )}
        <Button primary={chosen.length === 0} disabled={tasting.busy} onClick={() => tasting.keep(onSaid)}>
          {copy.notes.justKeepTheNotes}
        </Button>
      </div>
    </div>
  )
}

type SlideProps = { of: string; pigment: string; value: number; onChange: (v: number) => void }

function TasteSlide({ of, pigment, value, onChange }: SlideProps) {
  const words = copy.notes.sliders[of]
  if (!words) return null
  return (
    <div>
      <p aria-hidden className="text-note font-bold">
        {words.name}
      </p>
      <Slide
        label={words.name}
        value={value}
        least={-2}
        most={2}
        step={0.5}
        words={copy.notes.notches[value] ?? ''}
        pigment={pigment}
        onChange={onChange}
      />
      <p aria-hidden className="flex justify-between text-fine text-mute">
        <span>{words.little}</span>
        <span>{copy.notes.justRight}</span>
        <span>{words.much}</span>
      </p>
    </div>
  )
}

function Stars({ stars, onChange }: { stars: number; onChange: (stars: number) => void }) {
  return (
    <div>
      <p className="flex items-baseline justify-between text-note">
        <b aria-hidden>{copy.notes.stars}</b>
        <span aria-hidden>{stars > 0 ? toStars(stars) : copy.notes.notRated}</span>
      </p>
      <Slide
        label={copy.notes.stars}
        value={stars}
        least={0}
        most={5}
        step={0.5}
        words={stars > 0 ? copy.notes.starsOfFive(toTenth(stars)) : copy.notes.notRated}
        pigment="var(--color-turmeric)"
        onChange={onChange}
      />
    </div>
  )
}
