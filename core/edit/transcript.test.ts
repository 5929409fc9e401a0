import fc from 'fast-check'
import { exampleScript } from '../examples'
import { captionFaults, captionLimits, transcriptOf, wrapped } from './transcript'

const pace = { camera: 120, voice: 120 }

test('made from the script: every word once, in order, lines and pieces as long as may be', () => {
  const sentence = fc
    .array(fc.constantFrom('oak', 'rib', 'the', 'varnishing', 'kettle'), { minLength: 1, maxLength: 30 })
    .map((words) => `${words.join(' ')}.`)
  fc.assert(
    fc.property(
      fc.array(fc.array(sentence, { minLength: 1, maxLength: 3 }), { minLength: 1, maxLength: 5 }),
      (rows) => {
        const script = exampleScript(Object.fromEntries(rows.map((r, i) => [`S${i}`, [r.join(' ')]])))
        const captions = transcriptOf(script, pace, { length: 300, starts: {} })
        const said = captions.map((c) => c.text.replaceAll('\n', ' ')).join(' ')
        expect(said).toBe(rows.flat().join(' '))
        for (const [i, c] of captions.entries()) {
          expect(c.to).toBeGreaterThan(c.from)
          expect(c.from).toBeGreaterThanOrEqual((captions[i - 1]?.to ?? 0) - 0.001)
          expect(c.text.split('\n').length).toBeLessThanOrEqual(captionLimits.lines)
          for (const line of c.text.split('\n')) expect(line.length).toBeLessThanOrEqual(captionLimits.line)
        }
        expect(captions.at(-1)?.to ?? 0).toBeCloseTo(300, 1)
      },
    ),
  )
})

test('a word longer than a line stands alone', () => {
  expect(wrapped('an antidisestablishmentarian word', 10)).toEqual([
    'an',
    'antidisestablishmentarian',
    'word',
  ])
})

test('what breaks the rules is said where it does', () => {
  const faults = captionFaults(
    [
      { from: 0, to: 2, text: 'Fine as it is' },
      { from: 1.5, to: 3, text: 'too soon' },
      { from: 14, to: 14.5, text: 'eleven letters and a few' },
      { from: 15, to: 19, text: 'a line that is a good deal longer than it may be' },
      { from: 20, to: 20, text: 'a\nb\nc' },
      { from: 61, to: 64, text: 'late' },
    ],
    60,
  )
  expect(faults.map((f) => [f.index, f.says])).toEqual([
    [1, 'begins before 0:02, where the one before ends'],
    [2, '11 s of nothing before it'],
    [2, '48 letters a second, more than 20'],
    [3, 'a line of 48 letters, more than 42'],
    [4, 'ends before it begins'],
    [4, '3 lines, more than 2'],
    [5, '41 s of nothing before it'],
    [5, 'past the end at 1:00'],
  ])
})

test('no word is left over alone, and a silence of the script is meant', () => {
  const text = 'We are in her wheelhouse, it is ten to six, and the deck hand is salting the ramp.'
  const script = exampleScript({ Opening: [text] })
  const pieces = transcriptOf(script, pace, { starts: {} }).map((c) => c.text)
  expect(pieces.every((p) => p.split(/\s/).length > 2)).toBe(true)
  const apart = [
    { from: 0, to: 2, text: 'One.' },
    { from: 40, to: 42, text: 'Two.' },
  ]
  expect(captionFaults(apart)).toHaveLength(1)
  expect(captionFaults(apart, 60, true)).toEqual([])
})
