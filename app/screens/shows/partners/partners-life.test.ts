import { effectScope, ref } from 'vue'
import { mergePeople, bookGuest, keepPerson, noteVisit, unbookGuest } from '@core/commands/people'
import { markReleased } from '@core/commands/release'
import { tickStep } from '@core/commands/work'
import { exampleNow } from '@core/examples'
import { folded } from '@core/partners/names'
import { pressing } from '@core/partners/pressing'
import { visitState } from '@core/partners/visits'
import type { Records } from '@core/records'
import { addDays } from '@core/rhythm/days'
import { exampleWorld } from '@core/views/example-cards'
import { deskThatDoes } from '@app/stores/example-desk'
import { afterAnyDeeds, andAllOfItBack } from '@app/stores/example-life'
import { usePartnersHere } from './usePartners'

jest.mock('@app/data/library', () => ({ Library: jest.fn() }))
jest.mock('@app/stores/remembered', () => ({ remembered: (_: string, usual: unknown) => ref(usual) }))
const asked = ref('')
jest.mock('vue-router', () => ({
  useRouter: () => ({
    replace: ({ params }: { params: { who: string } }) => {
      asked.value = params.who
      return Promise.resolve()
    },
  }),
}))

const names = ['Ines Varga', 'Odd Strand', 'Mara Quill']
/** Three episodes with guests, one of whom is in two. */
function world(): Records {
  const records = exampleWorld()
  const guests: Record<string, string[]> = { e0: [names[0] ?? ''], e1: names.slice(0, 2), e2: names.slice(2) }
  const episodes = [...records.episodes.values()].map((e) => ({ ...e, guests: guests[e.id] ?? [] }))
  return { ...records, episodes: new Map(episodes.map((e) => [e.id, e])) }
}

function screen(records: Records) {
  asked.value = ''
  const desk = deskThatDoes(records)
  const scope = effectScope()
  const of = scope.run(() => usePartnersHere(() => asked.value))
  if (!of) throw new Error('no screen')
  return {
    of,
    desk,
    end: () => {
      scope.stop()
    },
  }
}
type Life = ReturnType<typeof screen>

/** What must hold of who is listed, whatever was done; gives back how many people it looked at. */
function holds({ of, desk }: Life): number {
  const { records } = desk.library
  const { all } = of.partners
  const listed = of.listed.value.flatMap((s) => s.people)
  expect(listed.map((p) => p.known.id).sort()).toEqual(all.map((p) => p.known.id).sort())
  expect(new Set(all.map((p) => p.known.id)).size).toBe(all.length)
  // Each name of an episode leads to one person, who stands there.
  for (const e of records.episodes.values()) {
    if (e.phase.kind === 'dropped') continue
    for (const g of e.guests) {
      const who = all.filter((p) => p.known.guestOf.includes(e) && isCalled(p.known, g))
      expect([g, e.id, who.length]).toEqual([g, e.id, 1])
    }
  }
  for (const p of all) {
    for (const v of of.visits(p)) {
      expect(v.state).toEqual(visitState(v.episode, v.guest, records.steps))
      expect(isCalled(p.known, v.guest)).toBe(true)
      if (v.state.kind === 'booked') expect(of.bookingIn(v)).toEqual(v.state.booking)
    }
    for (const m of p.moves) if (m.episode) expect(records.episodes.get(m.episode.id)).toBe(m.episode)
    expect(p.moves.map((m) => m.by ?? m.since ?? '9')).toEqual(
      p.moves.map((m) => m.by ?? m.since ?? '9').sort(),
    )
  }
  const yours = listed.filter((p) => p.moves.some((m) => m.who === 'you')).length
  expect(of.counts.value.yours).toBe(yours)
  // Within a part those with a move of the creator's come first.
  for (const { people } of of.listed.value) {
    const mine = people.map((p) => p.moves.some((m) => m.who === 'you'))
    expect(mine.lastIndexOf(true)).toBeLessThan(mine.includes(false) ? mine.indexOf(false) : Infinity)
  }
  // What Today says is owed is among the moves that are shown here.
  for (const { name, move } of pressing(all, desk.moment.today)) {
    const there = all.find((p) => p.known.name === name)?.moves.map((m) => m.what)
    expect(there).toContain(move.what)
  }
  if (listed.length > 0) expect(listed).toContain(of.here.value)
  return all.length
}
const isCalled = (known: Life['of']['partners']['all'][number]['known'], name: string) =>
  [known.name, ...(known.person?.also ?? [])].some((n) => folded(n) === folded(name))

/** Does one thing with a guest of an episode. */
async function act({ of, desk }: Life, kind: string, n: number): Promise<void> {
  const { library, moment } = desk
  const guests = of.partners.all.flatMap((p) => of.visits(p))
  const visit = guests[n % Math.max(1, guests.length)]
  const p = of.partners.all[n % Math.max(1, of.partners.all.length)]
  const episode = visit?.episode.id ?? ''
  const guest = visit?.guest ?? ''
  const at = { episode, guest }
  switch (kind) {
    case 'asked':
      await library.perform(noteVisit, { ...at, note: { kind: 'asked', asked: n % 4 > 0 } })
      break
    case 'answered':
      await library.perform(noteVisit, { ...at, note: { kind: 'answered', comes: n % 3 > 0 } })
      break
    case 'book': {
      const before = desk.refused.length
      const day = addDays(moment.today, 1 + (n % 9))
      await library.perform(bookGuest, { ...at, day, at: '14:00', minutes: 90 })
      const now = library.records.episodes.get(episode)
      if (desk.refused.length === before && now?.phase.kind === 'work')
        expect(['booked', 'recorded']).toContain(visitState(now, guest, library.records.steps).kind)
      break
    }
    case 'unbook': {
      await library.perform(unbookGuest, at)
      const now = library.records.episodes.get(episode)
      if (now) expect(visitState(now, guest, library.records.steps).kind).not.toBe('booked')
      break
    }
    case 'record': {
      const step = visit?.state.kind === 'booked' ? visit.state.booking.step : undefined
      if (step) await library.perform(tickStep, { step: step.id, done: true })
      break
    }
    case 'out':
      await library.perform(markReleased, { episode, at: moment.now })
      break
    case 'keep':
      if (p) {
        const fields = fieldsOf(`${p.known.name} ${n}`)
        const who = p.known.person ? { person: p.known.person.id } : { was: p.known.name }
        await library.perform(keepPerson, { ...who, fields })
      }
      break
    case 'merge': {
      const other = of.partners.all[(n + 1) % Math.max(1, of.partners.all.length)]
      if (!p || !other || p === other) break
      const before = of.partners.all.length
      await library.perform(mergePeople, { keep: p.known.name, other: other.known.name })
      expect(of.partners.all.length).toBe(before - 1)
      expect(of.partners.all.filter((x) => isCalled(x.known, other.known.name))).toHaveLength(1)
      break
    }
    case 'step':
      of.step(n % 2 ? 1 : -1)
      break
    default:
      desk.undo()
  }
}
const fieldsOf = (name: string) => ({
  name,
  roles: ['guest' as const],
  work: '',
  ways: [],
  known: '',
  note: '',
})

describe('people and partners, whatever is done', () => {
  test('each stands once, under every name, with the moves that Today speaks of', () => {
    afterAnyDeeds(() => screen(world()), holds, { seed: 20_261_138, enough: 12 })
  })

  test('guests are asked, booked, recorded, renamed and made one; undo takes all of it back', async () => {
    const kinds = [
      ...['asked', 'asked', 'answered', 'book', 'book', 'unbook', 'record', 'out'],
      ...['keep', 'merge', 'step', 'undo'],
    ]
    await andAllOfItBack(() => screen(world()), kinds, act, holds, { seed: 20_261_139, times: 2 })
  })

  test('who is looked at stays so when another gets the next move, and is led on by keys', () => {
    const life = screen(world())
    const first = life.of.here.value?.known.name
    life.of.step(1)
    const second = life.of.here.value?.known.name
    expect(second).not.toBe(first)
    const asks = { episode: 'e0', guest: names[0] ?? '', note: { kind: 'asked' as const, asked: true } }
    void life.desk.library.perform(noteVisit, asks)
    expect(life.of.here.value?.known.name).toBe(second)
    expect(exampleNow).toBe(life.desk.moment.now)
    life.end()
  })
})
