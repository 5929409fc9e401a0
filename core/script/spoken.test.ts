import { exampleContext, exampleRecords, exampleEpisode, exampleScript, after } from '../examples'
import { writeScript } from '../commands/episode/write-script'
import type { Script } from '../records'
import { freeSeconds, pointsIn, spokenIn } from './spoken'
import { isInFullWords, scriptFigures, scriptWritten } from './timing'

const pace = { camera: 150, voice: 160, point: 30 }
const three: Script = exampleScript({ Intro: ['One. Two.'], Talk: ['• steam\n• bend\n\n- hold'], End: [''] })

const said = (change: Partial<Script>, ...spoken: (Script['spoken'] | undefined)[]): Script => ({
  ...three,
  ...change,
  sections: three.sections.map((s, i) => ({ ...s, ...(spoken[i] ? { spoken: spoken[i] } : {}) })),
})

test('points are lines with a word in them, bullets apart', () => {
  expect(pointsIn({ text: '• steam\n- bend it\n\n  –\n* 3 mm' })).toEqual(['steam', 'bend it', '3 mm'])
})

test('a section is spoken as it says, else as its script says, else in full words', () => {
  expect(spokenIn(undefined, {})).toBe('words')
  expect(spokenIn({ spoken: 'free' }, {})).toBe('free')
  expect(spokenIn({ spoken: 'free' }, { spoken: 'points' })).toBe('points')
  expect([three, said({}, 'points'), said({ spoken: 'free' })].map(isInFullWords)).toEqual([
    true,
    false,
    false,
  ])
})

test('points count at their own rate, a free section by its length, the rest in words', () => {
  const mixed = said({}, undefined, 'points', 'free')
  const end = mixed.sections[2]
  if (end) end.lasts = 90
  const figures = scriptFigures(mixed, pace)
  // Two words at 150 a minute, two sentence ends, the end of a beat; three points of 30 s; 90 s freely.
  expect(figures.sections.map((s) => Number(s.seconds.toFixed(2)))).toEqual([2.3, 90, 90])
  expect(figures.words).toBe(2)
  expect(figures.blank).toBe(0)
  expect(scriptWritten(mixed)).toBe(true)
})

test('what is free as a whole is shared by its sections that have no length of their own', () => {
  const free = said({ spoken: 'free', lasts: 600 })
  const end = free.sections[2]
  if (!end) throw new Error('no example')
  end.lasts = 100
  expect(free.sections.map((s) => freeSeconds(free, s))).toEqual([250, 250, 100])
  expect(scriptFigures(free, pace).seconds).toBe(600)
  expect(scriptWritten(free)).toBe(true)
  expect(scriptWritten({ ...free, lasts: undefined })).toBe(false)
})

test('an episode without any section is written when its length is typed, and by nothing less', () => {
  const records = exampleRecords([exampleEpisode({ id: 'e0', code: 'AB22', title: 'Ribs' })])
  const wish = (w: Parameters<typeof writeScript>[1]['wish']) =>
    writeScript(records, { episode: 'e0', wish: w }, exampleContext())
  const free = after(records, wish({ kind: 'speak', spoken: 'free' }))
  expect(scriptWritten(free.scripts.get('e0'))).toBe(false)
  const long = after(
    free,
    writeScript(free, { episode: 'e0', wish: { kind: 'last', seconds: 900 } }, exampleContext()),
  )
  expect(scriptWritten(long.scripts.get('e0'))).toBe(true)
  expect(scriptFigures(long.scripts.get('e0'), pace).seconds).toBe(900)
})
