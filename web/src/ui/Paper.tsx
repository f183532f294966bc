import { type ReactNode, useEffect, useState } from 'react'
import { flushSync } from 'react-dom'
import { marginMM, useFit } from './useFit'

/** usePrinting tells while the page is being printed, or shown as it would be. */
function usePrinting(): boolean {
  const [is, set] = useState(false)
  useEffect(() => {
    const paper = window.matchMedia('print')
    const follow = () => set(paper.matches)
    // the browser prints as soon as this returns: what is for paper has to be there by then
    const before = () => flushSync(() => set(true))
    const after = () => set(false)
    paper.addEventListener('change', follow)
    window.addEventListener('beforeprint', before)
    window.addEventListener('afterprint', after)
    return () => {
      paper.removeEventListener('change', follow)
      window.removeEventListener('beforeprint', before)
      window.removeEventListener('afterprint', after)
    }
  }, [])
  return is
}

type Props = { title: string; intro?: ReactNode; onePage?: boolean; children: ReactNode }

/** Paper is what a view has to say on paper, in place of what it shows on the screen. It stands directly in the view's main. */
export function Paper({ children, ...rest }: Omit<Props, 'children'> & { children: () => ReactNode }) {
  if (!usePrinting()) return null
  return <Sheet {...rest}>{children()}</Sheet>
}

/** What fits on A4 as on Letter: the width of the one, the height of the other, in mm. */
const paper = { wide: 210, high: 279.4 }

function Sheet({ title, intro, onePage, children }: Props) {
  const fitted = useFit<HTMLElement>(onePage ? paper.high : Number.POSITIVE_INFINITY, 10)
  return (
    <article
      ref={fitted}
      className="paper"
      aria-label={title}
      style={onePage ? { width: `${paper.wide - 2 * marginMM}mm` } : undefined}
    >
      <style>{`@page { margin: ${marginMM}mm }`}</style>
      <h1>{title}</h1>
      {intro && <p>{intro}</p>}
      {children}
    </article>
  )
}

/** PaperTable is a table on paper: only its columns that say something. */
export function PaperTable({ head, heads, rows }: { head?: string; heads: string[]; rows: ReactNode[][] }) {
  if (rows.length === 0) return null
  const used = heads.map((_, n) => rows.some((row) => row[n]))
  return (
    <section>
      {head && <h2>{head}</h2>}
      <table>
        <thead>
          <tr>
            {heads.map((h, n) =>
              !used[n] ? null : (
                <th key={h} scope="col">
                  {h}
                </th>
              ),
            )}
          </tr>
        </thead>
        <tbody>
          {rows.map((row, r) => (
            // biome-ignore lint/suspicious/noArrayIndexKey: paper does not move
            <tr key={r}>
              {/* biome-ignore lint/suspicious/noArrayIndexKey: nor do its columns */}
              {row.map((cell, n) => (!used[n] ? null : <td key={n}>{cell}</td>))}
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  )
}

/** PaperList is a list on paper, numbered where the order counts. */
export function PaperList({ head, items, ordered }: { head?: string; items: ReactNode[]; ordered?: boolean }) {
  if (items.length === 0) return null
  const List = ordered ? 'ol' : 'ul'
  return (
    <section>
      {head && <h2>{head}</h2>}
      <List>
        {items.map((item, n) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: paper does not move
          <li key={n}>{item}</li>
        ))}
      </List>
    </section>
  )
}
