/** The longer side of what is sent, in pixels: as large as the kitchen keeps. */
const side = 1600

/** fitted is a size brought within a longest side, never grown. */
export function fitted(width: number, height: number, most = side): { width: number; height: number } {
  const times = Math.min(1, most / Math.max(width, height))
  return { width: Math.round(width * times), height: Math.round(height * times) }
}

/** shrink draws a picture small and upright, so that little is sent. What the browser cannot draw is sent as it is, for the kitchen to judge. */
export async function shrink(file: File): Promise<Blob> {
  try {
    const picture = await createImageBitmap(file, { imageOrientation: 'from-image' })
    const { width, height } = fitted(picture.width, picture.height)
    const canvas = document.createElement('canvas')
    canvas.width = width
    canvas.height = height
    canvas.getContext('2d')?.drawImage(picture, 0, 0, width, height)
    picture.close()
    const small = await new Promise<Blob | null>((done) => canvas.toBlob(done, 'image/jpeg', 0.85))
    return small ?? file
  } catch {
    return file
  }
}
