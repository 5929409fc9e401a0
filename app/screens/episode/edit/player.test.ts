import fc from 'fast-check'
import { effectScope } from 'vue'
import { frameAt } from '@core/edit/frames'
import type { FrameRate } from '@core/records'
import { usePlayer } from './usePlayer'

/** Frames of the page come when the test says so. */
let draw: (() => void) | undefined
let isDrawn = false
jest.mock('@vueuse/core', () => ({
  ...jest.requireActual<object>('@vueuse/core'),
  useRafFn: (act: () => void) => {
    draw = act
    isDrawn = false
    return {
      pause: () => {
        isDrawn = false
      },
      resume: () => {
        isDrawn = true
      },
    }
  },
}))
let clock = 0
jest.spyOn(performance, 'now').mockImplementation(() => clock * 1000)

function player(length: number | undefined, rate: FrameRate = '25') {
  clock = 0
  const of = effectScope().run(() =>
    usePlayer(
      () => length,
      () => rate,
    ),
  )
  if (!of) throw new Error('no player')
  return {
    of,
    /** So many seconds go by, a tenth at a time. */
    pass: (seconds: number) => {
      for (let i = 0; i < seconds * 10; i++) {
        clock += 0.1
        if (isDrawn) draw?.()
      }
    },
  }
}

describe('a cut that plays', () => {
  test('without a file a clock runs, faster with each press, to its end and from its begin again', () => {
    const { of, pass } = player(60)
    of.toggle()
    pass(5)
    expect(of.now.value).toBeCloseTo(5)
    of.shuttle(1)
    pass(5)
    expect([of.speed.value, Math.round(of.now.value)]).toEqual([2, 15])
    of.shuttle(1)
    of.shuttle(1)
    expect(of.speed.value).toBe(4)
    pass(30)
    expect([of.now.value, of.playing.value]).toEqual([60, false])
    of.toggle()
    expect([of.now.value, of.speed.value]).toEqual([0, 1])
  })

  test('backwards it stands at the begin; a press the other way turns at the usual speed', () => {
    const { of, pass } = player(60)
    of.seek(4)
    of.shuttle(-1)
    of.shuttle(-1)
    pass(1)
    expect(of.now.value).toBeCloseTo(2)
    of.shuttle(1)
    expect(of.speed.value).toBe(1)
    of.shuttle(-1)
    pass(10)
    expect([of.now.value, of.playing.value]).toEqual([0, false])
  })

  test('a jump stays within; without a length it goes on', () => {
    const { of } = player(12)
    of.jump(1)
    of.jump(1)
    of.jump(1)
    expect(of.now.value).toBe(12)
    of.jump(-1)
    expect(of.now.value).toBe(7)
    const endless = player(undefined)
    endless.of.seek(5000)
    endless.of.toggle()
    endless.pass(1)
    expect(endless.of.now.value).toBeCloseTo(5001)
  })

  test('a frame on and a frame back is the same frame, at every rate, and each press shows the next', () => {
    const rates = fc.constantFrom<FrameRate>('23.976', '24', '25', '29.97', '29.97 drop', '30', '50', '59.94')
    fc.assert(
      fc.property(rates, fc.double({ min: 1, max: 3500, noNaN: true }), (rate, from) => {
        const { of } = player(3600, rate)
        of.seek(from)
        const frame = () => frameAt(of.now.value, rate)
        const before = frame()
        of.frame(1)
        expect(frame()).toBe(before + 1)
        of.frame(1)
        expect(frame()).toBe(before + 2)
        of.frame(-1)
        of.frame(-1)
        expect(frame()).toBe(before)
      }),
      { numRuns: 400 },
    )
    const { of, pass } = player(10)
    of.toggle()
    pass(1)
    of.frame(-1)
    expect(of.playing.value).toBe(false)
  })
})
