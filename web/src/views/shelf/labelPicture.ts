import type { BottleLabel } from '../../api/schema'
import { copy } from '../../copy'
import { toDayAndMonth, toMillilitres } from '../../ui/format'

const wide = 1080
const high = 600
const edge = 48
const code = 260

/** toPicture draws a label as a PNG and hands it to the browser to keep. */
export async function toPicture(label: BottleLabel) {
  const canvas = document.createElement('canvas')
  canvas.width = wide
  canvas.height = high
  const pen = canvas.getContext('2d')
  if (!pen) return
  const qr = new Image()
  qr.src = label.qr
  await qr.decode()
  pen.fillStyle = '#ffffff'
  pen.fillRect(0, 0, wide, high)
  pen.fillStyle = '#18213d'
  pen.drawImage(qr, wide - edge - code, high - edge - code, code, code)
  write(pen, label.name, 'bold 68px "Bricolage Grotesque Variable"', edge + 60, wide - 2 * edge)
  write(
    pen,
    copy.shelf.dateBy(toDayAndMonth(label.useBy)),
    'bold 92px "Bricolage Grotesque Variable"',
    edge + 190,
    wide - 2 * edge,
  )
  const small = '36px "Atkinson Hyperlegible Next Variable"'
  const room = wide - 3 * edge - code
  write(pen, copy.shelf.madeAndVolumeLine(toDayAndMonth(label.madeOn), toMillilitres(label.volumeML)), small, 340, room)
  write(pen, label.servings, small, 392, room)
  write(pen, [label.shake, label.dilution].filter(Boolean).join('. '), `bold ${small}`, 444, room)
  if (label.allergens.length > 0)
    write(pen, copy.shelf.containsLine(label.allergens.join(', ')), `bold ${small}`, 496, room)
  const link = document.createElement('a')
  link.download = `label-${label.bottleID}.png`
  link.href = canvas.toDataURL('image/png')
  link.click()
}

/** write draws a line of text, made narrower where it would run over. */
function write(pen: CanvasRenderingContext2D, text: string, font: string, y: number, room: number) {
  pen.font = font
  pen.fillText(text, edge, y, room)
}
