import { copy } from '../../copy/more'
import { Typing } from '../../ui/Typing'
import { Basics, OwnDrinks, Write } from './Others'
import { Proposal } from './Proposal'
import { useWish } from './useWish'
import { WishForm } from './WishForm'

/** Start is what a new drink begins with: a wish, a recipe that is there, a basic, or one of the kitchen's own. */
export function Start() {
  const { wish, change, choices, designed, error } = useWish()
  if (!choices) return null
  return (
    <main className="grid gap-4">
      <div>
        <h1 className="text-title leading-tight">{copy.start.whatToMake}</h1>
        <p className="text-note text-mute">{copy.start.chooseWhatYouKnow}</p>
      </div>
      <div className="grid grid-cols-[minmax(0,1fr)] items-start gap-4 lg:grid-cols-[3fr_2fr]">
        <Typing sheet="start">
          <WishForm wish={wish} choices={choices} onChange={change} />
          <Proposal d={designed} problem={error?.detail} onNext={() => change({ idea: wish.idea + 1 })} />
        </Typing>
      </div>
      <div className="grid grid-cols-[minmax(0,1fr)] items-start gap-4 lg:grid-cols-3">
        <Write />
        <Basics basics={choices.basics} />
        <OwnDrinks />
      </div>
    </main>
  )
}
