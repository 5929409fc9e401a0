import fc from 'fast-check'
import { certainOrder, untangled } from './order-shots'
import { bestOrder } from './shots-exact'
import { searched } from './shots-search'
import {
  changeBetween,
  changeCosts,
  costOfOrder,
  counted,
  isKept,
  isLess,
  usualCosts,
  type OrderCost,
  type Shot,
  type ShotDay,
} from './shots'
import { togetherBySetUp } from './shots-together'
import { runs } from '../runs'

const day = (light = Infinity): ShotDay => ({ costs: usualCosts, light })
const shot = (id: string, fields: Partial<Shot> = {}): Shot => ({
  id,
  place: 'bench',
  framing: 'wide',
  light: 'key',
  clothes: 'apron',
  minutes: 10,
  must: true,
  after: [],
  daylight: false,
  ...fields,
})

/** Shots as their order is found: at once where that is certain, else by so many tries. */
const orderShots = (shots: readonly Shot[], of: ShotDay, tries = 4000) =>
  counted(certainOrder(shots, of) ?? searched(untangled(shots), of, tries), of)

/** Every order there is. */
function* orders<T>(list: readonly T[]): Generator<T[]> {
  if (list.length === 0) yield []
  for (const [i, first] of list.entries())
    for (const rest of orders(list.toSpliced(i, 1))) yield [first, ...rest]
}
/** The least cost of all orders that keep what must be kept, tried one by one. */
function bruteForce(shots: readonly Shot[], of: ShotDay): OrderCost | undefined {
  const given = new Map(shots.map((s, i) => [s.id, i]))
  let least: OrderCost | undefined
  for (const order of orders(shots)) {
    if (!isKept(order)) continue
    const cost = costOfOrder(order, of, given)
    if (!least || isLess(cost, least)) least = cost
  }
  return least
}

const cases = fc
  .record({
    shots: fc.array(
      fc.record({
        place: fc.constantFrom('bench', 'yard', 'slip'),
        framing: fc.constantFrom('wide', 'close'),
        light: fc.constantFrom('key', 'sun'),
        clothes: fc.constantFrom('apron', 'coat'),
        minutes: fc.integer({ min: 1, max: 20 }),
        must: fc.boolean(),
        daylight: fc.boolean(),
        after: fc.option(fc.nat(7), { nil: undefined }),
        behind: fc.option(fc.nat(30), { nil: undefined }),
      }),
      { minLength: 1, maxLength: 8 },
    ),
    light: fc.integer({ min: 10, max: 120 }),
  })
  .map(({ shots, light }) => ({
    light,
    // Each follows at most an earlier one of the list, so that nothing goes round in a circle.
    shots: shots.map((s, i): Shot => {
      const behind = s.behind !== undefined && s.behind < i ? `s${s.behind}` : undefined
      return { ...s, id: `s${i}`, after: s.after !== undefined && s.after < i ? [`s${s.after}`] : [], behind }
    }),
  }))

describe('the order of shots', () => {
  test('against brute force: fewest after the light, fewest minutes of change, must-haves early, never broken', () => {
    let tried = 0
    fc.assert(
      fc.property(cases, ({ shots, light }) => {
        const given = new Map(shots.map((s, i) => [s.id, i]))
        const least = bruteForce(shots, day(light))
        const best = bestOrder(shots, day(light))
        if (!least) {
          expect(best).toBeUndefined()
          return
        }
        tried++
        expect(best && isKept(best)).toBe(true)
        expect(costOfOrder(best ?? [], day(light), given)).toEqual(least)
      }),
      { numRuns: runs(70) },
    )
    expect(tried).toBeGreaterThan(runs(29))
  })

  test('the search for many breaks nothing, and is never worse than the given order', () => {
    fc.assert(
      fc.property(cases, ({ shots, light }) => {
        const free = shots.map((s) => ({ ...s, behind: undefined }))
        const given = new Map(free.map((s, i) => [s.id, i]))
        const found = searched(free, day(light), 600)
        expect(isKept(found)).toBe(true)
        expect(new Set(found.map((s) => s.id)).size).toBe(free.length)
        expect(isLess(costOfOrder(free, day(light), given), costOfOrder(found, day(light), given))).toBe(
          false,
        )
      }),
      { numRuns: runs(30) },
    )
  })

  test('shots alike stand together: three set-ups are two changes, however they were given', () => {
    const many = Array.from({ length: 18 }, (_, i) =>
      shot(`s${i}`, { place: ['bench', 'yard', 'slip'][i % 3] ?? '' }),
    )
    expect(counted(many, day()).changes).toBe(17)
    expect(orderShots(many, day()).changes).toBe(2)
  })

  test('what needs daylight comes before its end; what can’t is named', () => {
    const shots = [
      shot('in'),
      shot('out', { place: 'yard', daylight: true }),
      shot('far', { place: 'slip', daylight: true }),
    ]
    expect(orderShots(shots, day(40)).dark).toEqual([])
    expect(orderShots(shots, day(40)).order.at(-1)).toBe('in')
    expect(orderShots(shots, day(12)).dark).toHaveLength(1)
  })

  test('many shots in few set-ups: never more changes than by going through the set-ups in any order', () => {
    const setUps = fc.uniqueArray(
      fc.record({
        place: fc.constantFrom('bench', 'yard', 'slip'),
        framing: fc.constantFrom('wide', 'close'),
        light: fc.constantFrom('key', 'sun'),
        clothes: fc.constantFrom('apron', 'coat'),
      }),
      { minLength: 2, maxLength: 6, selector: (s) => JSON.stringify(s) },
    )
    const many = fc.tuple(
      setUps,
      fc.array(fc.record({ of: fc.nat(5), must: fc.boolean() }), { minLength: 13, maxLength: 40 }),
    )
    let tried = 0
    fc.assert(
      fc.property(many, ([each, shown]) => {
        const shots = shown.map(({ of, must }, i) =>
          shot(`s${i}`, { ...(each[of % each.length] ?? {}), must }),
        )
        const there = each.filter((e) => shots.some((s) => changeBetween(s, shot('', e), usualCosts) === 0))
        const least = Math.min(
          ...[...orders(there)].map(
            (o) =>
              counted(
                o.map((e, i) => shot(`${i}`, e)),
                day(),
              ).minutes,
          ),
        )
        const found = togetherBySetUp(shots, day()) ?? []
        expect(new Set(found.map((s) => s.id)).size).toBe(shots.length)
        expect(counted(found, day())).toMatchObject({ minutes: least, changes: there.length - 1 })
        // Within a set-up nothing that could be left stands before what must be got.
        const stands = (s: Shot, i: number) =>
          i === 0 || !s.must || found[i - 1]?.must || changeBetween(found[i - 1] ?? s, s, usualCosts) > 0
        expect(found.every(stands)).toBe(true)
        if (there.length > 2) tried++
      }),
      { numRuns: runs(40) },
    )
    expect(tried).toBeGreaterThan(runs(20))
  })

  test('many in few set-ups: what must follow does, and what tears a set-up apart is sought shot by shot', () => {
    const places = ['bench', 'yard', 'slip']
    const many = Array.from({ length: 18 }, (_, i) => shot(`s${i}`, { place: places[i % 3] ?? '' }))
    const tied = many.map((s) => (s.id === 's0' ? { ...s, after: ['s2'] } : s))
    const order = togetherBySetUp(tied, day())?.map((s) => s.id) ?? []
    expect(order.indexOf('s0')).toBeGreaterThan(order.indexOf('s2'))
    const torn = tied.map((s) => (s.id === 's5' ? { ...s, after: ['s3'] } : s))
    expect(togetherBySetUp(torn, day())).toBeUndefined()
    expect(togetherBySetUp([...many.slice(1), shot('late', { daylight: true })], day(30))).toBeUndefined()
    expect(togetherBySetUp([...many, shot('put', { behind: 's1' })], day())).toBeUndefined()
    // What is in hand comes first, and what is like it right behind it.
    const inHand = many.map((s) => (s.id === 's7' ? { ...s, must: false, behind: '' } : s))
    const from = togetherBySetUp(inHand, day()) ?? []
    expect(from.slice(0, 6).map((s) => s.place)).toEqual(Array(6).fill('yard'))
    expect(from[0]?.id).toBe('s7')
    expect(togetherBySetUp([...inHand, shot('also', { behind: '' })], day())).toBeUndefined()
  })

  test('the search for many comes as near as going through the set-ups in the best order', () => {
    const many = Array.from({ length: 40 }, (_, i) =>
      shot(`s${i}`, {
        place: ['bench', 'yard', 'slip'][i % 3] ?? '',
        light: ['key', 'sun'][i % 2] ?? '',
        framing: ['wide', 'close'][(i >> 2) % 2] ?? '',
      }),
    )
    const best = counted(togetherBySetUp(many, day()) ?? [], day()).minutes
    expect(best).toBeGreaterThan(0)
    expect(counted(searched(many, day(), 4000), day()).minutes).toBeLessThanOrEqual(best * 1.1)
  })

  test('a show’s own minutes decide: where clothes take long, what is worn stays on', () => {
    const of = (id: string, place: string, clothes: string) => shot(id, { place, clothes })
    const shots = [
      of('a', 'bench', 'apron'),
      of('b', 'bench', 'coat'),
      of('c', 'yard', 'apron'),
      of('d', 'yard', 'coat'),
    ]
    const turns = (costs: ShotDay['costs']) => orderShots(shots, { costs, light: Infinity }).order.join('')
    expect(turns(usualCosts)).toMatch(/^(ab|ba)(cd|dc)$/)
    const slow = { place: 4, framing: 3, light: 10, clothes: 40 }
    expect(turns(changeCosts([{ changeMinutes: slow }]))).toMatch(/^(ac|ca)(bd|db)$/)
    expect(changeCosts([{}, { changeMinutes: slow }])).toEqual({
      place: 15,
      framing: 3,
      light: 10,
      clothes: 40,
    })
    expect(changeCosts([])).toEqual(usualCosts)
  })

  test('a change costs what it takes: place, framing, light and clothes each', () => {
    const other = shot('b', { place: 'yard', framing: 'close', light: 'sun', clothes: 'coat' })
    expect(changeBetween(shot('a'), other, usualCosts)).toBe(36)
    expect(changeBetween(shot('a'), shot('b'), usualCosts)).toBe(0)
  })

  test('what the hand has put stays behind its neighbour, and is let go where it can’t', () => {
    const shots = [shot('a'), shot('b', { place: 'yard' }), shot('c', { behind: 'b' })]
    const { order } = orderShots(shots, day())
    expect(order.indexOf('c')).toBe(order.indexOf('b') + 1)
    const round = [shot('a', { after: ['b'] }), shot('b', { behind: 'a' })]
    expect(orderShots(round, day()).order).toEqual(['b', 'a'])
    const circle = [shot('a', { after: ['b'] }), shot('b', { after: ['a'] })]
    expect(orderShots(circle, day()).order).toHaveLength(2)
  })
})
