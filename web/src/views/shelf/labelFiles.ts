import { faces, ink } from './LabelDrawing'
import type { Layout } from './labelLayout'

const mmPerPt = 25.4 / 72
const pxPerMM = 12 // about 300 dots an inch

/** save hands a file to the browser to keep. */
function save(url: string, name: string) {
  const link = document.createElement('a')
  link.download = name
  link.href = url
  link.click()
}

async function dataOf(url: string): Promise<string> {
  const blob = await (await fetch(url)).blob()
  return new Promise((done, fail) => {
    const reader = new FileReader()
    reader.onload = () => done(String(reader.result))
    reader.onerror = () => fail(reader.error)
    reader.readAsDataURL(blob)
  })
}

/** saveSVG keeps a label as it is drawn, with its code inside. */
export async function saveSVG(drawing: SVGElement, code: string, name: string) {
  const copy = drawing.cloneNode(true) as SVGElement
  copy.querySelector('image')?.setAttribute('href', await dataOf(code))
  const text = new XMLSerializer().serializeToString(copy)
  save(URL.createObjectURL(new Blob([text], { type: 'image/svg+xml' })), `${name}.svg`)
}

/** savePNG keeps a label as a picture, drawn in the fonts of the page. */
export async function savePNG(layout: Layout, wide: number, high: number, code: string, name: string) {
  const canvas = document.createElement('canvas')
  canvas.width = wide * pxPerMM
  canvas.height = high * pxPerMM
  const pen = canvas.getContext('2d')
  if (!pen) return
  const qr = new Image()
  qr.src = code
  await qr.decode()
  pen.scale(pxPerMM, pxPerMM)
  pen.fillStyle = '#fff'
  pen.fillRect(0, 0, wide, high)
  pen.fillStyle = ink
  pen.drawImage(qr, layout.code.x, layout.code.y, layout.code.side, layout.code.side)
  for (const l of layout.lines) {
    pen.font = `${faces[l.face].weight} ${l.pt * mmPerPt}px ${faces[l.face].family}`
    pen.fillText(l.text, l.x, l.y, l.wide)
  }
  save(canvas.toDataURL('image/png'), `${name}.png`)
}
