import { useState } from 'react'
import { query } from '../../api/client'
import type { BlindTrial as Trial, TrialVerdict } from '../../api/schema'
import { copy } from '../../copy/more'
import { Button } from '../../ui/Button'
import { ErrorText, Field } from '../../ui/Field'
import { toTenth } from '../../ui/format'
import { Slide } from '../../ui/Slide'
import { ToggleGroup } from '../../ui/ToggleGroup'
import { toStars } from './figures'
import { useRecordChanged } from './useNotes'

/** JudgeForm is what one taster says of jars that bear letters only. */
export function JudgeForm({ t }: { t: Trial }) {
  const [who, setWho] = useState('')
  const [stars, setStars] = useState<Record<string, number>>({})
  const [odd, setOdd] = useState('')
  const changed = useRecordChanged()
  const judge = query.useMutation('post', '/api/trials/{id}/verdicts', { onSuccess: changed })
  const body = { who, stars, odd: odd as TrialVerdict['odd'] }
  return (
    <div className="grid gap-2">
      {t.letters.map((letter) => (
        <div key={letter}>
          <p aria-hidden className="flex justify-between text-note">
            <b>{copy.notes.jar(letter)}</b>
            <span>{stars[letter] ? toStars(stars[letter]) : copy.notes.notRated}</span>
          </p>
          <Slide
            label={copy.notes.jar(letter)}
            value={stars[letter] ?? 0}
            least={0}
            most={5}
            step={0.5}
            words={stars[letter] ? copy.notes.starsOfFive(toTenth(stars[letter])) : copy.notes.notRated}
            pigment="var(--color-turmeric)"
            onChange={(v) => setStars({ ...stars, [letter]: v })}
          />
        </div>
      ))}
      {t.letters.length === 3 && (
        <div>
          <p className="text-note font-bold">{copy.notes.oddJar}</p>
          <ToggleGroup
            label={copy.notes.oddJar}
            choices={t.letters.map((letter) => ({ value: letter, label: letter }))}
            chosen={odd}
            wide
            onToggle={setOdd}
          />
        </div>
      )}
      <Field label={copy.notes.whoTasted} value={who} maxLength={60} onChange={(e) => setWho(e.target.value)} />
      <ErrorText id={`judge-${t.id}`}>{judge.error?.detail}</ErrorText>
      <Button
        className="justify-self-start"
        disabled={judge.isPending}
        onClick={() => judge.mutate({ params: { path: { id: t.id } }, body })}
      >
        {copy.notes.record}
      </Button>
    </div>
  )
}
