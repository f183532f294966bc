import { useKitchen } from '../../api/hooks'
import type { Designed } from '../../api/schema'
import { copy } from '../../copy/more'
import { toMillilitres, toMoney, toTenth, toWhole } from '../../ui/format'
import { Notice } from '../../ui/Notice'
import { Tray } from '../../ui/Tray'
import { ActButton } from '../../ui/Typing'
import { useBegin } from './useWish'

type Props = { d?: Designed; problem?: string; onNext: () => void }

/** Proposal is the drink for a wish, with why, and the way onto the Bench. */
export function Proposal({ d, problem, onNext }: Props) {
  const begin = useBegin()
  const currency = useKitchen().data?.currency ?? ''
  if (!d) return <Tray label={copy.start.idea}>{problem && <Notice urgent>{problem}</Notice>}</Tray>
  const cost = d.cost.known ? ` · ${toMoney(d.cost.batch, currency)}` : ''
  return (
    <Tray label={copy.start.idea} className="grid gap-3 lg:sticky lg:top-3">
      <div>
        <h2 className="text-2xl leading-tight">{d.name}</h2>
        <p className="text-mute">
          {copy.start.makes(toMillilitres(d.volumeML), d.servings, toWhole(d.servingML))}
          {cost}
        </p>
      </div>
      <ul aria-label={copy.start.ingredients} className="grid gap-0.5 border-y border-line py-2">
        {d.lines.map((line) => (
          <li key={line}>{line}</li>
        ))}
      </ul>
      <p className="text-note text-mute">{d.method.join(' · ')}</p>
      <dl className="flex flex-wrap gap-x-6 gap-y-1 border-t border-line pt-2">
        <Figure value={`${toTenth(d.fatPct)} %`} words={copy.start.fat} />
        <Figure value={`${toTenth(d.sweetG)} g`} words={copy.start.sweetIn100} />
        <Figure value={copy.start.keepsDays(d.keepsDays)} words={copy.start.inTheFridge} />
      </dl>
      {d.lasting.length > 0 && <Notice>{d.lasting.join(' ')}</Notice>}
      {d.notFor.length > 0 && <Notice urgent>{copy.start.notFor(d.notFor.join(', '))}</Notice>}
      <p className="text-note">{d.why.join(' ')}</p>
      {d.buy.length > 0 && <p className="text-note text-mute">{copy.start.toBuy(d.buy.join(', '))}</p>}
      <div className="flex flex-wrap gap-2">
        <ActButton primary onClick={() => begin(d.name, d.recipe)}>
          {copy.start.openOnTheBench}
        </ActButton>
        {d.ideas > 1 && <ActButton onClick={onNext}>{copy.start.anotherIdea}</ActButton>}
      </div>
    </Tray>
  )
}

function Figure({ value, words }: { value: string; words: string }) {
  return (
    <div className="flex items-baseline gap-1.5">
      <dd className="font-head text-xl font-bold">{value}</dd>
      <dt className="text-fine text-mute">{words}</dt>
    </div>
  )
}
