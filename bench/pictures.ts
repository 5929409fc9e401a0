import { frameOf } from '../core/pictures/frame'
import { measurePixels } from '../core/pictures/measure'
import type { PictureWords } from '../core/records'
import { line, middle } from './measure'

/** What is measured on one picture of 1280 × 720 with two lines of words (the wish: under 150 ms in the worker). */
const frame = frameOf({ kind: 'video' })
const data = new Uint8ClampedArray(frame.width * frame.height * 4)
for (let i = 0; i < data.length; i++) data[i] = i % 4 === 3 ? 255 : (i * 7919 + (i >> 9)) % 256
const words: PictureWords[] = ['BENT', 'COLD'].map((text, i) => ({
  text,
  x: 0.05,
  y: 0.1 + i * 0.22,
  w: 0.4,
  h: 0.18,
  known: 'laid',
}))
const yardstick = middle(9, () => {
  let sum = 0
  for (let i = 0; i < 1e7; i++) sum += i % 7
  return sum
})
console.log(
  line(
    'a picture of 1280 × 720 measured',
    middle(9, () => measurePixels({ ...frame, data }, words, frame)),
    yardstick,
  ),
)
