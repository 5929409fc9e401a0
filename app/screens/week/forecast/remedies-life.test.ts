import fc from 'fast-check'
import { effectScope, nextTick, ref } from 'vue'
import type { Outlook } from '@core/plan/outlook'
import type { Records } from '@core/records'
import { exampleWorld } from '@core/views/example-cards'
import { useCards } from '@app/stores/cards'
import { deskThatDoes } from '@app/stores/example-desk'
import { liveThrough, someDeeds } from '@app/stores/example-life'
import { usePlan } from '@app/stores/plan'
import { useRemedies } from './useRemedies'
import { runs } from '@core/runs'

jest.mock('@app/data/library', () => ({ Library: jest.fn() }))
jest.mock('vue', () => ({
  ...jest.requireActual<object>('vue'),
  onBeforeUnmount: jest.requireActual<{ onScopeDispose: unknown }>('vue').onScopeDispose,
}))
jest.mock('comlink', () => jest.requireActual<object>('@app/stores/example-worker'))

/** An episode's forecast, opened. */
async function opened(records: Records, now: number, id: string) {
  const desk = deskThatDoes(records, now)
  const plan = usePlan()
  await plan.refresh()
  desk.makeCurrent()
  const cards = useCards()
  const scope = effectScope()
  const outlook = plan.outlooks.get(id)
  const step = cards.stepIn.get(outlook?.last ?? '')?.state.step
  const remedies = scope.run(() => useRemedies(id, ref(cards.card(id)), ref(outlook), ref(step)))
  if (!remedies) throw new Error('no scope')
  for (let i = 0; i < 200 && remedies.choices.value.some((c) => !remedies.own(c.name)); i++) await nextTick()
  return {
    desk,
    plan,
    remedies,
    end: () => {
      scope.stop()
    },
  }
}
const shown = (o: Outlook | undefined) => o && { is: o.is, chance: o.chance, release: o.release, p50: o.p50 }

test('what each way out shows beforehand is what stands there once it is done, of this release and the others', async () => {
  const tried = new Map<string, number>()
  await fc.assert(
    fc.asyncProperty(someDeeds, fc.nat(5), async (row, n) => {
      let records = exampleWorld()
      const now = liveThrough(row, records, (next) => {
        records = next
      })
      const first = await opened(records, now, '')
      first.end()
      const ids = [...first.plan.outlooks.keys()]
      const id = ids[n % Math.max(1, ids.length)] ?? ''
      const { remedies, end } = await opened(records, now, id)
      const said = remedies.choices.value.map((c) => ({ name: c.name, own: remedies.own(c.name) }))
      end()
      for (const { name, own } of said) {
        const again = await opened(records, now, id)
        const choice = again.remedies.choices.value.find((c) => c.name === name)
        const before = again.plan.outlooks
        await choice?.act()
        expect([name, again.desk.refused]).toEqual([name, []])
        await again.plan.refresh()
        const after = again.plan.outlooks
        expect([name, shown(own?.next)]).toEqual([name, shown(after.get(id))])
        const others = [...before.values()].filter(
          (o) => o.episode !== id && Math.abs((after.get(o.episode)?.chance ?? o.chance) - o.chance) >= 0.01,
        )
        expect([name, own?.others]).toEqual([name, others.length])
        const kind = name.replace(/“.*”|\d.*/g, '').slice(0, 12)
        tried.set(kind, (tried.get(kind) ?? 0) + 1)
        again.end()
      }
    }),
    { numRuns: runs(4), seed: 20_261_127, endOnFailure: true },
  )
  expect([...tried.values()].reduce((a, b) => a + b, 0)).toBeGreaterThan(20)
  expect(tried.size).toBeGreaterThan(4)
})
