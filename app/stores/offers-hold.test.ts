import fc from 'fast-check'
import { exampleContext } from '@core/examples'
import { placeOnSlot, skipSlot } from '@core/commands/schedule'
import { tickStep } from '@core/commands/work'
import { layOnDay } from '@core/commands/week'
import { exampleWorld } from '@core/views/example-cards'
import type { Records } from '@core/records'
import { useCards } from './cards'
import { exampleDesk } from './example-desk'
import { liveThrough, someDeeds } from './example-life'
import { useSchedule } from './schedule'
import { useToday } from './today'
import { runs } from '@core/runs'

jest.mock('@app/data/library', () => ({ Library: jest.fn() }))

/** Lives through random deeds, and looks at what is offered at the end of each life. */
function offered(look: (desk: ReturnType<typeof exampleDesk>, records: Records) => number): void {
  let tried = 0
  fc.assert(
    fc.property(someDeeds, (row) => {
      let records = exampleWorld()
      const desk = exampleDesk(records)
      desk.moment.now = liveThrough(row, records, (next) => {
        records = next
        desk.see(next)
      })
      tried += look(desk, records)
    }),
    { numRuns: runs(25), seed: 20_261_129, endOnFailure: true },
  )
  expect(tried).toBeGreaterThan(40)
}

describe('what is offered can be done, whatever was done before', () => {
  test('what is begun goes onto each open slot that is shown; a slot that is shown can be skipped', () => {
    offered(({ moment }, records) => {
      const context = exampleContext(moment.now)
      const [cards, schedule] = [useCards(), useSchedule()]
      let tried = 0
      for (const card of cards.unplaced.slice(0, 2))
        for (const r of schedule.rows.filter((x) => x.slot && x.show.id === card.show.id).slice(0, 3)) {
          if (r.slot?.skipped !== false) continue
          const wish = { episode: card.episode.id, day: r.slot.original }
          expect([wish, placeOnSlot(records, wish, context)]).toMatchObject([wish, { ok: true }])
          const skip = { show: r.show.id, day: r.slot.original, skip: true }
          expect([skip, skipSlot(records, skip, context)]).toMatchObject([skip, { ok: true }])
          tried++
        }
      return tried
    })
  })

  test('each step that Today names is there to be ticked, and to be laid on today', () => {
    offered(({ moment }, records) => {
      const context = exampleContext(moment.now)
      const today = useToday().day
      const steps = [
        ...(today.first ? [today.first] : []),
        ...today.rest.slice(0, 3),
        ...today.notToday.slice(0, 2),
      ]
      for (const { state } of steps) {
        const tick = { step: state.step.id, done: true }
        expect([tick, tickStep(records, tick, context)]).toMatchObject([tick, { ok: true }])
        const lay = { step: state.step.id, day: moment.today, minutes: 30 }
        const laid = layOnDay(records, lay, context)
        // It is held back by nothing but work that it needs and that lies later.
        if (!laid.ok)
          expect([lay, laid.problem.sentence]).toEqual([
            lay,
            expect.stringMatching(/needs .*, which lies on/),
          ])
      }
      return steps.length
    })
  })
})
