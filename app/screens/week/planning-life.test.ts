import fc from 'fast-check'
import { effectScope, ref } from 'vue'
import type { Records } from '@core/records'
import { exampleWorld } from '@core/views/example-cards'
import { deskThatDoes } from '@app/stores/example-desk'
import { liveThrough, someDeeds } from '@app/stores/example-life'
import { usePlan } from '@app/stores/plan'
import { usePlanning } from './usePlanning'
import { runs } from '@core/runs'

jest.mock('@app/data/library', () => ({ Library: jest.fn() }))
jest.mock('comlink', () => jest.requireActual<object>('@app/stores/example-worker'))

/** The Week, where planning is asked for. */
async function week(records: Records, now: number) {
  const desk = deskThatDoes(records, now)
  const plan = usePlan()
  await plan.refresh()
  desk.makeCurrent()
  const scope = effectScope()
  const planning = scope.run(() => usePlanning(ref('2026-11-23')))
  if (!planning) throw new Error('no scope')
  return {
    desk,
    plan,
    planning,
    end: () => {
      scope.stop()
    },
  }
}

describe('a plan that is proposed', () => {
  test('taken, makes of each release what it said, and is one step of undo', async () => {
    let [said, moved, none] = [0, 0, 0]
    await fc.assert(
      fc.asyncProperty(someDeeds, fc.boolean(), async (row, far) => {
        let records = exampleWorld()
        const now = liveThrough(row, records, (next) => {
          records = next
        })
        const { desk, plan, planning, end } = await week(records, now)
        planning.planFor(far ? 'all' : 'week')
        await planning.propose()
        expect(plan.proposal?.done).toBe(true)
        const shifts = planning.releases.value
        const before = desk.library.records
        await planning.take(false)
        if (desk.refused.length > 0) {
          // Nothing is open that could be planned.
          expect([plan.proposal?.plan.blocks.filter((b) => !b.fixed), desk.library.records]).toEqual([
            [],
            before,
          ])
          none++
          return
        }
        expect(plan.proposal).toBeUndefined()
        await plan.refresh()
        for (const {
          episode,
          outlook: [was, is],
        } of shifts) {
          const now = plan.outlooks.get(episode)
          expect([episode, now?.is, now?.chance, now?.p50]).toEqual([episode, is.is, is.chance, is.p50])
          said++
          if (was.chance !== is.chance) moved++
        }
        desk.undo()
        expect(desk.library.records).toEqual(before)
        end()
      }),
      { numRuns: runs(7), seed: 20_261_127, endOnFailure: true },
    )
    expect(said).toBeGreaterThan(8)
    expect(moved + none).toBeGreaterThan(1)
  })
})
