import { exampleScript } from '../examples'
import { spineOf } from './spine'

const pace = { camera: 150, voice: 160 }
const words = (n: number) => `${Array.from({ length: n }, () => 'word').join(' ')}.`

describe('a script drawn true to time', () => {
  test('a section that is twice as long is twice as high, and what is blank can still be seen', () => {
    const spine = spineOf(exampleScript({ A: [words(100)], B: [words(200)], C: [''] }), pace, 400)
    const heights = spine.sections.map((s) => s.beats[0]?.height ?? 0)
    const [a = 0, b = 0, c = 0] = heights
    expect((b + 1) / (a + 1)).toBeCloseTo(2, 1)
    expect(c).toBeGreaterThanOrEqual(5)
    expect(spine.sections[2]?.beats[0]?.kind).toBe('blank')
  })

  test('titles never stand over one another', () => {
    const spine = spineOf(exampleScript({ A: [''], B: [''], C: [''], D: [words(300)] }), pace, 300)
    const labels = spine.sections.map((s) => s.label)
    for (const [i, label] of labels.slice(1).entries())
      expect(label - (labels[i] ?? 0)).toBeGreaterThanOrEqual(19)
    expect(spine.height).toBeGreaterThanOrEqual((labels.at(-1) ?? 0) + 19)
  })

  test('a long stretch with nothing to look at is bracketed where it stands, a short one is not', () => {
    const spine = spineOf(exampleScript({ A: [words(20)], B: [words(200)] }), pace, 400)
    expect(spine.bare?.top).toBe(0)
    expect(spineOf(exampleScript({ A: [words(20)] }), pace, 400).bare).toBeUndefined()
  })

  test('spoken freely a section is as high as it lasts, whatever notes it has', () => {
    const script = exampleScript({ A: ['a note'], B: [words(150)] })
    for (const s of script.sections.slice(0, 1)) Object.assign(s, { spoken: 'free', lasts: 61 })
    const [a, b] = spineOf(script, pace, 400).sections
    expect(((b?.top ?? 0) - (a?.top ?? 0)) / (b?.beats[0]?.height ?? 1)).toBeCloseTo(1, 1)
  })
})
