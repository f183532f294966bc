import { answer, api } from '../../api/client'
import { PackEnd as endLimits, PackUse as limits } from '../../api/limits'
import type { PackEnd as End, PackFigure } from '../../api/schema'
import { useShelfChange } from '../../api/shelf'
import { copy } from '../../copy/more'
import { Button } from '../../ui/Button'
import { ErrorText, Field } from '../../ui/Field'
import { useFields } from '../../ui/form'
import { numberOf } from '../../ui/limit'

/** PackEnd takes some of an open pack, or says what became of the rest. */
export function PackEnd({ p }: { p: PackFigure }) {
  const params = { path: { id: p.id } }
  const taking = useFields(limits, { massG: '' })
  const throwing = useFields(endLimits, { why: '' })
  const use = useShelfChange((massG: number) => answer(api.POST('/api/packs/{id}/use', { params, body: { massG } })))
  const end = useShelfChange((body: End) => answer(api.POST('/api/packs/{id}/end', { params, body })))
  const take = taking.submit(({ massG }) => use.mutateAsync(numberOf(massG, 'g') ?? 0).then(taking.reset))
  const thrown = throwing.submit(({ why }) => end.mutateAsync({ thrown: true, why }))
  return (
    <details>
      <summary className="min-h-8 cursor-pointer font-bold text-rim">{copy.shelf.takeSomeOrThrowIt}</summary>
      <form onSubmit={take} className="flex flex-wrap items-end gap-2 py-1">
        <Field className="w-36" label={copy.shelf.amountTaken} {...taking.field('massG', { unit: 'g' })} />
        <Button type="submit" aria-label={copy.shelf.packAct(copy.shelf.take, p.name)}>
          {copy.shelf.take}
        </Button>
        <Button
          aria-label={copy.shelf.packAct(copy.shelf.usedUp, p.name)}
          onClick={() => end.mutate({ thrown: false, why: '' })}
        >
          {copy.shelf.usedUp}
        </Button>
      </form>
      <form onSubmit={thrown} className="flex flex-wrap items-end gap-2 py-1">
        <Field className="grow" label={copy.shelf.reasonToThrowAway(p.name)} {...throwing.field('why')} />
        <Button type="submit" aria-label={copy.shelf.packAct(copy.shelf.throwAway, p.name)}>
          {copy.shelf.throwAway}
        </Button>
      </form>
      <ErrorText id={`pack-${p.id}-error`}>{taking.refusal ?? throwing.refusal ?? end.error?.message}</ErrorText>
    </details>
  )
}
