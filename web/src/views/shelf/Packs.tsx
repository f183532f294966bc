import { Link } from 'wouter'
import type { PackFigure } from '../../api/schema'
import { copy } from '../../copy/more'
import { classes } from '../../ui/classes'
import { toDayAndMonth, toGrams, toMillilitres } from '../../ui/format'
import { Tray } from '../../ui/Tray'
import { OpenPack } from './OpenPack'
import { PackEnd } from './PackEnd'

/** Packs are what is left in open packs, each with a life of its own. */
export function Packs({ packs }: { packs: PackFigure[] }) {
  return (
    <Tray label={copy.shelf.openPacks} className="grid gap-2">
      <h2 className="text-xl">{copy.shelf.openPacks}</h2>
      {packs.length === 0 && <p className="text-note text-mute">{copy.shelf.openedPacksWithSomethingLeft}</p>}
      <ul className="grid gap-3">
        {packs.map((p) => (
          <PackRow key={p.id} p={p} />
        ))}
      </ul>
      <OpenPack />
    </Tray>
  )
}

function PackRow({ p }: { p: PackFigure }) {
  return (
    <li className="grid gap-1 border-t border-line pt-2 text-note">
      <p>
        <b>{p.name}</b>
        {copy.shelf.packLeft(toGrams(p.leftG))}
        <b className={classes(p.past && 'text-hibiscus-deep')}>{copy.shelf.dateBy(toDayAndMonth(p.useBy))}</b>,{' '}
        {p.timeLeft}
        {p.past ? copy.shelf.andThrowAway : '.'}
      </p>
      <p className="text-mute">
        {copy.shelf.opened(toDayAndMonth(p.openedOn), p.why)}
        {p.where && copy.shelf.keepItInThe(p.where)}
      </p>
      {p.goesInto.length > 0 && (
        <p>
          {copy.shelf.useItUpIn}
          {p.goesInto.map((g, n) => (
            <span key={g.drinkID}>
              {n > 0 && ', '}
              <Link href={`/bench/${g.drinkID}?volume=${Math.round(g.drinkML)}`} className="underline">
                {copy.shelf.of(toMillilitres(g.drinkML), g.drinkName)}
              </Link>
            </span>
          ))}
          .
        </p>
      )}
      <PackEnd p={p} />
    </li>
  )
}
