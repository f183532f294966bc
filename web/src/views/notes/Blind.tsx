import { X } from 'lucide-react'
import { useState } from 'react'
import { query } from '../../api/client'
import type { BatchPage, JarsToFill, BlindTrial as Trial } from '../../api/schema'
import { copy } from '../../copy/more'
import { Button, IconButton } from '../../ui/Button'
import { ErrorText, Field } from '../../ui/Field'
import { inWords } from '../../ui/format'
import { Select } from '../../ui/Select'
import { ToggleGroup } from '../../ui/ToggleGroup'
import { Tray } from '../../ui/Tray'
import { JudgeForm } from './JudgeForm'
import { useRecordChanged } from './useNotes'

/** Blind are the blind tastings of a batch: one change, in jars that bear letters only. */
export function Blind({ b }: { b: BatchPage }) {
  const [filling, fill] = useState<JarsToFill>()
  return (
    <Tray label={copy.notes.blind} className="grid gap-3 print:hidden">
      <div>
        <h2 className="text-xl">{copy.notes.blind}</h2>
        <p className="text-note text-mute">{copy.notes.blindIntro}</p>
      </div>
      {filling ? <FillJars jars={filling} onDone={() => fill(undefined)} /> : <Begin b={b} onBegun={fill} />}
      <ul className="grid gap-2">
        {b.trials
          .filter((t) => t.id !== filling?.trial.id)
          .map((t) => (
            <TrialRow key={t.id} t={t} />
          ))}
      </ul>
    </Tray>
  )
}

function Begin({ b, onBegun }: { b: BatchPage; onBegun: (jars: JarsToFill) => void }) {
  const [changed, setChanged] = useState('')
  const [jars, setJars] = useState('2')
  const [other, setOther] = useState('0')
  const recordChanged = useRecordChanged()
  const start = query.useMutation('post', '/api/batches/{id}/trials', { onSuccess: recordChanged })
  return (
    <form
      className="grid gap-2"
      onSubmit={(e) => {
        e.preventDefault()
        const body = { changed, jars: Number(jars) as 2 | 3, other: Number(other) }
        start.mutate({ params: { path: { id: b.id } }, body }, { onSuccess: onBegun })
      }}
    >
      <Field
        label={copy.notes.whatDiffers}
        placeholder={copy.notes.whatDiffersHint}
        value={changed}
        maxLength={200}
        error={start.error?.detail}
        onChange={(e) => setChanged(e.target.value)}
      />
      <div className="flex flex-wrap items-center gap-2">
        <ToggleGroup
          label={copy.notes.howManyJars}
          choices={[
            { value: '2', label: copy.notes.twoJars },
            { value: '3', label: copy.notes.threeJars },
          ]}
          chosen={jars}
          onToggle={setJars}
        />
        {b.others.length > 0 && (
          <Select
            label={copy.notes.itIs}
            value={other}
            choices={[
              { value: '0', label: copy.notes.noVersionYet },
              ...b.others.map((n) => ({ value: String(n), label: copy.notes.versionNumber(n) })),
            ]}
            onChange={setOther}
          />
        )}
        <Button type="submit" disabled={start.isPending}>
          {copy.notes.startBlind}
        </Button>
      </div>
    </form>
  )
}

/** FillJars says what goes into which jar: to whoever fills them, before anybody tastes. */
function FillJars({ jars, onDone }: { jars: JarsToFill; onDone: () => void }) {
  return (
    <section aria-label={copy.notes.fillTheJars} className="grid justify-items-start gap-2">
      <h3 className="text-lg">{copy.notes.fillTheJars}</h3>
      <ul>
        {jars.fill.map((j) => (
          <li key={j.letter}>{copy.notes.fillWith(j.letter, j.changed ? jars.trial.changed : copy.notes.asMade)}</li>
        ))}
      </ul>
      <Button primary onClick={onDone}>
        {copy.notes.filled}
      </Button>
    </section>
  )
}

function TrialRow({ t }: { t: Trial }) {
  const changed = useRecordChanged()
  const open = query.useMutation('post', '/api/trials/{id}/open', { onSuccess: changed })
  const remove = query.useMutation('delete', '/api/trials/{id}', { onSettled: changed })
  const path = { params: { path: { id: t.id } } }
  return (
    <li className="grid gap-2 border-line border-t pt-2">
      <div className="flex items-start justify-between gap-2">
        <p>
          <b>{t.changed}</b> <span className="text-note text-mute">{copy.notes.tasted(t.verdicts.length)}</span>
        </p>
        <IconButton label={copy.notes.deleteBlind} disabled={remove.isPending} onClick={() => remove.mutate(path)}>
          <X size={18} aria-hidden />
        </IconButton>
      </div>
      {t.answer ? (
        <p role="status">
          <b>{copy.notes.holdsTheChange(inWords(t.answer.withChange.map(copy.notes.jar)), t.changed)}</b>{' '}
          {t.answer.text}
        </p>
      ) : (
        <>
          <JudgeForm key={t.verdicts.length} t={t} />
          {t.verdicts.length > 0 && (
            <Button className="justify-self-start" disabled={open.isPending} onClick={() => open.mutate(path)}>
              {copy.notes.showTheAnswer}
            </Button>
          )}
        </>
      )}
      <ErrorText id={`trial-${t.id}`}>{(open.error ?? remove.error)?.detail}</ErrorText>
    </li>
  )
}
