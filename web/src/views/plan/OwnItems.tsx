import { useMutation, useQueryClient } from '@tanstack/react-query'
import { X } from 'lucide-react'
import { answer, api, query } from '../../api/client'
import { keyOf } from '../../api/keys'
import { NewOwnItem as limits } from '../../api/limits'
import type { OwnItem } from '../../api/schema'
import { copy } from '../../copy/more'
import { Button, IconButton } from '../../ui/Button'
import { Check } from '../../ui/Check'
import { Field } from '../../ui/Field'
import { useFields } from '../../ui/form'

/** useOwnItems are what the cook wrote on the list. */
export const useOwnItems = () => query.useQuery('get', '/api/shopping')

function useOwnChange<In>(change: (input: In) => Promise<OwnItem[]>) {
  const client = useQueryClient()
  return useMutation({ mutationFn: change, onSuccess: (items) => client.setQueryData(keyOf('/api/shopping'), items) })
}

/** OwnItems are what the cook wrote on the list: to tick, to take off, and to add to. */
export function OwnItems() {
  const items = useOwnItems().data ?? []
  const tick = useOwnChange(({ id, done }: OwnItem) =>
    answer(api.PUT('/api/shopping/{id}', { params: { path: { id } }, body: { done } })),
  )
  const remove = useOwnChange((id: number) => answer(api.DELETE('/api/shopping/{id}', { params: { path: { id } } })))
  const add = useOwnChange((text: string) => answer(api.POST('/api/shopping', { body: { text } })))
  const form = useFields(limits, { text: '' })
  return (
    <section aria-label={copy.plan.alsoBuy} className="grid gap-1">
      <h2 className="text-xl">{copy.plan.alsoBuy}</h2>
      <ul>
        {items.map((i) => (
          <li key={i.id} className="flex items-center gap-2 border-b border-line">
            <div className={i.done ? 'grow text-mute line-through' : 'grow'}>
              <Check label={i.text} checked={i.done} onChange={(done) => tick.mutate({ ...i, done })} />
            </div>
            <IconButton label={copy.plan.takeOff(i.text)} onClick={() => remove.mutate(i.id)} className="print:hidden">
              <X size={18} aria-hidden />
            </IconButton>
          </li>
        ))}
      </ul>
      <form
        onSubmit={form.submit(({ text }) => add.mutateAsync(text).then(form.reset))}
        className="flex flex-wrap items-end gap-2 print:hidden"
      >
        <Field label={copy.plan.addToTheList} className="w-64" {...form.field('text')} />
        <Button type="submit">{copy.plan.add}</Button>
      </form>
    </section>
  )
}
