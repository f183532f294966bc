import { useState } from 'react'
import { Link, useSearch } from 'wouter'
import { query } from '../../api/client'
import type { BottleLabel } from '../../api/schema'
import { copy } from '../../copy'
import { Button } from '../../ui/Button'
import { toDayAndMonth, toMillilitres } from '../../ui/format'
import { Notice } from '../../ui/Notice'
import { Select } from '../../ui/Select'
import { toPicture } from './labelPicture'

/** Sheet is a sheet of labels, in mm. */
type Sheet = {
  name: string
  wide: number
  high: number
  across: number
  down: number
  left: number
  top: number
  gap: number
}

const sheets: Record<string, Sheet> = {
  '14': {
    name: copy.shelf.a414LabelsOf99,
    wide: 99.1,
    high: 38.1,
    across: 2,
    down: 7,
    left: 4.65,
    top: 15.15,
    gap: 2.5,
  },
  '21': {
    name: copy.shelf.a421LabelsOf64,
    wide: 63.5,
    high: 38.1,
    across: 3,
    down: 7,
    left: 7.2,
    top: 15.15,
    gap: 2.5,
  },
  '8': {
    name: copy.shelf.a48LabelsOf99,
    wide: 99.1,
    high: 67.7,
    across: 2,
    down: 4,
    left: 4.65,
    top: 13.1,
    gap: 2.5,
  },
  '1': { name: copy.shelf.single9050Mm, wide: 90, high: 50, across: 1, down: 1, left: 0, top: 0, gap: 0 },
}

const choices = Object.entries(sheets).map(([value, s]) => ({ value, label: s.name }))

/** Labels are the bottles' labels, to be printed or taken as pictures. */
export function Labels() {
  const ids = new URLSearchParams(useSearch()).get('bottles') ?? ''
  const [size, setSize] = useState('14')
  const labels = query.useQuery('get', '/api/labels', { params: { query: { ids } } })
  const sheet = sheets[size] ?? sheets['14']
  if (labels.error) return <Notice urgent>{labels.error.detail}</Notice>
  if (!labels.data || !sheet) return null
  const page = sheet.across * sheet.down === 1 ? `${sheet.wide}mm ${sheet.high}mm` : 'A4'
  return (
    <main className="grid justify-items-center gap-4 print:block">
      <style>{`@page { size: ${page}; margin: 0 }`}</style>
      <h1 className="sr-only">{copy.shelf.labels}</h1>
      <div className="flex flex-wrap items-center gap-2 print:hidden">
        <Link href="/shelf" className="min-h-11 px-2 py-2 font-bold text-rim underline">
          {copy.shelf.backToTheShelf}
        </Link>
        <Select label={copy.shelf.labels} value={size} choices={choices} onChange={setSize} />
        <Button primary onClick={() => window.print()}>
          {copy.shelf.print}
        </Button>
      </div>
      <section
        aria-label={copy.shelf.labelSheet}
        // biome-ignore lint/a11y/noNoninteractiveTabindex: on a narrow screen it scrolls, also by the keyboard
        tabIndex={0}
        className="label-sheet"
        style={{
          gridTemplateColumns: `repeat(${sheet.across}, ${sheet.wide}mm)`,
          gridAutoRows: `${sheet.high}mm`,
          columnGap: `${sheet.gap}mm`,
          padding: `${sheet.top}mm ${sheet.left}mm`,
        }}
      >
        {labels.data.map((l) => (
          <LabelCard key={l.bottleID} label={l} />
        ))}
      </section>
      <ul className="flex flex-wrap gap-2 print:hidden">
        {labels.data.map((l) => (
          <li key={l.bottleID}>
            <Button onClick={() => toPicture(l)}>{copy.shelf.pictureOfBottle(l.name, l.bottleID)}</Button>
          </li>
        ))}
      </ul>
    </main>
  )
}

function LabelCard({ label }: { label: BottleLabel }) {
  return (
    <article aria-label={copy.shelf.labelOfBottle(label.bottleID)} className="label">
      <h2 className="label-name">{label.name}</h2>
      <p className="label-date">
        <span className="label-word">{copy.shelf.labelUseBy}</span> {toDayAndMonth(label.useBy)}
      </p>
      <div className="flex min-h-0 grow justify-between gap-2">
        <div className="min-w-0">
          <p>{copy.shelf.madeAndVolume(toDayAndMonth(label.madeOn), toMillilitres(label.volumeML))}</p>
          <p>{label.servings}</p>
          <p>
            <b>{label.shake}.</b> {label.dilution && `${label.dilution}. `}
            {label.allergens.length > 0 && <b>{copy.shelf.contains(label.allergens.join(', '))}</b>}
            {label.missing.length > 0 && <b>{copy.shelf.notCounted(label.missing.join(', '))}</b>}
          </p>
        </div>
        <img src={label.qr} alt={copy.shelf.qrCodeToThePage(label.bottleID)} className="label-code" />
      </div>
    </article>
  )
}
