import { exampleScript } from '../examples'
import { usualCosts } from '../plan/shots'
import type { ShotPlan } from '../records'
import { shotList, usualShot } from './shot-list'

const plans: Record<string, ShotPlan> = {
  a: { place: 'Bench', framing: 'wide', minutes: 5 },
  b: { place: 'Yard', daylight: true },
  c: { place: 'Bench', framing: 'wide' },
  d: {},
}
const script = exampleScript({ Hook: ['The plane.', 'The adze.', 'The saw.', 'The end.'] })
for (const s of script.sections)
  s.beats.forEach((b, i) => {
    const id = 'abcd'[i] ?? ''
    b.cues = [
      { id, kind: 'shot', text: id, got: id === 'a', shot: plans[id] },
      { id: `${id}-note`, kind: 'edit', text: 'note', got: false },
    ]
  })

test('shots of one set-up stand together under its name, with their minutes; what was got is counted', () => {
  const list = shotList(script, { costs: usualCosts, light: Infinity })
  const bench = list.setUps.find((s) => s.name === 'Bench, wide')
  expect(bench).toMatchObject({ minutes: 5 + usualShot, got: 1 })
  expect(bench?.shots.map((s) => s.cue.id)).toEqual(['a', 'c'])
  expect(list.setUps.map((s) => s.name).sort()).toEqual(['', 'Bench, wide', 'Yard'])
  expect([list.before.changes, list.now.changes]).toEqual([3, 2])
  expect(list.now.minutes).toBeLessThan(list.before.minutes)
})

test('an episode without shots has no set-up', () => {
  expect(shotList(undefined, { costs: usualCosts, light: 60 }).setUps).toEqual([])
})
