/** Long enough to see a hair crack, small enough for a slow line. */
const LONGEST = 1600

/**
 * A photo as it is kept and sent: no longer than 1600 pixels, a JPEG, without what the camera wrote beside the pixels.
 *
 * @throws where the file is not a picture that this device can read
 */
export async function shrinkPicture(file: Blob): Promise<Blob> {
  const bitmap = await createImageBitmap(file, { imageOrientation: 'from-image' })
  const scale = Math.min(1, LONGEST / Math.max(bitmap.width, bitmap.height))
  const canvas = document.createElement('canvas')
  canvas.width = Math.max(1, Math.round(bitmap.width * scale))
  canvas.height = Math.max(1, Math.round(bitmap.height * scale))
  const context = canvas.getContext('2d')
  if (context === null) throw new Error('This device cannot draw')
  context.drawImage(bitmap, 0, 0, canvas.width, canvas.height)
  bitmap.close()
  return new Promise((resolve, reject) =>
    canvas.toBlob((blob) => (blob ? resolve(blob) : reject(new Error('Not a picture'))), 'image/jpeg', 0.82),
  )
}
