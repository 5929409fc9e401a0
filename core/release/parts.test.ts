import { exampleEpisode, exampleRecords, exampleScript } from '../examples'
import type { Episode, Script } from '../records'
import { partState, requiredParts, titleOf } from './parts'

const records = exampleRecords()
const show = records.shows.get('show')
const recipe = records.recipes.get('recipe')
if (!show || !recipe) throw new Error('no example')
const outlets = [...records.outlets.values()]
function state(part: Parameters<typeof partState>[0], fields: Partial<Episode> = {}, script?: Script) {
  if (!show || !recipe) throw new Error('no example')
  return partState(part, { episode: exampleEpisode(fields), show, recipe, script, outlets })
}

describe('parts', () => {
  test('a title is there when one is chosen, and fails when it is too long', () => {
    expect(state('title')).toMatchObject({ state: 'missing', mend: { label: 'Write some', stage: 'brief' } })
    expect(state('title', { titles: [{ id: 't', text: 'Ribs' }] })).toMatchObject({
      state: 'missing',
      sentence: '1 candidate, none chosen',
    })
    expect(state('title', { titles: [{ id: 't', text: 'Ribs' }], chosenTitle: 't' }).state).toBe('there')
    expect(state('title', { titles: [{ id: 't', text: 'x'.repeat(101) }], chosenTitle: 't' })).toMatchObject({
      state: 'failing',
      sentence: '101 of 100 characters',
    })
  })

  test('the title shown is the chosen one, else the working title', () => {
    expect(titleOf(exampleEpisode())).toBe('Steaming oak ribs')
    expect(titleOf(exampleEpisode({ titles: [{ id: 't', text: 'Bent cold' }], chosenTitle: 't' }))).toBe(
      'Bent cold',
    )
  })

  test('tags over the limit offer to drop the last ones', () => {
    const tags = Array.from({ length: 40 }, (_, i) => `wooden boats ${i}`)
    expect(state('tags', { tags })).toMatchObject({ state: 'failing', mend: { focus: 'fit-tags' } })
    expect(state('tags', { tags: ['oak'] })).toMatchObject({
      state: 'there',
      sentence: '3 of 500 characters',
    })
  })

  test('a thumbnail is there when one of the pictures is chosen', () => {
    const pictures = [
      { id: 'p', name: 'a.png', type: 'image/png' as const, width: 1280, height: 720, size: 5 },
    ]
    expect(state('thumbnail', { pictures })).toMatchObject({
      state: 'missing',
      sentence: '1 picture, none chosen',
    })
    expect(state('thumbnail', { pictures, chosenPicture: 'gone' }).state).toBe('missing')
    expect(state('thumbnail', { pictures, chosenPicture: 'p' })).toMatchObject({
      state: 'there',
      sentence: '1280 × 720',
    })
  })

  test('chapters pass or say what breaks the outlet’s rules', () => {
    expect(state('chapters')).toMatchObject({ state: 'missing', mend: { stage: 'script' } })
    const script = exampleScript({ Hook: ['One.'], Body: ['Two.'], End: ['Three.'] })
    expect(
      state('chapters', { cut: { length: 100, starts: { Hook: 0, Body: 4, End: 50 } } }, script),
    ).toMatchObject({ state: 'failing', sentence: '“Hook” has 4 s, less than 10 s' })
    expect(
      state('chapters', { cut: { length: 100, starts: { Hook: 0, Body: 30, End: 50 } } }, script).state,
    ).toBe('there')
  })

  test('shots are there when each that was noted is got, and the words to camera too', () => {
    expect(state('shots', {}, exampleScript({}))).toMatchObject({ state: 'missing', sentence: 'none noted' })
    const script = exampleScript({ Hook: ['One.'] })
    expect(state('shots', {}, script)).toMatchObject({ state: 'missing', sentence: '0 of 1 got' })
    const filmed = structuredClone(script)
    filmed.sections[0]?.beats[0]?.cues.push({ id: 'c', kind: 'shot', text: 'Low', got: true })
    expect(state('shots', {}, filmed)).toMatchObject({ state: 'missing', sentence: '1 of 2 got' })
    expect(state('shots', {}, { ...filmed, toCamera: { got: true } }).state).toBe('there')
  })

  test('the outlets’ required parts come once each, in the trade’s order', () => {
    expect(requiredParts(outlets)).toEqual([
      'title',
      'description',
      'chapters',
      'tags',
      'thumbnail',
      'length',
    ])
    expect(requiredParts([])).toEqual([])
  })
})
