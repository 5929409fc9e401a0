import { composed } from './composed'
import { readScript, sentencesOf } from './read'
import { releasedTexts } from './released'
import { talkTexts } from './talks'
import { workTexts } from './work'

describe('scripts as they are written by hand', () => {
  test('sections, beats to camera and as voice-over, holds and shots', () => {
    const read = readScript(`
      # hook
      Look here.
      [The rib]
      v| {It} bends {twice}.
      [A finger]
      [sound| Wood creaking; the shed; own]
      +20
      # need 1 3
      Gloves.
    `)
    expect([...read.keys()]).toEqual(['hook', 'need'])
    expect(read.get('hook')?.beats).toEqual([
      { text: 'Look here.', delivery: 'camera', hold: 0, cues: [{ kind: 'shot', text: 'The rib' }] },
      {
        text: 'It bends twice.',
        delivery: 'voice',
        hold: 20,
        cues: [
          { kind: 'shot', text: 'A finger', from: 0, to: 2 },
          { kind: 'sound', text: 'Wood creaking', source: 'the shed', licence: 'own', from: 9, to: 14 },
        ],
      },
    ])
    expect([read.get('hook')?.serves, read.get('need')?.serves]).toEqual([[], [0, 2]])
    expect(readScript('').size).toBe(0)
  })

  test('sentences end at their signs and at lines', () => {
    expect(sentencesOf('One. Two? Three: four\nFive')).toEqual(['One.', 'Two?', 'Three: four', 'Five'])
  })

  test('all that is written by hand reads, with sections the recipes have, each with words', () => {
    const known = new Set([
      'hook',
      'need',
      'making',
      'wrong',
      'cost',
      'signoff',
      'opening',
      'work',
      'story',
      'questions',
      'close',
    ])
    for (const [title, text] of Object.entries({ ...workTexts, ...releasedTexts, ...talkTexts })) {
      const sections = readScript(text)
      expect([title, sections.size]).not.toEqual([title, 0])
      for (const [name, { beats }] of sections) {
        expect([title, name, known.has(name)]).toEqual([title, name, true])
        for (const b of beats) {
          expect(b.text).toMatch(/^[A-Z“].*[.?!]$/)
          expect(b.hold).toBeLessThan(120)
        }
      }
    }
    const asked = Object.values(talkTexts).map((t) => readScript(t).get('questions')?.beats.length)
    expect(asked).toEqual([5, 5, 5, 5, 5])
  })

  test('what is composed names its thing in every sentence', () => {
    const subject = {
      title: 'The garboard, twice',
      topic: 'Planking',
      thing: 'the garboard',
      material: 'larch',
      tool: 'a rebate plane',
      words: 'TWICE',
      motif: 'hull' as const,
    }
    const beats = ['hook', 'need', 'making', 'wrong', 'signoff'].flatMap((s) => composed('video', s, subject))
    expect(beats.length).toBeGreaterThan(12)
    for (const b of beats) {
      expect(b.text).toMatch(/garboard/i)
      expect(b.text).toMatch(/rebate plane/i)
    }
    expect(composed('audio', 'making', subject)).toEqual([])
  })
})
