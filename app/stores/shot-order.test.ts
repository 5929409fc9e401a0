import { effectScope, nextTick, ref } from 'vue'
import { isKept, usualCosts, type Shot, type ShotDay } from '@core/plan/shots'
import type { Id } from '@core/records'
import { useShotOrder } from './shot-order'

/** A worker that is asked, tells a better order, and ends when the test says so. */
const asked: { shots: readonly Shot[]; tell: (order: Id[]) => void; end: (order: Id[]) => void }[] = []
let stops = 0
jest.mock('comlink', () => ({
  proxy: (f: unknown) => f,
  wrap: () => ({
    order: (shots: readonly Shot[], _: ShotDay, __: number, tell: (order: Id[]) => void) =>
      new Promise<Id[]>((end) => asked.push({ shots, tell, end })),
    stop: () => {
      stops++
      asked.at(-1)?.end(asked.at(-1)?.shots.map((s) => s.id) ?? [])
      return Promise.resolve()
    },
  }),
}))
Object.assign(globalThis, { Worker: EventTarget })

const shot = (n: number, place: string): Shot => ({
  ...{ id: `s${n}`, place, framing: '', light: '', clothes: '', minutes: 5 },
  ...{ must: true, after: [], daylight: false },
})
/** So many shots, each at a place of its own: too many for an order that is certain. */
const many = (count: number, of = '') => Array.from({ length: count }, (_, i) => shot(i, `${of} place ${i}`))
const day: ShotDay = { costs: usualCosts, light: Infinity }
function seek(shots: readonly Shot[]) {
  const here = ref(shots)
  const scope = effectScope()
  const of = scope.run(() =>
    useShotOrder(
      () => here.value,
      () => day,
    ),
  )
  if (!of) throw new Error('no scope')
  return {
    ...of,
    here,
    leave: () => {
      scope.stop()
    },
  }
}
const settled = async () => {
  for (let i = 0; i < 4; i++) await nextTick()
}
const turned = (shots: readonly Shot[]) => shots.map((s) => s.id).reverse()
beforeEach(() => {
  asked.length = 0
  stops = 0
})

test('few set-ups are in order at once, however many shots; nobody is asked', () => {
  const shots = Array.from({ length: 60 }, (_, i) => shot(i, `place ${i % 6}`))
  const of = seek(shots)
  expect([of.seeking.value, asked.length]).toEqual([false, 0])
  const row = of.order.value.flatMap((id) => shots.find((s) => s.id === id) ?? [])
  expect(row.filter((s, i) => i > 0 && s.place !== row[i - 1]?.place)).toHaveLength(5)
  expect(isKept(row)).toBe(true)
})

test('of many a first order stands at once, a better one when it is told, the best at the end', async () => {
  const shots = many(14, 'a')
  const of = seek(shots)
  expect([of.seeking.value, new Set(of.order.value).size]).toEqual([true, 14])
  const better = turned(shots)
  asked[0]?.tell(better)
  expect([of.seeking.value, of.order.value]).toEqual([true, better])
  const best = [...better.slice(1), better[0] ?? '']
  asked[0]?.end(best)
  await settled()
  expect([of.seeking.value, of.order.value]).toEqual([false, best])
})

test('who comes back to what was sought to the end need not wait; what was left or stopped is sought anew', async () => {
  const shots = many(14, 'b')
  const left = seek(shots)
  left.leave()
  await settled()
  expect(stops).toBe(1)
  const stopped = seek(shots)
  expect(asked).toHaveLength(2)
  stopped.stop()
  await settled()
  expect(stopped.seeking.value).toBe(false)
  const whole = seek(shots)
  expect(asked).toHaveLength(3)
  asked[2]?.end(turned(shots))
  await settled()
  const again = seek(shots)
  expect([asked.length, again.seeking.value, again.order.value]).toEqual([3, false, turned(shots)])
  expect(whole.order.value).toEqual(again.order.value)
})

test('what is asked anew meanwhile is answered, not what was asked before', async () => {
  const of = seek(many(14, 'c'))
  of.here.value = many(15, 'd')
  await settled()
  expect(asked).toHaveLength(2)
  asked[0]?.end(turned(many(14, 'c')))
  await settled()
  expect([of.seeking.value, of.order.value.length]).toEqual([true, 15])
  asked[1]?.end(turned(of.here.value))
  await settled()
  expect([of.seeking.value, of.order.value]).toEqual([false, turned(of.here.value)])
})
