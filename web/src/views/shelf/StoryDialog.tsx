import { useStory } from '../../api/hooks'
import { Dialog } from '../../ui/Dialog'
import { toDayAndClock, toDayAndMonth } from '../../ui/format'
import { Notice } from '../../ui/Notice'

/** StoryDialog is all that happened to a bottle, from when it was filled. */
export function StoryDialog({ id, onClose }: { id: number; onClose: () => void }) {
  const story = useStory(id)
  const b = story.data?.bottle
  return (
    <Dialog onClose={onClose} title="Its story" intro={b && `${b.drinkName}, bottle ${b.id}`}>
      {story.error && <Notice urgent>{story.error.message}</Notice>}
      <ol>
        {story.data?.events.map((e) => (
          <li key={e.at + e.what} className="flex justify-between gap-3 border-t border-line py-1.5">
            <span>
              {e.what}
              {e.cost && <b className="block text-hibiscus-deep">{e.cost} of its life</b>}
            </span>
            <span className="whitespace-nowrap text-mute">{toDayAndClock(e.at)}</span>
          </li>
        ))}
      </ol>
      {b && (
        <p>
          <b>{b.out ? `Out: ${b.out}.` : `Good till ${toDayAndMonth(b.useBy)}.`}</b> {b.reasons.join('; ')}.
        </p>
      )}
    </Dialog>
  )
}
