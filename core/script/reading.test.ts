import { after, exampleContext, exampleEpisode, exampleRecords, exampleScript, refusalOf } from '../examples'
import { changeTake, noteRemark, noteTake } from '../commands/episode/note-take'
import type { Records, Script } from '../records'
import { isGot, learntPace, linesToRead, pacingOf, stepTo } from './reading'

const pace = { camera: 150, voice: 160 }
const words = (n: number) => `${Array.from({ length: n }, () => 'word').join(' ')}.`

function script(): Script {
  const made = exampleScript({ Hook: [words(25), words(16), ''], Body: [words(50)] })
  for (const b of made.sections[0]?.beats.slice(1, 2) ?? []) b.delivery = 'voice'
  return made
}

describe('what is read', () => {
  test('to camera, voice-over is folded and blank beats are left out; everything reads both', () => {
    expect(linesToRead(script(), pace, 'camera').map((l) => [l.kind, l.beat.id])).toEqual([
      ['read', 'Hook/0'],
      ['later', 'Hook/1'],
      ['read', 'Body/0'],
    ])
    expect(linesToRead(script(), pace, 'all').map((l) => l.kind)).toEqual(['read', 'read', 'read'])
  })

  test('a step goes over what is read later, and stays at the ends', () => {
    const lines = linesToRead(script(), pace, 'camera')
    expect([stepTo(lines, 0, 1), stepTo(lines, 2, 1), stepTo(lines, 2, -1), stepTo(lines, 0, -1)]).toEqual([
      2, 2, 0, 0,
    ])
  })
})

test('the pace so far says where it would end; a beat read twice counts by its last time', () => {
  const [first] = linesToRead(script(), pace, 'all')
  if (!first) throw new Error('no example')
  // 25 words: 10 s, an end of a sentence and of a beat, 11.15 s (`engine` 9).
  const slow = pacingOf(
    [
      { line: first, seconds: 4 },
      { line: first, seconds: 22.3 },
    ],
    script(),
    pace,
  )
  expect(slow.planned).toBeCloseTo(11.15)
  expect(slow.soFar).toBeCloseTo(22.3)
  expect(slow.spoken).toBeCloseTo((25 * 60) / 22.3)
  expect(slow.end).toBeCloseTo(2 * slow.ends)
  const none = pacingOf([], script(), pace)
  expect([none.spoken, none.end]).toEqual([undefined, none.ends])
})

test('a kept take moves the show’s pace by three tenths of the difference, pauses apart', () => {
  const section = script().sections[1]
  if (!section) throw new Error('no example')
  // 50 words in 30 s and the pauses: 100 words a minute; 150 - 0.3 × 50.
  expect(learntPace(script(), section, { seconds: 31.15 }, pace)?.camera).toBe(135)
  expect(learntPace(script(), section, { seconds: 2 }, pace)).toBeUndefined()
  expect(learntPace({ ...script(), spoken: 'points' }, section, { seconds: 31.15 }, pace)).toBeUndefined()
})

describe('takes', () => {
  const records: Records = {
    ...exampleRecords([exampleEpisode()]),
    scripts: new Map([['episode', script()]]),
  }
  const context = exampleContext()

  test('a section is got by a take that is kept, and no longer when it is not', () => {
    const noted = after(
      records,
      noteTake(
        records,
        { episode: 'episode', section: 'Body', take: { seconds: 31.15, kept: true, reason: '' } },
        context,
      ),
    )
    const body = noted.scripts.get('episode')?.sections[1]
    expect(body && isGot(body)).toBe(true)
    expect(noted.shows.get('show')?.pace.camera).not.toBe(records.shows.get('show')?.pace.camera)
    const take = body?.takes?.[0]?.id ?? ''
    const not = after(
      noted,
      changeTake(noted, { episode: 'episode', take, to: { kept: false, reason: 'focus' } }, context),
    )
    const now = not.scripts.get('episode')?.sections[1]
    expect(now && isGot(now)).toBe(false)
    expect(now?.takes?.[0]?.reason).toBe('focus')
  })

  test('a remark stands beside its beat as a cue for the edit; nothing is no remark', () => {
    const noted = after(
      records,
      noteRemark(records, { episode: 'episode', beat: 'Hook/0', text: ' lost the light ' }, context),
    )
    expect(noted.scripts.get('episode')?.sections[0]?.beats[0]?.cues).toMatchObject([
      { kind: 'edit', text: 'lost the light', got: false },
    ])
    expect(
      refusalOf(noteRemark(records, { episode: 'episode', beat: 'Hook/0', text: ' ' }, context)),
    ).toMatch(/Write what/)
    expect(
      refusalOf(
        noteTake(
          records,
          { episode: 'episode', section: 'x', take: { seconds: 1, kept: true, reason: '' } },
          context,
        ),
      ),
    ).toMatch(/no longer there/)
  })
})
