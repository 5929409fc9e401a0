import { jpegOf } from '@app/ui/canvas-file'
import { imageOf } from '@app/stores/picture-file'
import { largestPicture, pictureTooLarge } from '@core/commands/episode/picture-size'
import type { FileRecord } from '@core/commands/change'
import { Picture, type Candidate } from '@core/records'
import { ok, refused, type Result } from '@core/result'

/**
 * Reads a file as a picture: its type, its size in pixels, its bytes. Refused in a sentence when it is
 * none, broken or too large.
 */
export async function readPicture(file: File): Promise<Result<{ picture: Picture; file: FileRecord }>> {
  const type = Picture.shape.type.safeParse(file.type)
  if (!type.success)
    return refused(
      `“${file.name}” is not a picture that can be shown here. Save it as PNG, JPEG or WebP, and add it again.`,
    )
  if (file.size > largestPicture) return refused(pictureTooLarge(file.name, file.size))
  try {
    const { naturalWidth: width, naturalHeight: height } = await imageOf(file)
    if (width === 0 || height === 0)
      return refused(`“${file.name}” has no size of its own. Save it as PNG, 1280 × 720, and add it again.`)
    const id = crypto.randomUUID()
    return ok({
      picture: { id, name: file.name || 'pasted picture', type: type.data, width, height, size: file.size },
      file: { id, type: type.data, bytes: new Uint8Array(await file.arrayBuffer()) },
    })
  } catch {
    return refused(
      `“${file.name}” cannot be read; it may be damaged. Save it again as PNG or JPEG, and add it once more.`,
    )
  }
}

/**
 * A picture in the size of its show's pictures (px) as a file type: it fills the frame, what is too wide or too high is
 * cut evenly; one of quite another shape (a square cover in a wide frame, a wide picture in a square one) stands whole on
 * a dark ground. JPEG is made lighter until it has at most `most` bytes.
 */
export async function renderPicture(
  file: { bytes: Uint8Array; type: string },
  to: 'image/png' | 'image/jpeg',
  frame: { width: number; height: number },
  most: number,
): Promise<Uint8Array> {
  const image = await imageOf(new Blob([new Uint8Array(file.bytes)], { type: file.type }))
  const canvas = document.createElement('canvas')
  const { width, height } = frame
  canvas.width = width
  canvas.height = height
  const pen = canvas.getContext('2d')
  if (!pen) throw new Error('no canvas')
  pen.fillStyle = '#17131c'
  pen.fillRect(0, 0, width, height)
  const { naturalWidth: w, naturalHeight: h } = image
  const isOther = Math.abs(Math.log((w / h) * (height / width))) > 0.3
  const scale = isOther ? Math.min(width / w, height / h) : Math.max(width / w, height / h)
  pen.drawImage(image, (width - w * scale) / 2, (height - h * scale) / 2, w * scale, h * scale)
  if (to === 'image/jpeg') return await jpegOf(canvas, most)
  const blob = await new Promise<Blob | null>((done) => {
    canvas.toBlob(done, to)
  })
  if (!blob) throw new Error('no picture')
  return new Uint8Array(await blob.arrayBuffer())
}

/** A picture saved anew as a JPEG of at most `most` bytes, under a new id; nothing where its bytes are gone. */
export async function lighterPicture(
  picture: Candidate,
  file: Omit<FileRecord, 'id'> | undefined,
  most: number,
  id: string,
): Promise<{ picture: Candidate; files: FileRecord[] } | undefined> {
  if (!file) return undefined
  const image = await imageOf(new Blob([new Uint8Array(file.bytes)], { type: file.type }))
  const canvas = document.createElement('canvas')
  const part = Math.min(1, 1920 / picture.width)
  canvas.width = Math.round(picture.width * part)
  canvas.height = Math.round(picture.height * part)
  canvas.getContext('2d')?.drawImage(image, 0, 0, canvas.width, canvas.height)
  const bytes = await jpegOf(canvas, most)
  return {
    picture: {
      ...picture,
      id,
      type: 'image/jpeg',
      width: canvas.width,
      height: canvas.height,
      size: bytes.byteLength,
    },
    files: [{ id, type: 'image/jpeg', bytes }],
  }
}
