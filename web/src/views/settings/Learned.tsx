import { useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { query } from '../../api/client'
import { keyOf } from '../../api/keys'
import type { LearnedFigure } from '../../api/schema'
import { copy } from '../../copy/more'
import { Button } from '../../ui/Button'
import { Confirm } from '../../ui/Confirm'
import { ErrorText } from '../../ui/Field'
import { Tray } from '../../ui/Tray'

/** Learned is what batches taught, each beside its default, and the way back to the usual. */
export function Learned() {
  const client = useQueryClient()
  const learned = query.useQuery('get', '/api/learned').data ?? []
  const [asked, ask] = useState<LearnedFigure>()
  const forget = query.useMutation('post', '/api/learned/forget', {
    onSuccess: (now) => client.setQueryData(keyOf('/api/learned'), now),
  })
  return (
    <Tray label={copy.settings.learned} className="grid content-start gap-2">
      <h2 className="text-xl">{copy.settings.learned}</h2>
      <p className="text-note text-mute">
        {learned.length > 0 ? copy.settings.howLearned : copy.settings.nothingLearned}
      </p>
      <ul className="grid gap-2">
        {learned.map((l) => (
          <li key={`${l.what} ${l.key}`} className="flex items-center gap-3 text-note">
            <span className="grow">
              <b>{l.name}</b>: {l.text}{' '}
              <span className="text-mute">{l.batches > 0 && copy.settings.fromBatches(l.batches)}</span>
            </span>
            {l.what !== 'drinking' && (
              <Button onClick={() => ask(l)} disabled={forget.isPending}>
                {copy.settings.forget}
                <span className="sr-only"> {l.name}</span>
              </Button>
            )}
          </li>
        ))}
      </ul>
      <ErrorText id="learned-error">{forget.error?.detail}</ErrorText>
      {asked && (
        <Confirm
          title={copy.settings.forgetTitle(asked.name)}
          text={copy.settings.forgetText}
          confirm={copy.settings.forget}
          onConfirm={() => asked.what !== 'drinking' && forget.mutate({ body: { what: asked.what, key: asked.key } })}
          onClose={() => ask(undefined)}
        />
      )}
    </Tray>
  )
}
