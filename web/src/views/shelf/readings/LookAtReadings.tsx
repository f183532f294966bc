import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { answer, api, query } from '../../../api/client'
import type { FoundReadings, ReadAs } from '../../../api/schema'
import { useShelfChange } from '../../../api/shelf'
import { copy } from '../../../copy/more'
import { Busy } from '../../../ui/Busy'
import { Button } from '../../../ui/Button'
import { ErrorText } from '../../../ui/Field'
import { Notice } from '../../../ui/Notice'
import { Costs, LeftOut } from './Found'
import { HowItIsRead } from './HowItIsRead'

type Props = { id: number; onAnother: () => void; onDone: () => void }

const askedEveryMS = 500

/** LookAtReadings shows what is in a file as it is read, to put right and then to import. */
export function LookAtReadings({ id, onAnother, onDone }: Props) {
  const [as, setAs] = useState<ReadAs>({})
  const params = { path: { id } }
  const look = useQuery({
    queryKey: ['readings', id, as],
    queryFn: () => answer(api.POST('/api/thermometer/files/{id}/look', { params, body: as })),
    placeholderData: (before) => before,
    retry: false,
    staleTime: Number.POSITIVE_INFINITY,
  })
  const found = look.data
  const take = useShelfChange((body: ReadAs) =>
    answer(api.POST('/api/thermometer/files/{id}/import', { params, body })),
  )
  const busy = look.isFetching || take.isPending
  const share = useShare(id, busy)
  return (
    <>
      {found && !look.error && <Found found={found} onAs={(part) => setAs({ ...asFound(found), ...part })} />}
      <Busy on={busy} words={take.isPending ? copy.shelf.importing : copy.shelf.goingThroughIt} share={share} />
      <ErrorText id="readings-look-error">{(look.error ?? take.error)?.message}</ErrorText>
      <div className="flex flex-wrap justify-end gap-2">
        <Button onClick={onAnother}>{copy.shelf.anotherFile}</Button>
        <Button
          primary
          disabled={busy || !found || !!look.error || found.problem !== ''}
          onClick={() => found && take.mutate(asFound(found), { onSuccess: onDone })}
        >
          {copy.shelf.import}
        </Button>
      </div>
    </>
  )
}

/** asFound is what is shown, to be taken in just so. */
const asFound = (f: FoundReadings): ReadAs => ({ order: f.order, scale: f.scale, column: f.column })

/** useShare is how far the kitchen has come with a file while it is at it. */
function useShare(id: number, busy: boolean) {
  const far = query.useQuery(
    'get',
    '/api/thermometer/files/{id}',
    { params: { path: { id } } },
    { enabled: busy, refetchInterval: askedEveryMS, retry: false, gcTime: 0 },
  )
  return far.data?.share
}

function Found({ found, onAs }: { found: FoundReadings; onAs: (as: ReadAs) => void }) {
  return (
    <div className="grid gap-3">
      <h3 className="text-lg">{found.name}</h3>
      <HowItIsRead found={found} onAs={onAs} />
      {found.summary.length > 0 && (
        <div>
          {found.summary.map((words) => (
            <p key={words}>{words}</p>
          ))}
        </div>
      )}
      {found.problem ? <Notice urgent>{found.problem}</Notice> : <Costs found={found} />}
      <LeftOut found={found} />
    </div>
  )
}
