import { Link } from 'wouter'
import { useKitchen } from '../../api/hooks'
import type { LibraryDrink } from '../../api/schema'
import { copy } from '../../copy/more'
import { Button } from '../../ui/Button'
import { inWords, toDayAndMonth, toMoney } from '../../ui/format'
import { useDuplicate } from '../start/useWish'
import { ArchiveButton } from './ArchiveButton'

/** DrinkRow is a drink with what one chooses it by. */
export function DrinkRow({ d }: { d: LibraryDrink }) {
  const duplicate = useDuplicate()
  const currency = useKitchen().data?.currency ?? ''
  const not = d.forWhom.filter((w) => w.not).map((w) => w.name)
  const words = [
    d.kindName,
    d.bases.length > 0 && inWords(d.bases),
    d.lastMade ? copy.start.lastMade(toDayAndMonth(d.lastMade)) : copy.drinks.neverMade,
    d.cost.known && copy.drinks.aLitre(toMoney(d.cost.perLitre, currency)),
    d.keepsDays > 0 && copy.start.keepsDays(d.keepsDays),
  ].filter(Boolean)
  return (
    <li className="flex flex-wrap items-center gap-x-3 gap-y-1 border-t border-line py-2 first:border-t-0">
      <div className="min-w-0 grow basis-64">
        <Link href={`/bench/${d.id}`} className="font-bold underline-offset-4 hover:underline">
          {d.name}
        </Link>
        <p className="text-note text-mute">{words.join(' · ')}</p>
        {not.length > 0 && (
          <p className="text-note font-bold text-hibiscus-deep">{copy.start.notFor(not.join(', '))}</p>
        )}
      </div>
      <Button size="small" aria-label={copy.start.duplicateOf(d.name)} onClick={() => duplicate(d.id)}>
        {copy.start.duplicate}
      </Button>
      <ArchiveButton d={d} />
    </li>
  )
}
