import { exampleEpisode, exampleRecords, exampleScript } from '@core/examples'
import { knownPlans, minutesBetween } from './shot-plans'

test('what was said of shots of the same show is known, each once and in order', () => {
  const records = exampleRecords([
    exampleEpisode({ id: 'a', code: 'AB22' }),
    exampleEpisode({ id: 'b', code: 'AB23', show: 'other' }),
  ])
  const script = (id: string, places: string[]) => {
    const made = exampleScript({ Hook: places.map((p) => `At the ${p}.`) }, id)
    for (const s of made.sections)
      s.beats.forEach((b, i) => {
        b.cues = [
          { id: `${id}${i}`, kind: 'shot', text: '', got: false, shot: { place: places[i], light: '' } },
        ]
      })
    return made
  }
  const scripts = new Map([
    ['a', script('a', ['Yard', 'Bench', 'Yard'])],
    ['b', script('b', ['Studio'])],
  ])
  expect(knownPlans({ ...records, scripts }, 'show')).toEqual({
    place: ['Bench', 'Yard'],
    framing: [],
    light: [],
    clothes: [],
  })
})

test('minutes go from one time of day to a later one', () => {
  expect([minutesBetween('10:00', '17:15'), minutesBetween('10:00', '9:00')]).toEqual([435, 0])
})
