import { useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { query } from '../../api/client'
import { copy } from '../../copy/more'
import { ErrorText } from '../../ui/Field'
import { FileField } from '../../ui/FileField'
import { Select } from '../../ui/Select'
import { Tray } from '../../ui/Tray'

const tables = ['pantry', 'batches', 'tastings', 'bottles', 'pours'] as const
type Table = (typeof tables)[number]

const exports: { href: string; name: string }[] = [
  { href: '/api/export/everything.zip', name: copy.settings.everythingReadable },
  { href: '/api/export/drinks.jsonld', name: copy.settings.allDrinks },
  ...tables.map((t) => ({ href: `/api/export/${t}.csv`, name: copy.settings.tables[t] ?? t })),
  { href: '/api/thermometer.csv', name: copy.settings.temperatures },
]

/** Files are the record as files that other programs read, and tables taken in again. */
export function Files() {
  return (
    <Tray label={copy.settings.files} className="grid gap-3">
      <h2 className="text-xl">{copy.settings.files}</h2>
      <p className="text-note text-mute">{copy.settings.filesIntro}</p>
      <ul className="flex flex-wrap gap-x-4 gap-y-1">
        {exports.map((e) => (
          <li key={e.href}>
            <a href={e.href} download className="inline-flex min-h-9 items-center text-rim underline max-sm:min-h-11">
              {e.name}
            </a>
          </li>
        ))}
      </ul>
      <Import />
    </Tray>
  )
}

/** Import takes a table in, whole or not at all. */
function Import() {
  const client = useQueryClient()
  const [table, setTable] = useState<Table>('tastings')
  const take = query.useMutation('post', '/api/import/{table}', { onSuccess: () => client.invalidateQueries() })
  const read = async (file: File) => take.mutate({ params: { path: { table } }, body: { csv: await file.text() } })
  return (
    <div className="grid gap-2 border-line border-t pt-2">
      <h3 className="text-lg">{copy.settings.importTable}</h3>
      <div className="flex flex-wrap items-end gap-3">
        <Select
          label={copy.settings.whichTable}
          value={table}
          choices={tables.map((t) => ({ value: t, label: copy.settings.tables[t] ?? t }))}
          onChange={(v) => setTable(v as Table)}
        />
        <FileField label={copy.settings.csvFile} accept=".csv,text/csv" disabled={take.isPending} onFile={read} />
      </div>
      {take.data && <p role="status">{copy.settings.rowsImported(take.data.rows)}</p>}
      <ErrorText id="import-error">{take.error?.detail}</ErrorText>
    </div>
  )
}
