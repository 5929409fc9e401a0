import { after, exampleContext, exampleEpisode, exampleRecords, exampleScript } from '../examples'
import { planShots } from '../commands/episode/plan-shot'
import { writeScript } from '../commands/episode/write-script'
import { cameraId, episodeOfCamera, toCamera } from './to-camera'

const pace = { camera: 150, voice: 160 }
const words = (n: number) => Array.from({ length: n }, () => 'plank').join(' ')

test('what is said to camera is one shot: its words four times over, voice-over left out', () => {
  const script = exampleScript({ Hook: [words(300)], End: [words(150)] })
  const [, end] = script.sections
  if (end?.beats[0]) end.beats[0].delivery = 'voice'
  const found = toCamera(script, pace)
  expect(found).toMatchObject({ got: false, plan: {}, minutes: 8 })
  expect(found?.seconds).toBeCloseTo(120.8, 1)
  if (script.sections[0]?.beats[0]) script.sections[0].beats[0].delivery = 'voice'
  expect(toCamera(script, pace)).toBeUndefined()
  expect(toCamera(undefined, pace)).toBeUndefined()
})

test('it is got when a take of every section of it was kept, or when it is said to be', () => {
  const script = exampleScript({ Hook: [words(10)], End: [words(10)] })
  const take = { id: 't', at: script.createdAt, seconds: 5, kept: true, reason: '' }
  const [first, second] = script.sections
  if (first) first.takes = [take]
  expect(toCamera(script, pace)?.got).toBe(false)
  if (second) second.takes = [{ ...take, kept: false }, take]
  expect(toCamera(script, pace)?.got).toBe(true)
})

test('how it is filmed is said like of any shot, and it is ticked like one', () => {
  const records = {
    ...exampleRecords([exampleEpisode()]),
    scripts: new Map([['episode', exampleScript({ Hook: [words(10)] })]]),
  }
  const id = cameraId('episode')
  expect([episodeOfCamera(id), episodeOfCamera('cue')]).toEqual(['episode', undefined])
  const plan = { episode: 'episode', shots: [id], to: { place: 'Bench', minutes: 30 } }
  let r = after(records, planShots(records, plan, exampleContext()))
  const wish = { kind: 'get cue' as const, cue: id, got: true }
  r = after(r, writeScript(r, { episode: 'episode', wish }, exampleContext()))
  expect(toCamera(r.scripts.get('episode'), pace)).toMatchObject({
    got: true,
    minutes: 30,
    plan: { place: 'Bench' },
  })
})
