import { exampleScript } from '../examples'
import type { Script } from '../records'
import { changedSince, remarksOn, saysKeyword, sectionText } from './copy-edit'
import { hardRuns } from './hard-words'
import { isOneOff } from './spellings'

const says = (script: Script) => remarksOn(script).map((r) => [r.kind, r.beat, r.says])
const long = `${Array.from({ length: 31 }, (_, i) => `${['oak', 'pine', 'elm'][i % 3] ?? ''}${i}`).join(' ')}.`

describe('remarks on a script', () => {
  test('a sentence to camera of more than 30 words is long; read as voice-over it is not', () => {
    const script = exampleScript({ Hook: [`Short. ${long}`] })
    expect(says(script)).toEqual([['long', 'Hook/0', '31 words in one sentence to camera']])
    const [remark] = remarksOn(script)
    expect(remark && `Short. ${long}`.slice(remark.from, remark.to)).toBe(long)
    for (const s of script.sections) s.beats = s.beats.map((b) => ({ ...b, delivery: 'voice' as const }))
    expect(says(script)).toEqual([])
  })

  test('three sentences in a row with the same opening are remarked at the third, over beats too', () => {
    const script = exampleScript({ Hook: ['You saw it. You cut it.', 'You tar it.'] })
    expect(says(script)).toEqual([['opening', 'Hook/1', '3 sentences in a row begin with “You”']])
    expect(says(exampleScript({ Hook: ['You saw it. You cut it.', 'I tar it.'] }))).toEqual([])
  })

  test('a name spelled two ways is remarked where the rarer spelling stands first', () => {
    const script = exampleScript({
      Hook: ['The boat, Marigold, is old. Her name, Marigold, is carved.'],
      Body: ['We launch the Marygold, then the draw-knife.', 'My draw-knife and the Draw-Knife.'],
    })
    expect(says(script)).toEqual([['spelling', 'Body/0', '“Marygold” here, “Marigold” elsewhere']])
  })

  test('what is dismissed is not said again, until the words change', () => {
    const script = exampleScript({ Hook: [long] })
    const dismissed = remarksOn(script).map((r) => r.key)
    expect(remarksOn({ ...script, dismissed })).toEqual([])
    const other = exampleScript({ Hook: [`So ${long}`] })
    expect(remarksOn({ ...other, dismissed })).toHaveLength(1)
  })

  test('sections spoken from points are let be', () => {
    expect(remarksOn({ ...exampleScript({ Hook: [long] }), spoken: 'points' })).toEqual([])
  })
})

describe('words hard to say', () => {
  const found = (text: string) => hardRuns(text).map(({ from, to }) => text.slice(from, to))

  test('are four with the same beginning, light words between them not counted', () => {
    expect(found('Seven slim, salted sails dried.')).toEqual(['Seven slim, salted sails'])
    expect(found('The brown boat, by bad luck, broke.')).toEqual([])
    expect(found('Tap tap tap tap.')).toEqual([])
    expect(found('She sells. Salt sinks. Some.')).toEqual([])
  })

  test('are two between which six consonants meet', () => {
    expect(found('Its lengths stretched out.')).toEqual(['lengths stretched'])
  })
})

test('words one letter off', () => {
  expect([isOneOff('marigold', 'marygold'), isOneOff('varga', 'vagra'), isOneOff('oak', 'oaks')]).toEqual([
    true,
    true,
    true,
  ])
  expect([isOneOff('oak', 'oak'), isOneOff('pine', 'pitch')]).toEqual([false, false])
})

test('a keyword is said where its words stand one behind the other', () => {
  const script = exampleScript({ Hook: ['One.'], Body: ['How to steam an Oak-rib, slowly.'] })
  expect(saysKeyword(script, 'oak rib')).toBe('Body/0')
  expect(saysKeyword(script, 'rib oak')).toBeUndefined()
  expect(saysKeyword(script, ' ')).toBeUndefined()
})

test('what changed since copy-edit is said by section', () => {
  const then = exampleScript({ A: ['One.'], B: ['Two.'], C: ['Three.'], D: ['Four.'] })
  const now = {
    ...exampleScript({ B: ['Two.'], A: ['One, anew.'], N: ['New.'], D: ['Four.'] }),
    then: {
      at: '2026-11-24T09:00:00.000Z',
      sections: then.sections.map((s) => ({ id: s.id, title: s.title, text: sectionText(s) })),
    },
  }
  expect(changedSince(now).map((c) => [c.id, c.kind])).toEqual([
    ['B', 'moved'],
    ['A', 'changed'],
    ['N', 'new'],
    ['C', 'removed'],
  ])
  expect(changedSince(then)).toEqual([])
})
