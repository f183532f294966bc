import { useState } from 'react'
import { Link } from 'wouter'
import type { BatchPage } from '../../api/schema'
import { copy } from '../../copy/more'
import { Button } from '../../ui/Button'
import { toDayAndMonth } from '../../ui/format'
import { Tray } from '../../ui/Tray'
import { TastingForm } from './TastingForm'

/** Said is what came of a tasting: kept, or kept with a version of the drink. */
export type Said = { version?: number }

/** TastingTray asks how a batch was, and says what came of the answer. */
export function TastingTray({ batch, bottleID }: { batch: BatchPage; bottleID?: number }) {
  const [said, say] = useState<Said>()
  return (
    <Tray label={copy.notes.howWasIt} className="grid gap-3 print:hidden">
      <div>
        <h2 className="text-xl">{copy.notes.howWasIt}</h2>
        <p className="text-note text-mute">
          {copy.notes.tastingOf(batch.drinkName, toDayAndMonth(batch.madeOn))}
          {bottleID ? ` · ${copy.notes.bottleNumber(bottleID)}` : ''}
        </p>
      </div>
      {said ? (
        <div className="grid justify-items-start gap-3">
          <p role="status" className="font-bold">
            {said.version ? copy.notes.savedAsVersion(said.version) : copy.notes.saved}
          </p>
          {said.version && (
            <Link
              href={`/bench/${batch.drinkID}`}
              className="inline-flex min-h-11 items-center rounded-full bg-rim px-4 font-bold text-on-rim"
            >
              {copy.notes.openOnTheBench}
            </Link>
          )}
          <Button onClick={() => say(undefined)}>{copy.notes.tasteAgain}</Button>
        </div>
      ) : (
        <TastingForm batch={batch} bottleID={bottleID} onSaid={say} />
      )}
    </Tray>
  )
}
