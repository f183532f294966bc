import { answer, api } from '../../../api/client'
import type { Import } from '../../../api/schema'
import { useShelfChange } from '../../../api/shelf'
import { copy } from '../../../copy/more'
import { Button } from '../../../ui/Button'

/** Imports are the files of readings that were imported last; each can be taken back whole. */
export function Imports({ imports }: { imports: Import[] }) {
  const takeBack = useShelfChange((id: number) =>
    answer(api.DELETE('/api/thermometer/imports/{id}', { params: { path: { id } } })),
  )
  if (imports.length === 0) return null
  return (
    <details className="text-note">
      <summary className="min-h-8 cursor-pointer font-bold">{copy.shelf.importedFiles}</summary>
      <ul className="grid gap-1 py-1">
        {imports.map((i) => (
          <li key={i.id} className="flex flex-wrap items-center justify-between gap-x-3">
            <span>
              <b>{i.name}</b>: {i.words}
            </span>
            <Button
              aria-label={copy.shelf.takeBackOf(i.name)}
              disabled={takeBack.isPending}
              onClick={() => takeBack.mutate(i.id)}
            >
              {copy.shelf.takeBack}
            </Button>
          </li>
        ))}
      </ul>
    </details>
  )
}
