import fc from 'fast-check'
import { clampedCrop, cropScale, inPicture, wholeCrop } from './crop'
import { coloursOf } from './palette'

const frame = { width: 1280, height: 720 }
const size = fc.record({
  width: fc.integer({ min: 50, max: 6000 }),
  height: fc.integer({ min: 50, max: 6000 }),
})
const crop = fc.record({
  x: fc.double({ min: -1, max: 2, noNaN: true }),
  y: fc.double({ min: -1, max: 2, noNaN: true }),
  zoom: fc.double({ min: 0.1, max: 12, noNaN: true }),
  turn: fc.double({ min: -60, max: 60, noNaN: true }),
})

test('whatever is wished for, no corner of the frame is bare', () => {
  fc.assert(
    fc.property(size, crop, (base, wished) => {
      const got = clampedCrop(base, frame, wished)
      for (const x of [0, frame.width])
        for (const y of [0, frame.height]) {
          const at = inPicture(base, frame, got, { x, y })
          expect(at.x).toBeGreaterThan(-1e-6)
          expect(at.x).toBeLessThan(1 + 1e-6)
          expect(at.y).toBeGreaterThan(-1e-6)
          expect(at.y).toBeLessThan(1 + 1e-6)
        }
      expect(clampedCrop(base, frame, got)).toEqual({
        ...got,
        x: expect.closeTo(got.x, 9),
        y: expect.closeTo(got.y, 9),
      })
    }),
  )
})

test('what fits is left as it is; a picture twice as wide may move across but not up', () => {
  expect(cropScale(frame, frame, wholeCrop)).toBe(1)
  expect(clampedCrop(frame, frame, { ...wholeCrop, x: 0.9 })).toEqual(wholeCrop)
  const wide = { width: 2560, height: 720 }
  expect(clampedCrop(wide, frame, { ...wholeCrop, x: 0.9, y: 0.9 })).toEqual({ ...wholeCrop, x: 0.75 })
  // Turned by 90 degrees less half of that: (1280 + 720) / √2 over the shorter side.
  expect(cropScale(frame, frame, { ...wholeCrop, turn: 45 })).toBeCloseTo(2000 / Math.SQRT2 / 720, 10)
})

test('colours of a picture: the most frequent first, those near to one taken left out', () => {
  const data = new Uint8ClampedArray(100 * 4)
  for (let i = 0; i < 100; i++)
    data.set(i < 60 ? [250, 240, 220, 255] : i < 95 ? [16, 64, 80, 255] : [20, 70, 100, 255], i * 4)
  expect(coloursOf({ width: 10, height: 10, data }, 4)).toEqual(['#faf0dc', '#104050'])
})
