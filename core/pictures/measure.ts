import type { PictureWords } from '../records'
import { contrastIn } from './contrast'
import { edgesLeft } from './edges'
import type { Frame } from './frame'
import { signatureOf, type Signature } from './likeness'
import { greyOf, type Pixels } from './pixels'

/** What is measured on the dots of a picture. */
export interface Measured {
  /** Of each line of words its contrast, in their order; nothing where no ink stands out. */
  contrasts: (number | undefined)[]
  /** Share of edges left at the smallest size. */
  edges: number
  signature: Signature
}

/** Measures a picture that was drawn at its frame's size. Linear in its dots. */
export function measurePixels(pixels: Pixels, words: readonly PictureWords[], frame: Frame): Measured {
  const grey = greyOf(pixels)
  return {
    contrasts: words.map((b) =>
      contrastIn(pixels, {
        x: b.x * pixels.width,
        y: b.y * pixels.height,
        w: b.w * pixels.width,
        h: b.h * pixels.height,
      }),
    ),
    edges: edgesLeft(grey, frame.sizes.at(-1)?.w ?? 53),
    signature: signatureOf(pixels, grey),
  }
}
