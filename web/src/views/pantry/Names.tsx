import { Trash2 } from 'lucide-react'
import { answer, api } from '../../api/client'
import { usePantryChange } from '../../api/hooks'
import type { TaughtName } from '../../api/schema'
import { copy } from '../../copy/more'
import { IconButton } from '../../ui/Button'
import { Tray } from '../../ui/Tray'

/** Names are what the cook calls things, taught by settling lines. */
export function Names({ names }: { names: TaughtName[] }) {
  const forget = usePantryChange((name: string) =>
    answer(api.DELETE('/api/pantry/names/{name}', { params: { path: { name } } })),
  )
  if (names.length === 0) return null
  return (
    <Tray label={copy.pantry.yourOwnWords}>
      <h2 className="text-xl">{copy.pantry.yourOwnWords}</h2>
      <p className="pb-2 text-note text-mute">{copy.pantry.whatYouCallThingsRecipes}</p>
      <ul>
        {names.map((n) => (
          <li key={n.name} className="flex items-center gap-2 border-t border-line">
            <span className="grow">
              <b>{n.name}</b>
              {copy.pantry.means(n.ingredient)}
            </span>
            <IconButton label={copy.pantry.deleteWord(n.name)} onClick={() => forget.mutate(n.name)}>
              <Trash2 size={18} aria-hidden />
            </IconButton>
          </li>
        ))}
      </ul>
    </Tray>
  )
}
