import fc from 'fast-check'
import { effectScope, nextTick } from 'vue'
import { after, exampleContext } from '@core/examples'
import { moveToSlot } from '@core/commands/schedule'
import type { Records } from '@core/records'
import { addDays } from '@core/rhythm/days'
import { exampleWorld } from '@core/views/example-cards'
import { deskThatDoes } from '@app/stores/example-desk'
import { liveThrough, someDeeds } from '@app/stores/example-life'
import { usePlan } from '@app/stores/plan'
import { useDaysChosen } from './useDaysChosen'
import { runs } from '@core/runs'

jest.mock('@app/data/library', () => ({ Library: jest.fn() }))
jest.mock('comlink', () => jest.requireActual<object>('@app/stores/example-worker'))

/** The three episodes with some weeks to go, so that days matter. */
function roomy(): Records {
  const r = exampleWorld()
  const to = (records: Records, episode: string, day: string) =>
    after(records, moveToSlot(records, { episode, day }, exampleContext()))
  return to(to(r, 'e1', '2026-12-24'), 'e0', '2026-12-10')
}

/** Days chosen in the Week, looked at until all is said of them. */
async function chosen(records: Records, now: number, days: readonly string[]) {
  const desk = deskThatDoes(records, now)
  const plan = usePlan()
  await plan.refresh()
  desk.makeCurrent()
  const scope = effectScope()
  let isDone = false
  const seen = scope.run(() =>
    useDaysChosen(
      () => days,
      () => {
        isDone = true
      },
    ),
  )
  if (!seen) throw new Error('no scope')
  for (let i = 0; i < 60; i++) await nextTick()
  desk.makeCurrent()
  return {
    desk,
    plan,
    seen,
    isDone: () => isDone,
    end: () => {
      scope.stop()
    },
  }
}

test('what lost days do to the releases, and what would mend it, is what comes of them', async () => {
  let [broken, mended] = [0, 0]
  await fc.assert(
    fc.asyncProperty(someDeeds, fc.nat(6), fc.integer({ min: 2, max: 9 }), async (row, from, many) => {
      let records = roomy()
      const now = liveThrough(row, records, (next) => {
        records = next
      })
      const days = Array.from({ length: many }, (_, n) => addDays('2026-11-24', from + n))
      const first = await chosen(records, now, days)
      const said = first.seen.breaks.value ?? []
      await first.seen.set(first.seen.minutes.value)
      await first.plan.refresh()
      expect(first.isDone()).toBe(true)
      for (const b of said) {
        const is = first.plan.outlooks.get(b.card.episode.id)
        expect([b.card.title, is?.is, is?.chance]).toEqual([b.card.title, b.after.is, b.after.chance])
        broken++
      }
      first.end()
      for (const { card, mends } of said)
        for (const { name, after } of mends) {
          const again = await chosen(records, now, days)
          const one = again.seen.breaks.value
            ?.find((b) => b.card.episode.id === card.episode.id)
            ?.mends.find((m) => m.name === name)
          const before = again.desk.library.records
          await again.seen.set(again.seen.minutes.value, one)
          expect(again.desk.refused).toEqual([])
          await again.plan.refresh()
          const is = again.plan.outlooks.get(after?.episode ?? '')
          expect([name, is?.is, is?.chance]).toEqual([name, after?.is, after?.chance])
          // What it says of undo is so.
          expect(again.desk.said.at(-1)).toContain('Each is a step of undo')
          again.desk.undo()
          again.desk.undo()
          expect(again.desk.library.records).toEqual(before)
          again.end()
          mended++
        }
    }),
    { numRuns: runs(6), seed: 20_261_127, endOnFailure: true },
  )
  expect(broken).toBeGreaterThan(4)
  expect(mended).toBeGreaterThan(1)
})
