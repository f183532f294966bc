import { useState } from 'react'
import { Link } from 'wouter'
import { query } from '../../api/client'
import type { Recipe } from '../../api/schema'
import { copy } from '../../copy/more'
import { Button } from '../../ui/Button'
import { Notice } from '../../ui/Notice'
import { Select } from '../../ui/Select'
import { marginMM, useFit } from '../../ui/useFit'

type Paper = 'A5' | 'A4' | 'Letter'

/** Papers in mm, and what stays free around the card. */
const papers: Record<Paper, { wide: number; high: number }> = {
  A5: { wide: 148, high: 210 },
  A4: { wide: 210, high: 297 },
  Letter: { wide: 215.9, high: 279.4 },
}
const sizes = Object.keys(papers).map((value) => ({ value, label: value }))

/** Card is the drink on one page, to print. */
export function Card({ id }: { id: number }) {
  const [size, setSize] = useState<Paper>('A5')
  const drink = query.useQuery('get', '/api/drinks/{id}', { params: { path: { id } } }, { staleTime: 0 })
  const body = { name: drink.data?.name ?? '', recipe: drink.data?.draft as Recipe }
  const card = query.useQuery('post', '/api/exports', { body }, { enabled: drink.isFetchedAfterMount, staleTime: 0 })
  const error = drink.error ?? card.error
  const fitted = useFit<HTMLElement>(papers[size].high)
  if (error) return <Notice urgent>{error.detail}</Notice>
  if (!card.data) return null
  const { name, yield: makes, ingredients, grams, steps, notes } = card.data
  return (
    <main className="grid justify-items-center gap-4 print:block">
      <style>{`@page { size: ${size}; margin: ${marginMM}mm }`}</style>
      <div className="flex flex-wrap items-center gap-2 print:hidden">
        <Link href={`/bench/${id}`} className="min-h-11 px-2 py-2 font-bold text-rim underline">
          {copy.bench.backToTheBench}
        </Link>
        <Select label={copy.bench.paperSize} value={size} choices={sizes} onChange={(v) => setSize(v as Paper)} />
        <Button primary onClick={() => window.print()}>
          {copy.bench.print}
        </Button>
      </div>
      <div className="max-w-full overflow-x-auto rounded-tray border-tray border-rim bg-enamel p-6 print:overflow-visible print:rounded-none print:border-0 print:p-0">
        <article
          ref={fitted}
          aria-label={copy.bench.card}
          data-paper={size}
          className="card"
          style={{ width: `${papers[size].wide - 2 * marginMM}mm` }}
        >
          <h1>{name}</h1>
          <p className="text-mute">{copy.bench.makes(makes)}</p>
          <CardList head={copy.bench.ingredients} items={ingredients} asides={grams} />
          <CardList head={copy.bench.method} items={steps} ordered />
          <CardList head={copy.bench.goodToKnow} items={notes} small />
        </article>
      </div>
    </main>
  )
}

type ListProps = { head: string; items: string[]; asides?: string[]; ordered?: boolean; small?: boolean }

function CardList({ head, items, asides, ordered, small }: ListProps) {
  if (items.length === 0) return null
  const List = ordered ? 'ol' : 'ul'
  return (
    <section className="mt-2">
      <h2 className="text-rim">{head}</h2>
      <List className={`${ordered ? 'list-decimal' : 'list-disc'} pl-5 ${small ? 'card-small' : ''}`}>
        {items.map((item, n) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: the same line may stand there twice
          <li key={`${n}-${item}`}>
            {item} {asides?.[n] && <span className="text-mute">{asides[n]}</span>}
          </li>
        ))}
      </List>
    </section>
  )
}
