/** Longest side of what is sent, in pixels: enough to see a root by, and light enough for the edge of the field. */
const LONGEST = 1600
const QUALITY = 0.8

/** A picture as it goes over the network: upright, no larger than needed, and without the place it was taken at. */
export async function smallPicture(file: Blob): Promise<Blob> {
  const bitmap = await createImageBitmap(file, { imageOrientation: 'from-image' })
  const scale = Math.min(1, LONGEST / Math.max(bitmap.width, bitmap.height))
  const canvas = document.createElement('canvas')
  canvas.width = Math.round(bitmap.width * scale)
  canvas.height = Math.round(bitmap.height * scale)
  canvas.getContext('2d')!.drawImage(bitmap, 0, 0, canvas.width, canvas.height)
  bitmap.close()
  return new Promise((done, failed) =>
    canvas.toBlob((blob) => (blob ? done(blob) : failed(new Error('no picture'))), 'image/jpeg', QUALITY),
  )
}
