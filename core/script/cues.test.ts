import { exampleScript } from '../examples'
import type { Cue, Script } from '../records'
import { longestBare, pointSeconds } from './attention'
import { creditsOf, lacksLicence, numberedCues } from './cues'
import { sectionSeconds } from './timing'

const pace = { camera: 150, voice: 160 }
const cue = (id: string, fields: Partial<Cue> = {}): Cue => ({
  id,
  kind: 'shot',
  text: id,
  got: false,
  ...fields,
})

function withCues(script: Script, cues: Record<string, Cue[]>): Script {
  return {
    ...script,
    sections: script.sections.map((s) => ({
      ...s,
      beats: s.beats.map((b) => ({ ...b, cues: cues[b.id] ?? [] })),
    })),
  }
}

test('cues are numbered in the order of their words; what belongs to a whole beat comes last in it', () => {
  const script = withCues(exampleScript({ Hook: ['The plane, the adze.'], Body: ['More.'] }), {
    'Hook/0': [cue('whole'), cue('adze', { from: 15, to: 19 }), cue('plane', { from: 4, to: 9 })],
    'Body/0': [cue('more')],
  })
  expect(numberedCues(script).map((c) => [c.number, c.cue.id, c.words])).toEqual([
    [1, 'plane', 'plane'],
    [2, 'adze', 'adze'],
    [3, 'whole', 'The plane, the adze.'],
    [4, 'more', 'More.'],
  ])
})

test('the longest stretch with nothing to look at runs over sections, and ends at a picture or voice-over', () => {
  const words = (n: number) => `${Array.from({ length: n }, () => 'word').join(' ')}.`
  const script = withCues(exampleScript({ A: [words(25), words(50)], B: [words(75)], C: [words(200)] }), {
    'A/0': [cue('x')],
    'C/0': [cue('y', { kind: 'graphic' })],
  })
  const bare = longestBare(script, pace)
  // 25 words are 10 s, a sentence end 0.35 s, a beat’s end 0.8 s (`engine` 9).
  expect(bare).toMatchObject({ beat: 'A/1' })
  expect(bare?.start).toBeCloseTo(11.15)
  expect(bare?.seconds).toBeCloseTo(20 + 1.15 + 30 + 1.15)
  expect(longestBare(exampleScript({}), pace)).toBeUndefined()
})

test('a point has the seconds of the sections that serve it', () => {
  const script = exampleScript({ A: ['One two three.'], B: ['Four.'], C: ['Five six.'] })
  const [a, b] = script.sections
  if (!a || !b) throw new Error('no example')
  a.serves = [0]
  b.serves = [0, 2]
  const [first, second, third] = pointSeconds(script, pace, 3)
  expect(first).toBeCloseTo(sectionSeconds(script, a, pace) + sectionSeconds(script, b, pace))
  expect([second, third]).toEqual([0, sectionSeconds(script, b, pace)])
})

test('what belongs to others needs a licence once it is there, and is credited once', () => {
  const wind = cue('wind', { kind: 'sound', text: 'Wind', source: 'A. Reed', licence: 'CC BY' })
  expect(
    [cue('a', { kind: 'sound' }), wind, cue('b', { kind: 'find', got: true }), cue('c')].map(lacksLicence),
  ).toEqual([false, false, true, false])
  const script = withCues(exampleScript({ A: ['One.', 'Two.'] }), {
    'A/0': [wind, cue('shot', { source: 'mine' })],
    'A/1': [{ ...wind, id: 'again' }],
  })
  expect(creditsOf(script)).toEqual(['Wind, A. Reed, CC BY'])
})
