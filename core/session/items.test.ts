import fc from 'fast-check'
import { exampleEpisode, exampleRecords, exampleScript } from '../examples'
import type { Cue, Script } from '../records'
import { cameraId, shotsToGet } from '../script/to-camera'
import { partState } from '../release/parts'
import { sectionsOf, shotsOf } from './items'

const take = { id: 't', at: '2026-11-24T09:00:00.000Z', seconds: 20, kept: true, reason: '' }

/** A script of some beats, each with delivery, words or none, cues got or not, and sections with a take kept or not. */
const scripts = fc
  .array(
    fc.record({
      kept: fc.boolean(),
      beats: fc.array(
        fc.record({
          camera: fc.boolean(),
          text: fc.constantFrom('', 'The keel lies on its side.'),
          cues: fc.array(
            fc.record({ kind: fc.constantFrom('shot' as const, 'find' as const), got: fc.boolean() }),
            { maxLength: 2 },
          ),
        }),
        { maxLength: 3 },
      ),
    }),
    { maxLength: 4 },
  )
  .chain((sections) => fc.record({ sections: fc.constant(sections), got: fc.boolean() }))
  .map(({ sections, got }): Script => {
    const blank = exampleScript({})
    return {
      ...blank,
      ...(got ? { toCamera: { got } } : {}),
      sections: sections.map((s, i) => ({
        ...{ id: `s${i}`, title: `Section ${i}`, takes: s.kept ? [take] : [] },
        beats: s.beats.map((b, j) => ({
          ...{ id: `s${i}b${j}`, hold: 0, text: b.text, delivery: b.camera ? 'camera' : 'voice' },
          cues: b.cues.map((c, k): Cue => ({ ...c, id: `s${i}b${j}c${k}`, text: 'Low' })),
        })),
      })),
    }
  })

const records = exampleRecords()
const recipe = records.recipes.get('recipe')
const show = records.shows.get('show')
if (!recipe || !show) throw new Error('no example')
const episode = exampleEpisode()

test('what is listed to film, what is counted, and the lamp of the shots are one', () => {
  let [lit, dark] = [0, 0]
  fc.assert(
    fc.property(scripts, fc.constantFrom('video' as const, 'audio' as const), (script, kind) => {
      const of = { ...show, kind }
      const listed = shotsOf({ episode, script, show: of })
      const got = listed.filter((i) => i.got).length
      expect(shotsToGet(script, of)).toEqual({ got, needed: listed.length })
      const { state } = partState('shots', { episode, script, show: of, recipe, outlets: [] })
      expect(state === 'there').toBe(listed.length > 0 && got === listed.length)
      if (state === 'there') lit++
      else dark++
    }),
    { numRuns: 300 },
  )
  expect(Math.min(lit, dark)).toBeGreaterThan(15)
})

test('the words to camera are one shot before the others; a section spoken before the camera is got by a kept take', () => {
  const script = exampleScript({ Hook: ['The keel.'], Body: ['The plane.'] })
  const of = (s: Script) => shotsOf({ episode, script: s, show })
  expect(of(script).map((i) => [i.id, i.kind, i.got])).toEqual([[cameraId(episode.id), 'camera', false]])
  const [hook, body] = script.sections
  if (!hook || !body) throw new Error('no sections')
  const half = { ...script, sections: [{ ...hook, takes: [take] }, body] }
  expect(of(half)[0]?.got).toBe(false)
  const whole = { ...script, sections: [hook, body].map((s) => ({ ...s, takes: [take] })) }
  expect(of(whole)[0]?.got).toBe(true)
  const rejected = { ...take, kept: false }
  expect(of({ ...whole, sections: [{ ...hook, takes: [rejected] }, body] })[0]?.got).toBe(false)
})

test('what is recorded is the sections, as long as they are spoken, a minute at least', () => {
  const words = 'The keel lies on its side and waits for the plane. '
  const script = exampleScript({ Hook: ['Hm.'], Talk: [words.repeat(60)] })
  const items = sectionsOf({ episode, script, show })
  expect(items.map((i) => [i.name, i.kind, i.got])).toEqual([
    ['Hook', 'section', false],
    ['Talk', 'section', false],
  ])
  expect(items[0]?.shot.minutes).toBe(1)
  expect(items[1]?.shot.minutes).toBeGreaterThanOrEqual(4)
})
