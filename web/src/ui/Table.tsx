import type { ReactNode } from 'react'

type Props = { caption: string; heads: string[]; rows: { key: string; cells: ReactNode[]; strong?: boolean }[] }

/** Table is a plain table of figures; its first column names the row. */
export function Table({ caption, heads, rows }: Props) {
  return (
    <table className="w-full text-note">
      <caption className="pb-1 text-left font-head text-lg font-bold">{caption}</caption>
      <thead>
        <tr className="text-left align-bottom text-mute">
          {heads.map((h, n) =>
            h === '' ? (
              // biome-ignore lint/suspicious/noArrayIndexKey: the columns stand still
              <td key={n} />
            ) : (
              <th key={h} scope="col" className={n === 0 ? 'font-normal' : 'pl-3 text-right font-normal'}>
                {h}
              </th>
            ),
          )}
        </tr>
      </thead>
      <tbody>
        {rows.map((row) => (
          <tr key={row.key} className="border-t border-line align-top">
            {row.cells.map((cell, n) =>
              n === 0 ? (
                // biome-ignore lint/suspicious/noArrayIndexKey: the columns stand still
                <th key={n} scope="row" className={`py-1 text-left ${row.strong ? 'font-bold' : 'font-normal'}`}>
                  {cell}
                </th>
              ) : (
                // biome-ignore lint/suspicious/noArrayIndexKey: the columns stand still
                <td key={n} className={`py-1 pl-3 text-right ${row.strong ? 'font-bold' : ''}`}>
                  {cell}
                </td>
              ),
            )}
          </tr>
        ))}
      </tbody>
    </table>
  )
}
