import { X } from 'lucide-react'
import { query } from '../../api/client'
import type { BatchPage, Tasted } from '../../api/schema'
import { copy } from '../../copy/more'
import { IconButton } from '../../ui/Button'
import { toDayAndClock } from '../../ui/format'
import { Tray } from '../../ui/Tray'
import { toStars } from './figures'
import { useRecordChanged } from './useNotes'

/** Tastings are what tasters said of a batch. */
export function Tastings({ b }: { b: BatchPage }) {
  const changed = useRecordChanged()
  const remove = query.useMutation('delete', '/api/tastings/{id}', { onSettled: changed })
  return (
    <Tray label={copy.notes.tastings}>
      <h2 className="text-xl">{copy.notes.tastings}</h2>
      {b.tastings.length === 0 && <p className="text-note text-mute">{copy.notes.noTasting}</p>}
      <ul>
        {b.tastings.map((t) => (
          <li key={t.id} className="flex items-start gap-3 border-line border-t py-2 first:mt-2">
            <div className="grow text-note">
              <b>{copy.notes.tastedOn(t.who ?? '', toDayAndClock(t.at))}</b>{' '}
              <span aria-hidden>{toStars(t.stars ?? 0)}</span>
              <p>{found(t)}</p>
            </div>
            <IconButton
              label={copy.notes.deleteTasting}
              disabled={remove.isPending}
              onClick={() => remove.mutate({ params: { path: { id: t.id } } })}
            >
              <X size={18} aria-hidden />
            </IconButton>
          </li>
        ))}
      </ul>
    </Tray>
  )
}

/** found is what a taster said, in a line. */
function found(t: Tasted): string {
  const sliders = (['sweet', 'body', 'spice', 'salt'] as const).filter((s) => (t[s] ?? 0) !== 0)
  const said = sliders.map((s) => `${copy.notes.sliders[s]?.name}: ${copy.notes.notches[t[s] ?? 0]}`)
  return [...said, ...(t.flags ?? []).map((f) => copy.notes.flags[f] ?? f), t.words].filter(Boolean).join(', ')
}
