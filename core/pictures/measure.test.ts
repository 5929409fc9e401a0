import { contrastIn } from './contrast'
import { edgesLeft } from './edges'
import { frameOf } from './frame'
import { alike, oklab, signatureOf } from './likeness'
import { grown, greyOf, linear, shrunk, type Pixels } from './pixels'

type Colour = readonly [number, number, number]

/** A picture whose dots are asked of a function. */
function picture(width: number, height: number, at: (x: number, y: number) => Colour): Pixels {
  const data = new Uint8ClampedArray(width * height * 4)
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) data.set([...at(x, y), 255], (y * width + x) * 4)
  return { width, height, data }
}
const black: Colour = [0, 0, 0]
const white: Colour = [255, 255, 255]
const inside = (x: number, y: number, [l, t, w, h]: readonly number[] = []) =>
  x >= (l ?? 0) && x < (l ?? 0) + (w ?? 0) && y >= (t ?? 0) && y < (t ?? 0) + (h ?? 0)

describe('contrast of words', () => {
  const box = { x: 100, y: 50, w: 100, h: 40 }
  /** Four upright strokes in the box: letters as far as the measure knows. */
  const stroke = (x: number, y: number) => inside(x, y, [104, 52, 92, 36]) && (x - 104) % 24 < 10

  test('is 21:1 for black on white, and 1.07:1 for a grey on the next one', () => {
    expect(
      contrastIn(
        picture(300, 150, (x, y) => (stroke(x, y) ? black : white)),
        box,
      ),
    ).toBeCloseTo(21, 5)
    const grey = contrastIn(
      picture(300, 150, (x, y) => (stroke(x, y) ? [120, 120, 120] : [125, 125, 125])),
      box,
    )
    // (0.2051 + 0.05) / (0.1878 + 0.05), worked by hand from IEC 61966-2-1.
    expect(grey).toBeCloseTo(1.073, 2)
  })
  test('a ground of both colours that is joined to the border is no ink', () => {
    // Left half of the ground is as bright as the letters: only what does not reach the border counts.
    const split = picture(300, 150, (x, y) => (stroke(x, y) ? white : x < 60 ? white : [20, 40, 90]))
    expect(contrastIn(split, box)).toBeGreaterThan(12)
  })
  test('one colour holds no words, nor does a box outside', () => {
    expect(
      contrastIn(
        picture(50, 50, () => white),
        { x: 5, y: 5, w: 20, h: 10 },
      ),
    ).toBeUndefined()
    expect(
      contrastIn(
        picture(50, 50, () => white),
        { x: 70, y: 5, w: 20, h: 10 },
      ),
    ).toBeUndefined()
  })
})

describe('edges', () => {
  test('of large shapes stay, of fine lines go', () => {
    const large = picture(640, 360, (x) => (x < 320 ? black : white))
    const fine = picture(640, 360, (x) => (x % 4 < 2 ? black : white))
    expect(edgesLeft(greyOf(large), 53)).toBeGreaterThan(0.9)
    expect(edgesLeft(greyOf(fine), 53)).toBeLessThan(0.1)
    expect(edgesLeft(greyOf(picture(64, 36, () => white)), 53)).toBe(1)
  })
  test('a plane made small keeps its mean, and a flat one stays as it is', () => {
    const plane = greyOf(picture(100, 30, (x, y) => [x * 2, y * 5, 7]))
    const mean = (data: Float32Array) => data.reduce((s, v) => s + v, 0) / data.length
    expect(mean(shrunk(plane, 7, 4).data)).toBeCloseTo(mean(plane.data), 2)
    expect([...grown(shrunk(greyOf(picture(9, 9, () => white)), 2, 2), 5, 5).data]).toEqual(
      Array.from({ length: 25 }, () => expect.closeTo(255, 2)),
    )
  })
})

describe('likeness', () => {
  const ramp = picture(90, 80, (x) => [x * 2, x * 2, x * 2])
  test('a picture is itself, in any size', () => {
    expect(alike(signatureOf(ramp), signatureOf(ramp))).toBe(1)
    const twice = picture(180, 160, (x) => [
      Math.floor(x / 2) * 2,
      Math.floor(x / 2) * 2,
      Math.floor(x / 2) * 2,
    ])
    expect(alike(signatureOf(ramp), signatureOf(twice))).toBeGreaterThan(0.99)
  })
  test('black and white with no differences within: half for the same pattern, less what colours are apart', () => {
    const [a, b] = [picture(64, 64, () => black), picture(64, 64, () => white)]
    // No dot is brighter than its neighbour in either; black is 1 from white in Oklab, cut at the whole.
    expect(alike(signatureOf(a), signatureOf(b))).toBeCloseTo(0.5, 6)
  })
  test('mirrored, every difference turns and no colour of the mean changes by much', () => {
    const mirrored = picture(90, 80, (x) => [(89 - x) * 2, (89 - x) * 2, (89 - x) * 2])
    const share = alike(signatureOf(ramp), signatureOf(mirrored))
    expect(share).toBeLessThan(0.3)
  })
  test('white is 1, 0, 0 in Oklab; a hand-worked red', () => {
    expect(oklab(1, 1, 1)).toEqual([expect.closeTo(1, 4), expect.closeTo(0, 4), expect.closeTo(0, 4)])
    expect(oklab(1, 0, 0)).toEqual([
      expect.closeTo(0.6279, 3),
      expect.closeTo(0.2249, 3),
      expect.closeTo(0.1258, 3),
    ])
    expect(linear[255]).toBe(1)
  })
})

test('a video has a wide frame with a stamp, a talk a square one without', () => {
  expect(frameOf({ kind: 'video' })).toMatchObject({ width: 1280, stamp: { x: 1116, y: 656, w: 148, h: 48 } })
  const cover = frameOf({ kind: 'audio' })
  expect(cover.width).toBe(cover.height)
  expect(cover.stamp).toBeUndefined()
})
