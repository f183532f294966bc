import { useRef, useState } from 'react'
import { Link, useSearch } from 'wouter'
import { query } from '../../api/client'
import type { BottleLabel } from '../../api/schema'
import { copy } from '../../copy/more'
import { Button } from '../../ui/Button'
import { Field } from '../../ui/Field'
import { toDayAndMonth, toMillilitres } from '../../ui/format'
import { Notice } from '../../ui/Notice'
import { Select } from '../../ui/Select'
import { LabelDrawing } from './LabelDrawing'
import { savePNG, saveSVG } from './labelFiles'
import { type Layout, layOut, type Words } from './labelLayout'
import { pagesOf, placesOf, type Sheet, sheets } from './sheets'
import { useMeasure } from './useMeasure'

const choices = Object.entries(sheets).map(([value, s]) => ({ value, label: s.name }))

/** wordsOf is what is written on a bottle, what matters most first. */
function wordsOf(l: BottleLabel): Words {
  const small = [
    { text: l.allergens.length > 0 ? copy.shelf.contains(l.allergens.join(', ')) : '', bold: true },
    { text: l.missing.length > 0 ? copy.shelf.notCounted(l.missing.join(', ')) : '', bold: true },
    { text: l.equipment.length > 0 ? copy.shelf.equipmentUsedFor(l.equipment.join(', ')) : '', bold: false },
    { text: [l.shake, l.dilution].filter(Boolean).join('. '), bold: true },
    { text: copy.shelf.madeAndVolume(toDayAndMonth(l.madeOn), toMillilitres(l.volumeML)), bold: false },
    { text: l.servings, bold: false },
  ]
  return { name: l.name, useBy: copy.shelf.dateBy(toDayAndMonth(l.useBy)), small: small.filter((s) => s.text !== '') }
}

/** Labels are the bottles' labels to the millimetre, to be printed on a sheet that may be half used, or taken as pictures. */
export function Labels() {
  const ids = new URLSearchParams(useSearch()).get('bottles') ?? ''
  const [size, setSize] = useState('a4-14')
  const [typed, setStart] = useState('1')
  const labels = query.useQuery('get', '/api/labels', { params: { query: { ids } } })
  const measure = useMeasure()
  const sheet = sheets[size]
  if (labels.error) return <Notice urgent>{labels.error.detail}</Notice>
  if (!labels.data || !sheet || !measure) return null
  const places = placesOf(sheet)
  const start = Number(typed)
  const fits = Number.isInteger(start) && start >= 1 && start <= places
  const laidOut = labels.data.map((label) => ({
    label,
    layout: layOut(wordsOf(label), sheet.wide, sheet.high, measure),
  }))
  return (
    <main className="grid grid-cols-[minmax(0,1fr)] justify-items-center gap-4 print:block">
      <style>{`@page { size: ${sheet.paper.css}; margin: 0 }`}</style>
      <h1 className="sr-only print:hidden">{copy.shelf.labels}</h1>
      <div className="flex flex-wrap items-end gap-2 print:hidden">
        <Link href="/shelf" className="min-h-11 px-2 py-2 font-bold text-rim underline">
          {copy.shelf.backToTheShelf}
        </Link>
        <Select label={copy.shelf.labels} value={size} choices={choices} onChange={setSize} />
        {places > 1 && (
          <Field
            label={copy.shelf.firstFreeLabel}
            className="w-44"
            inputMode="numeric"
            value={typed}
            error={fits ? undefined : copy.shelf.labelPlaces(places)}
            onChange={(e) => setStart(e.target.value)}
          />
        )}
        <Button primary disabled={!fits} onClick={() => window.print()}>
          {copy.shelf.print}
        </Button>
      </div>
      <Pages sheet={sheet} pages={pagesOf(sheet, laidOut, fits ? start : 1)} />
    </main>
  )
}

type Laid = { label: BottleLabel; layout: Layout }

/** Pages are the sheets as they are printed; on the screen each label has its files beside it. */
function Pages({ sheet, pages }: { sheet: Sheet; pages: ReturnType<typeof pagesOf<Laid>> }) {
  return (
    <section
      aria-label={copy.shelf.labelSheet}
      // biome-ignore lint/a11y/noNoninteractiveTabindex: on a narrow screen it scrolls, also by the keyboard
      tabIndex={0}
      className="label-pages"
    >
      {pages.map((page, n) => (
        <div
          // biome-ignore lint/suspicious/noArrayIndexKey: pages are their places
          key={n}
          className="label-page"
          style={{ width: `${sheet.paper.wide}mm`, height: `${sheet.paper.high}mm` }}
        >
          {page.map((p) => (
            <PlacedLabel key={p.label.label.bottleID} sheet={sheet} {...p.label} x={p.x} y={p.y} />
          ))}
        </div>
      ))}
    </section>
  )
}

function PlacedLabel({ sheet, label, layout, x, y }: Laid & { sheet: Sheet; x: number; y: number }) {
  const box = useRef<HTMLDivElement>(null)
  const name = `label-${label.bottleID}`
  const drawing = () => box.current?.querySelector('svg')
  return (
    <div ref={box} className="group absolute" style={{ left: `${x}mm`, top: `${y}mm` }}>
      <LabelDrawing
        layout={layout}
        wide={sheet.wide}
        high={sheet.high}
        code={label.qr}
        codeWords={copy.shelf.qrCodeToThePage(label.bottleID)}
        name={copy.shelf.labelOfBottle(label.bottleID)}
      />
      <div className="absolute right-1 top-1 flex gap-1 opacity-0 focus-within:opacity-100 group-hover:opacity-100 print:hidden">
        <Button
          size="small"
          aria-label={copy.shelf.fileOfBottle('PNG', label.name, label.bottleID)}
          onClick={() => savePNG(layout, sheet.wide, sheet.high, label.qr, name)}
        >
          PNG
        </Button>
        <Button
          size="small"
          aria-label={copy.shelf.fileOfBottle('SVG', label.name, label.bottleID)}
          onClick={() => {
            const svg = drawing()
            if (svg) saveSVG(svg, label.qr, name)
          }}
        >
          SVG
        </Button>
      </div>
    </div>
  )
}
