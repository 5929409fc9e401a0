import { exampleEpisode, exampleScript, exampleShow } from '../examples'
import { certainOrder } from '../plan/order-shots'
import { usualCosts } from '../plan/shots'
import type { ShotPlan } from '../records'
import { shotsOf } from '../session/items'
import { usualShot } from '../session/kinds'
import { shotList } from './shot-list'

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

const day = { costs: usualCosts, light: Infinity }
const items = shotsOf({ episode: exampleEpisode(), script, show: exampleShow({ kind: 'audio' }) })
const order =
  certainOrder(
    items.map((i) => i.shot),
    day,
  )?.map((s) => s.id) ?? []

test('shots of one set-up stand together under its name, with their minutes; what was got is counted', () => {
  const list = shotList(items, order, day)
  const bench = list.setUps.find((s) => s.name === 'Bench, wide')
  expect(bench).toMatchObject({ minutes: 5 + usualShot, got: 1 })
  expect(bench?.items.map((i) => i.id)).toEqual(['a', 'c'])
  expect(list.setUps.map((s) => s.name).sort()).toEqual(['', 'Bench, wide', 'Yard'])
  expect([list.before.changes, list.now.changes]).toEqual([3, 2])
  expect(list.now.minutes).toBeLessThan(list.before.minutes)
})

test('an episode without shots has no set-up', () => {
  expect(shotList([], [], day).setUps).toEqual([])
})
