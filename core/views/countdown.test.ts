import { exampleWorld, viewOf } from './example-cards'
import { depthsOf, putsOf, rampPath, rowOf } from './countdown'

const { cards, state } = viewOf(exampleWorld())
const placed = cards.filter((c) => c.standing.release)
const of = (days: number, cardWidth = 100) =>
  putsOf({ cards: placed, today: state.today, days, x: (d) => 200 + 20 * d, head: 120, cardWidth })

test('a card’s right edge is its release; what is further off than the days in sight is not drawn', () => {
  expect(of(42).map((p) => [p.card.title, p.days, p.right])).toEqual([
    ['Ribs', 2, 240],
    ['Keel', 9, 380],
  ])
  expect(of(7).map((p) => p.card.title)).toEqual(['Ribs'])
  expect(of(42)[0]?.left).toBe(140)
})

test('cards of one stage that would cover each other lie in lanes, the most late first', () => {
  const wide = of(42, 200)
  expect(new Set(wide.map((p) => p.row)).size).toBe(1)
  expect(wide.map((p) => p.lane)).toEqual([0, 1])
  expect(depthsOf(wide)[wide[0]?.row ?? 0]).toBe(2)
  expect(depthsOf(of(42))).toEqual([1, 1, 1, 1, 1, 1])
})

test('a stage of the creator’s own lies in the row of the one before it; what is ready in the last', () => {
  const card = placed[0]
  if (!card) throw new Error('no card')
  const [brief, script] = card.recipe.stages
  const own = { id: 'own', kind: 'own' as const, name: 'Proof', parts: [], after: [] }
  const recipe = { ...card.recipe, stages: [brief, script, own].flatMap((s) => s ?? []) }
  expect(rowOf({ ...card, recipe }, 'own')).toBe(rowOf(card, script?.id))
  expect(rowOf(card, undefined)).toBe(5)
})

test('the ramp goes a row down at each stage', () => {
  const path = rampPath(placed[0]?.recipe, 10, (d) => d)
  expect(path.startsWith('M')).toBe(true)
  expect(path.match(/[ML]/g)?.length).toBeGreaterThanOrEqual(8)
  expect(rampPath(undefined, 10, (d) => d)).toBe('')
})
