import { useState } from 'react'
import { answer, api } from '../../api/client'
import { usePantryChange } from '../../api/hooks'
import { copy } from '../../copy'
import { Choice } from '../../ui/Choices'

export type Lesson = { name: string; ingredient: string }

/** Teach offers to read what the cook calls a thing this way from now on. */
export function Teach({ name, ingredient }: Lesson) {
  const [taught, setTaught] = useState(false)
  const teach = usePantryChange((body: Lesson) => answer(api.POST('/api/pantry/names', { body })))
  if (taught)
    return (
      <p role="status" className="text-fine text-mute">
        {copy.bench.savedFromNowOnMeans(name, ingredient)}
      </p>
    )
  return (
    <Choice onPick={() => teach.mutate({ name, ingredient }, { onSuccess: () => setTaught(true) })}>
      {copy.bench.alwaysReadAs(name, ingredient)}
    </Choice>
  )
}
