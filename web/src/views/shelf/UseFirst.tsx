import type { Bottle } from '../../api/schema'
import { copy } from '../../copy/more'
import { classes } from '../../ui/classes'
import { toMillilitres } from '../../ui/format'
import { Tray } from '../../ui/Tray'

type Props = { bottles: Bottle[]; chosen?: number; onChoose: (id: number) => void }

/** UseFirst is the bottles as a list on a phone, what is to be used today first: the kitchen sends them in that order. */
export function UseFirst({ bottles, chosen, onChoose }: Props) {
  return (
    <Tray label={copy.shelf.useFirst} className="sm:hidden">
      <h2 className="text-xl">{copy.shelf.useFirst}</h2>
      <ul>
        {bottles.map((b) => (
          <li key={b.id} className="border-t border-line first:border-t-0">
            <button
              type="button"
              aria-pressed={b.id === chosen}
              onClick={() => onChoose(b.id)}
              className={classes('flex w-full items-baseline gap-3 py-2 text-left', b.id === chosen && 'bg-linen')}
            >
              <span className="min-w-0 grow">
                <b className="block">{b.drinkName}</b>
                <span className="text-note text-mute">
                  {toMillilitres(b.leftML)} · {copy.shelf.places[b.place] ?? b.place}
                </span>
              </span>
              <span
                className={classes(
                  'max-w-[45%] text-right text-note font-bold',
                  b.standing !== 'fine' && 'text-hibiscus-deep',
                )}
              >
                {b.timeLeft}
              </span>
            </button>
          </li>
        ))}
      </ul>
    </Tray>
  )
}
