import { expose } from 'comlink'
import type { Frame } from '@core/pictures/frame'
import { measurePixels, type Measured } from '@core/pictures/measure'
import { coloursOf } from '@core/pictures/palette'
import type { Pixels } from '@core/pictures/pixels'
import type { PictureWords } from '@core/records'

/** A picture at its frame's size, cut evenly where it is too wide or too high. Closes the bitmap. */
function drawn(bitmap: ImageBitmap, { width, height }: Frame): Pixels {
  const canvas = new OffscreenCanvas(width, height)
  const pen = canvas.getContext('2d', { willReadFrequently: true })
  if (!pen) throw new Error('no canvas')
  const scale = Math.max(width / bitmap.width, height / bitmap.height)
  const [w, h] = [bitmap.width * scale, bitmap.height * scale]
  pen.drawImage(bitmap, (width - w) / 2, (height - h) / 2, w, h)
  bitmap.close()
  return pen.getImageData(0, 0, width, height)
}

/** Measures pictures away from the interface. */
const work = {
  measure: (bitmap: ImageBitmap, words: readonly PictureWords[], frame: Frame): Measured =>
    measurePixels(drawn(bitmap, frame), words, frame),
  colours: (bitmap: ImageBitmap, frame: Frame, most: number): string[] =>
    coloursOf(drawn(bitmap, frame), most),
}

export type PictureWork = typeof work
expose(work)
