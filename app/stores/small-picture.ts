import { beltPicture } from '@core/belt/pictures'

/**
 * A picture as a small JPEG for the phone, whole, at most as wide and high (px) and of as many bytes as `beltPicture`
 * says; nothing where it cannot be read.
 */
export async function smallPicture(file: {
  type: string
  bytes: Uint8Array
}): Promise<Uint8Array | undefined> {
  try {
    const image = await createImageBitmap(new Blob([new Uint8Array(file.bytes)], { type: file.type }))
    const scale = Math.min(1, beltPicture.width / image.width, beltPicture.height / image.height)
    const canvas = new OffscreenCanvas(
      Math.max(1, Math.round(image.width * scale)),
      Math.max(1, Math.round(image.height * scale)),
    )
    const pen = canvas.getContext('2d')
    // What shines through is paper.
    if (pen) pen.fillStyle = '#fff'
    pen?.fillRect(0, 0, canvas.width, canvas.height)
    pen?.drawImage(image, 0, 0, canvas.width, canvas.height)
    image.close()
    for (let quality = 0.8; quality > 0.2; quality -= 0.15) {
      const blob = await canvas.convertToBlob({ type: 'image/jpeg', quality })
      if (blob.size <= beltPicture.bytes) return new Uint8Array(await blob.arrayBuffer())
    }
    return undefined
  } catch {
    return undefined
  }
}
