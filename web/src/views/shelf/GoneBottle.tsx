import { useState } from 'react'
import { Refused } from '../../api/client'
import { useStory } from '../../api/hooks'
import { Button } from '../../ui/Button'
import { toDayAndMonth } from '../../ui/format'
import { Tray } from '../../ui/Tray'
import { StoryDialog } from './StoryDialog'

/** GoneBottle is what a label leads to whose bottle is no longer on the shelf, or never was. */
export function GoneBottle({ id }: { id: number }) {
  const story = useStory(id)
  const [open, setOpen] = useState(false)
  if (story.error) {
    const unknown = story.error instanceof Refused && story.error.status === 404
    return (
      <Tray label="Bottle" className="grid gap-2">
        <h2 className="text-heading leading-tight">There is no bottle {id}</h2>
        <p>
          {unknown ? 'Look at the number on the label again, or find the bottle by its drink.' : story.error.message}
        </p>
      </Tray>
    )
  }
  if (!story.data) return null
  const b = story.data.bottle
  return (
    <Tray label="Bottle" className="grid gap-2">
      <div className="flex items-start justify-between gap-3">
        <h2 className="text-heading leading-tight">{b.drinkName}</h2>
        <span className="pt-1 whitespace-nowrap text-mute">bottle {b.id}</span>
      </div>
      <p>
        <b>This bottle is no longer on the shelf.</b> It was made {toDayAndMonth(b.madeOn)} and is {b.state}
        {b.endedWhy && `: ${b.endedWhy}`}. Do not drink from it if it still stands somewhere.
      </p>
      <div>
        <Button onClick={() => setOpen(true)}>Its history</Button>
      </div>
      {open && <StoryDialog id={id} onClose={() => setOpen(false)} />}
    </Tray>
  )
}
