import type { Bottle } from '../../api/schema'
import { classes } from '../../ui/classes'
import { toMillilitres } from '../../ui/format'
import { BottleDrawing } from './BottleDrawing'

type Props = { name: string; bottles: Bottle[]; chosen?: number; onChoose: (id: number) => void; empty: string }

/** Place is a shelf of bottles: fridge or freezer. */
export function Place({ name, bottles, chosen, onChoose, empty }: Props) {
  return (
    <section aria-label={name} className="min-w-0 px-4 pt-3 pb-4">
      <h2 className="!font-text text-[15px] text-rim">{name}</h2>
      {bottles.length === 0 && <p className="py-6 text-mute">{empty}</p>}
      <ul className="flex flex-wrap gap-y-3">
        {bottles.map((b) => (
          <li key={b.id} className="flex">
            <button
              type="button"
              aria-pressed={b.id === chosen}
              onClick={() => onChoose(b.id)}
              className={classes(
                'eased flex w-[7.4rem] max-sm:w-[6.2rem] flex-col items-center justify-end rounded-2xl pt-2',
                b.id === chosen ? 'bg-linen' : 'hover:bg-linen',
              )}
            >
              <BottleDrawing b={b} />
              <span className="h-[4.1rem] w-full border-t-4 border-rim px-1 pt-1.5 text-[13px] leading-tight font-bold">
                <span className="line-clamp-2">{b.drinkName}</span>
                <span className="sr-only">
                  , {toMillilitres(b.leftML)} of {toMillilitres(b.volumeML)}, {b.timeLeft}
                </span>
                {b.standing === 'past' && <span className="block text-hibiscus-deep">past its date</span>}
              </span>
            </button>
          </li>
        ))}
      </ul>
    </section>
  )
}
