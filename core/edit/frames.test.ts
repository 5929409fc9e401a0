import fc from 'fast-check'
import { refusalOf, valueOf } from '../examples'
import { frameAt, frameOf, frameRates, readMoment, secondsAt, timecode } from './frames'

test.each(frameRates)(
  'every frame around an hour’s end comes back from its timecode and from its moment at %s',
  (rate) => {
    // Dropped numbers come again every ten minutes.
    const hour = frameAt(3600, rate)
    let last = ''
    for (let frame = frameAt(2940, rate); frame <= hour; frame++) {
      const code = timecode(frame, rate)
      const back = frameOf(code, rate)
      if (!back.ok || back.value !== frame || frameAt(secondsAt(frame, rate), rate) !== frame || code <= last)
        throw new Error(`${frame} became ${code} at ${rate}`)
      last = code
    }
    expect(last).toMatch(/^(00:59|01:00)/)
  },
)

test('counting as it is written down', () => {
  expect(timecode(0, '25')).toBe('00:00:00:00')
  expect(timecode(90_000, '25')).toBe('01:00:00:00')
  // An hour of drop-frame counting is an hour of the clock, but for 3.6 ms.
  expect(timecode(107_892, '29.97 drop')).toBe('01:00:00;00')
  expect(timecode(1800, '29.97 drop')).toBe('00:01:00;02')
  expect(timecode(1799, '29.97 drop')).toBe('00:00:59;29')
  expect(timecode(17_982, '29.97 drop')).toBe('00:10:00;00')
  expect(timecode(107_892, '29.97')).toBe('00:59:56:12')
  expect(secondsAt(24, '23.976')).toBeCloseTo(1.001)
})

test('timecodes rise with their frames, also over many hours', () => {
  fc.assert(
    fc.property(fc.constantFrom(...frameRates), fc.nat({ max: 5_000_000 }), (rate, frame) => {
      expect(valueOf(frameOf(timecode(frame, rate), rate))).toBe(frame)
      expect(timecode(frame, rate) < timecode(frame + 1, rate) || frame > 8_000_000).toBe(true)
    }),
  )
})

test('what cannot be is refused, with what can', () => {
  expect(refusalOf(frameOf('00:01:00;00', '29.97 drop'))).toMatch(/leaves out/)
  expect(frameOf('00:01:00:00', '29.97').ok).toBe(true)
  expect(refusalOf(frameOf('00:00:00:25', '25'))).toMatch(/frames to 24/)
  expect(refusalOf(frameOf('00:61:00:00', '25'))).toMatch(/59/)
  expect(refusalOf(frameOf('two', '25'))).toMatch(/00:02:14:08/)
})

test('a moment is read as a timecode or as people write it', () => {
  expect(valueOf(readMoment('0:02:14:12', '25'))).toBeCloseTo(134.48)
  expect(valueOf(readMoment('2:14', '25'))).toBe(134)
  expect(valueOf(readMoment('1m20', '25'))).toBe(80)
  expect(readMoment('2:99', '25').ok).toBe(false)
})
