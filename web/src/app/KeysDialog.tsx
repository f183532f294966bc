import { copy } from '../copy/more'
import { Dialog } from '../ui/Dialog'

const help = [
  [copy.app.alt1234, copy.app.goToBenchPlanCook],
  [copy.app.andOnADial, copy.app.changeItPageUpAnd],
  ['/', copy.app.addAnIngredientOnThe],
  [copy.app.and, copy.app.makeMoreOrLess],
  ['L', copy.app.lockOrUnlockTheCurrent],
  [copy.app.altAlt, copy.app.moveTheCurrentLineOr],
  [copy.app.ctrlZCtrlY, copy.app.undoRedo],
  [copy.app.spaceInCook, copy.app.markTheStepDone],
  [copy.app.tInCook, copy.app.tareTheScale],
  [copy.app.pAnd1To9, copy.app.pauseTheLastTimerPause],
  ['F1', copy.app.showTheseShortcuts],
]

/** KeysDialog lists the keys that do something. */
export function KeysDialog({ onClose }: { onClose: () => void }) {
  return (
    <Dialog onClose={onClose} title={copy.app.keyboardShortcuts}>
      <dl className="grid grid-cols-[auto_1fr] gap-x-5 gap-y-2">
        {help.map(([keys, does]) => (
          <div key={keys} className="contents">
            <dt className="font-bold">{keys}</dt>
            <dd>{does}</dd>
          </div>
        ))}
      </dl>
    </Dialog>
  )
}
