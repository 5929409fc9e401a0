import fc from 'fast-check'
import { addDays } from '@core/rhythm/days'
import { movesOfPerson } from '@core/partners/moves'
import { pressing } from '@core/partners/pressing'
import { releaseDay } from '@core/partners/deal-of'
import { everyone } from '@core/partners/people'
import { exampleWorld } from '@core/views/example-cards'
import type { Records } from '@core/records'
import { useCards } from './cards'
import { exampleDesk } from './example-desk'
import { liveThrough, someDeeds } from './example-life'
import { useOut } from './out'
import { usePartners } from './partners'
import { usePromises } from './promises'
import { useSchedule } from './schedule'
import { useSessions } from './sessions'
import { useWorkload } from './workload'
import { runs } from '@core/runs'

jest.mock('@app/data/library', () => ({ Library: jest.fn() }))

/** Lives through random deeds on one desk, and looks at it after each. */
function after(look: (desk: ReturnType<typeof exampleDesk>, records: Records) => void): void {
  const lives = runs(20)
  let seen = 0
  fc.assert(
    fc.property(someDeeds, (row) => {
      const records = exampleWorld()
      const desk = exampleDesk(records)
      liveThrough(row, records, (next) => {
        desk.see(next)
        look(desk, next)
        seen++
      })
    }),
    { numRuns: lives, seed: 20_261_128, endOnFailure: true },
  )
  expect(seen).toBeGreaterThan(lives * 3)
}

describe('after whatever was done', () => {
  test('rows, film and cards have the same releases on the same days under the same numbers', () => {
    after(({ moment }, records) => {
      const [schedule, cards] = [useSchedule(), useCards()]
      const to = addDays(moment.today, 60)
      for (const show of moment.shows) {
        const rows = schedule.rows.filter((r) => r.show.id === show.id && r.at > moment.now && r.day <= to)
        const frames = schedule
          .frames(show, moment.today, to)
          .filter((f) => !f.slot || f.slot.at > moment.now)
        const days = new Set(frames.map((f) => f.day))
        for (const r of rows) expect([r.key, days.has(r.day)]).toEqual([r.key, true])
        const open = schedule.openOf(show, 5).map((s) => s.original)
        const taken = new Set(
          cards.working.flatMap(({ episode: e }) =>
            e.show === show.id && e.place.kind === 'slot' ? [e.place.day] : [],
          ),
        )
        for (const day of open) expect([day, taken.has(day)]).toEqual([day, false])
      }
      const ids = [...cards.working, ...cards.following].map((c) => c.episode.id)
      for (const id of ids) expect(records.episodes.has(id)).toBe(true)
    })
  })

  test('what is in work, an idea, or out, is one of them alone; what comes is not overdue', () => {
    after((_, records) => {
      const cards = useCards()
      const where = new Map<string, string[]>()
      const note = (list: string, ids: readonly string[]) => {
        for (const id of ids) where.set(id, [...(where.get(id) ?? []), list])
      }
      note(
        'work',
        cards.working.map((c) => c.episode.id),
      )
      note(
        'idea',
        cards.ideas.map((e) => e.id),
      )
      note(
        'released',
        cards.released.map((e) => e.id),
      )
      for (const e of records.episodes.values()) {
        const { kind } = e.phase
        const expected = kind === 'work' || kind === 'idea' || kind === 'released' ? [kind] : []
        expect([e.id, where.get(e.id) ?? []]).toEqual([e.id, expected])
      }
      const overdue = new Set(cards.overdue.map((c) => c.episode.id))
      expect(cards.coming.filter((c) => overdue.has(c.episode.id))).toEqual([])
      expect(cards.coming.length + overdue.size).toBe(cards.placed.length)
    })
  })

  test('the Catalogue’s rows are what is out, each once, with the arcs of both its ends', () => {
    after(() => {
      const [out, cards] = [useOut(), useCards()]
      expect(out.rows.map((r) => r.episode.id)).toEqual(cards.released.map((e) => e.id))
      const there = new Set(out.rows.map((r) => r.episode.id))
      for (const { from, to } of out.arcs) expect([there.has(from), there.has(to)]).toEqual([true, true])
    })
  })

  test('what Today says is owed to others is what stands with them in People', () => {
    after(({ moment }, records) => {
      const partners = usePartners()
      const owed = pressing(partners.all, moment.today)
      const released = (e: Parameters<typeof releaseDay>[0]) => {
        const show = records.shows.get(e.show)
        return show && releaseDay(e, show)
      }
      const known = everyone(records)
      expect(partners.all.map((p) => p.known.name)).toEqual(known.map((k) => k.name))
      for (const { name, move } of owed) {
        const person = partners.all.find((p) => p.known.name === name)
        expect(person?.moves.map((m) => m.what)).toContain(move.what)
      }
      for (const person of partners.all)
        expect(person.moves).toEqual(
          movesOfPerson(records, person.known, person.deals, moment.today, released),
        )
    })
  })

  test('who could go together is in work; a session is either to come or held', () => {
    after(() => {
      const [sessions, cards] = [useSessions(), useCards()]
      const working = new Set(cards.working.map((c) => c.episode.id))
      for (const together of sessions.together)
        for (const { card } of together.candidates) expect(working.has(card.episode.id)).toBe(true)
      for (const s of sessions.coming) expect(sessions.byId(s.id)).toBe(s)
      expect(sessions.coming.length + sessions.held.length).toBe(sessions.all.length)
    })
  })

  test('no day has more laid on it by itself than its hours; what is kept for somebody is kept once', () => {
    after(({ moment }) => {
      const [workload, promises] = [useWorkload(), usePromises()]
      for (let n = 0; n < 20; n++) {
        const day = addDays(moment.today, n)
        const f = workload.figuresOf(day)
        expect([day, Number.isFinite(f.planned), f.planned >= 0, f.free >= 0]).toEqual([
          day,
          true,
          true,
          true,
        ])
      }
      for (const [show, days] of promises.reserved)
        for (const [day, r] of days) expect(promises.keptFor(show, day)).toBe(r)
    })
  })
})
