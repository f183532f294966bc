import { useState } from 'react'
import { Refused } from '../../api/client'
import { useStory } from '../../api/shelf'
import { copy } from '../../copy/more'
import { Button } from '../../ui/Button'
import { toDayAndMonth } from '../../ui/format'
import { LinkButton } from '../../ui/LinkButton'
import { Tray } from '../../ui/Tray'
import { StoryDialog } from './StoryDialog'

/** GoneBottle is what a label leads to whose bottle is no longer on the shelf, or never was. */
export function GoneBottle({ id }: { id: number }) {
  const story = useStory(id)
  const [open, setOpen] = useState(false)
  if (story.error) {
    const unknown = story.error instanceof Refused && story.error.status === 404
    return (
      <Tray label={copy.shelf.bottleOf} className="grid gap-2">
        <h2 className="text-heading leading-tight">{copy.shelf.noBottle(id)}</h2>
        <p>{unknown ? copy.shelf.checkTheNumberOnThe : story.error.detail}</p>
      </Tray>
    )
  }
  if (!story.data) return null
  const b = story.data.bottle
  return (
    <Tray label={copy.shelf.bottleOf} className="grid gap-2">
      <div className="flex items-start justify-between gap-3">
        <h2 className="text-heading leading-tight">{b.drinkName}</h2>
        <span className="pt-1 whitespace-nowrap text-mute">{copy.shelf.bottle(b.id)}</span>
      </div>
      <p>
        <b>{copy.shelf.thisBottleIsNoLonger}</b>
        {copy.shelf.itWasMadeAndIs(toDayAndMonth(b.madeOn), b.state)}
        {b.endedWhy && `: ${b.endedWhy}`}
        {copy.shelf.ifYouStillHaveIt}
      </p>
      <div>
        <Button onClick={() => setOpen(true)}>{copy.shelf.historyHeading}</Button>{' '}
        {b.tasted === 0 && b.state !== 'thrown out' && (
          <LinkButton href={`/notes/batch/${b.batchID}?bottle=${b.id}`}>{copy.notes.howWasIt}</LinkButton>
        )}
      </div>
      {open && <StoryDialog id={id} onClose={() => setOpen(false)} />}
    </Tray>
  )
}
