import { useStory } from '../../api/shelf'
import { copy } from '../../copy/more'
import { Dialog } from '../../ui/Dialog'
import { toDayAndClock, toDayAndMonth } from '../../ui/format'
import { Notice } from '../../ui/Notice'

/** StoryDialog is all that happened to a bottle, from when it was filled. */
export function StoryDialog({ id, onClose }: { id: number; onClose: () => void }) {
  const story = useStory(id)
  const b = story.data?.bottle
  return (
    <Dialog
      onClose={onClose}
      title={copy.shelf.bottleHistory}
      intro={b && copy.shelf.drinkAndBottle(b.drinkName, b.id)}
    >
      {story.error && <Notice urgent>{story.error.detail}</Notice>}
      <ol>
        {story.data?.events.map((e) => (
          <li key={e.at + e.what} className="flex justify-between gap-3 border-t border-line py-1.5">
            <span>
              {e.what}
              {e.cost && <b className="block text-hibiscus-deep">{copy.shelf.ofItsShelfLife(e.cost)}</b>}
            </span>
            <span className="whitespace-nowrap text-mute">{toDayAndClock(e.at)}</span>
          </li>
        ))}
      </ol>
      {b && (
        <p>
          <b>{b.out ? copy.shelf.throwAwayWhy(b.out) : copy.shelf.dateByEnd(toDayAndMonth(b.useBy))}</b>{' '}
          {b.reasons.join('; ')}.
        </p>
      )}
    </Dialog>
  )
}
