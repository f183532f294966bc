import { Link } from 'wouter'
import type { BatchLine as Line, Notes } from '../../api/schema'
import { copy } from '../../copy/more'
import { Field } from '../../ui/Field'
import { toDayAndMonth, toTenth } from '../../ui/format'
import { Tray } from '../../ui/Tray'
import { tasteWords, toStars, yieldWords } from './figures'

type Props = { notes: Notes; find: string; onFind: (words: string) => void }

/** BatchList are the batches, the newest first, narrowed by words. */
export function BatchList({ notes, find, onFind }: Props) {
  return (
    <Tray label={copy.notes.batches}>
      <div className="flex flex-wrap items-end justify-between gap-3">
        <h2 className="text-xl">{copy.notes.batches}</h2>
        <Field
          label={copy.notes.findABatch}
          placeholder={copy.notes.findHint}
          className="w-72 max-w-full"
          value={find}
          onChange={(e) => onFind(e.target.value)}
        />
      </div>
      <p role="status" className="text-note text-mute">
        {notes.found === 0 ? copy.notes.noneFound : copy.notes.found(notes.found, notes.batches)}
      </p>
      <ul>
        {notes.lines.map((b) => (
          <Row key={b.id} b={b} />
        ))}
      </ul>
    </Tray>
  )
}

function Row({ b }: { b: Line }) {
  const words = tasteWords(b)
  return (
    <li className="grid grid-cols-[minmax(0,1fr)_auto] items-baseline gap-x-4 border-line border-t py-2 sm:grid-cols-[minmax(0,1fr)_10rem_6rem]">
      <Link href={`/notes/batch/${b.id}`} className="min-w-0 text-rim underline decoration-dotted underline-offset-4">
        <b>{b.drinkName}</b>{' '}
        <span className="whitespace-nowrap">
          {copy.notes.version(b.version)} · {toDayAndMonth(b.madeOn)}
        </span>
      </Link>
      <span className="text-right text-note max-sm:col-start-1 max-sm:text-left">{yieldWords(b)}</span>
      <span className="text-right text-note whitespace-nowrap">
        {b.stars > 0 ? (
          <>
            <span aria-hidden>{toStars(b.stars)}</span>
            <span className="sr-only">{copy.notes.starsOfFive(toTenth(b.stars))}</span>
          </>
        ) : (
          <span className="text-mute">{copy.notes.noStars}</span>
        )}
      </span>
      {words && <span className="col-span-full text-note text-mute">{words}</span>}
    </li>
  )
}
