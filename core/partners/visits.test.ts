import { bookGuest, noteVisit, unbookGuest } from '../commands/people'
import { markReleased } from '../commands/release'
import { placeOnSlot } from '../commands/schedule/place-on-slot'
import { tickStep } from '../commands/work/tick-step'
import {
  after,
  exampleContext,
  exampleEpisode,
  exampleNow,
  exampleRecords,
  exampleShow,
  refusalOf,
} from '../examples'
import { icalendar } from '../formats/icalendar'
import { calendarEntries } from '../plan/calendar'
import type { Records } from '../records'
import { viewOf } from '../views/example-cards'
import { filledMessage, inTheirZone, usualMessages } from './messages'
import { usualDays } from '../helpers/jobs'
import { movesOfPerson, sayWhen } from './moves'
import { everyone } from './people'
import { visitState } from './visits'

const c = exampleContext()
const today = '2026-11-24'
const world = () =>
  exampleRecords(
    [exampleEpisode({ id: 'e', code: 'AB22', title: 'Ropewalk on tape', guests: ['Tomas Ek'] })],
    'full',
  )
const who = { episode: 'e', guest: 'Tomas Ek' }
const state = (r: Records) => {
  const e = r.episodes.get('e')
  return e && visitState(e, 'tomas ek', r.steps)
}
const moves = (r: Records) => {
  const known = everyone(r).find((k) => k.name === 'Tomas Ek')
  return known
    ? movesOfPerson(r, known, [], today, () => today).map((m) =>
        `${m.who} ${m.what} ${sayWhen(m, today)}`.trim(),
      )
    : []
}

test('a guest goes from wished for to told, each state derived from what was done', () => {
  let r = world()
  expect([state(r), moves(r)]).toEqual([{ kind: 'wished for' }, []])
  r = after(r, noteVisit(r, { ...who, note: { kind: 'asked', asked: true } }, c))
  expect([state(r)?.kind, moves(r)]).toEqual(['asked', ['they their answer since today']])
  r = after(r, noteVisit(r, { ...who, note: { kind: 'answered', comes: true } }, c))
  expect([state(r)?.kind, moves(r)]).toEqual(['coming', ['you agree on a time by Tue 24 Nov, today']])
  r = after(r, bookGuest(r, { ...who, day: '2026-12-03', at: '15:00', minutes: 90 }, c))
  expect(state(r)).toMatchObject({ kind: 'booked', booking: { day: '2026-12-03', at: '15:00', minutes: 90 } })
  expect([r.episodes.get('e')?.phase.kind, moves(r)]).toEqual([
    'work',
    ['you give it a slot by Thu 3 Dec, 9 d'],
  ])
  r = after(r, placeOnSlot(r, { episode: 'e', day: '2026-12-10' }, c))
  expect(moves(r)).toEqual([])
  const step = r.episodes.get('e')?.visits?.[0]?.step ?? ''
  expect(r.steps.get(step)).toMatchObject({ stage: 'film', kind: 'record' })
  r = after(r, tickStep(r, { step, done: true }, c))
  expect(state(r)).toEqual({ kind: 'recorded' })
  expect(refusalOf(noteVisit(r, { ...who, note: { kind: 'told', told: true } }, c))).toBe(
    'It is not out yet.',
  )
  const out = exampleContext(exampleNow + 17 * 86_400_000)
  r = after(r, markReleased(r, { episode: 'e' }, out))
  expect([state(r), moves(r)]).toEqual([
    { kind: 'out', told: false },
    ['you say that it is out by Tue 24 Nov, today'],
  ])
  r = after(r, noteVisit(r, { ...who, note: { kind: 'told', told: true } }, out))
  expect([state(r), moves(r)]).toEqual([{ kind: 'out', told: true }, []])
})

test('a second guest is recorded at a step of their own, and a time can be moved and taken back', () => {
  let r = world()
  const e = r.episodes.get('e')
  if (e) r = { ...r, episodes: new Map([['e', { ...e, guests: ['Tomas Ek', 'Ines Varga'] }]]) }
  r = after(r, bookGuest(r, { ...who, day: '2026-12-03', at: '15:00', minutes: 60 }, c))
  r = after(r, bookGuest(r, { ...who, guest: 'Ines Varga', day: '2026-12-04', at: '10:00', minutes: 45 }, c))
  const steps = r.episodes.get('e')?.visits?.map((v) => r.steps.get(v.step ?? '')?.name)
  expect(steps).toEqual([expect.any(String), 'Record Ines Varga'])
  r = after(r, bookGuest(r, { ...who, day: '2026-12-05', at: '09:30', minutes: 60 }, c))
  expect(state(r)).toMatchObject({ booking: { day: '2026-12-05', at: '09:30' } })
  r = after(r, unbookGuest(r, who, c))
  expect([state(r)?.kind, refusalOf(unbookGuest(r, who, c))]).toEqual(['coming', 'No time was agreed on.'])
  const nobody = { ...who, guest: 'Nobody', day: '2026-12-05', at: '09:30', minutes: 60 }
  expect(refusalOf(bookGuest(r, nobody, c))).toBe('Nobody is not a guest of it. Add them first.')
  expect(refusalOf(bookGuest(r, { ...nobody, guest: 'Tomas Ek', minutes: 1 }, c))).toMatch(/five minutes/)
})

test('what was agreed on stands in the calendar at its time, without a slot too', () => {
  let r = world()
  r = after(r, bookGuest(r, { ...who, day: '2026-12-03', at: '15:00', minutes: 90 }, c))
  const cards = viewOf(r).cards.map((k) => ({ ...k, id: k.episode.id }))
  const file = icalendar(calendarEntries(cards), 'Lamp Reel', exampleNow)
  expect(file).toMatch(/DTSTART:20261203T150000Z\r\n(DURATION:PT1H30M|DTEND:20261203T163000Z)/)
  expect(file.match(/BEGIN:VEVENT/g)).toHaveLength(1)
})

test('a message has the time in both zones, over a change of clocks too', () => {
  const show = exampleShow()
  const [episode] = [...world().episodes.values()]
  if (!episode) throw new Error('gone')
  const booking = { day: '2026-03-29', at: '23:30' }
  const of = {
    person: { name: 'Tomas', zone: 'Asia/Tokyo' },
    show,
    episode,
    booking,
    address: 'https://feed.example/1',
  }
  const text = filledMessage(usualMessages.confirming.pattern, of)
  // Lisbon went to summer time that morning: 23:30 there is 22:30 UTC, and 07:30 of the next day in Tokyo.
  expect(text).toContain(
    'on Sunday 29 March, 23:30 (Lisbon time). For you that is Monday 30 March, 07:30 (Tokyo time).',
  )
  expect(inTheirZone('2026-03-29', '23:30', 'Europe/Lisbon', 'Europe/London')).toBeUndefined()
  expect(filledMessage('{name} {toString} {other}: {address}', of)).toBe(
    'Tomas {toString} {other}: https://feed.example/1',
  )
})

test('the usual days of a helper are the middle of what came back, from three on', () => {
  const job = (days: number | undefined) => ({
    ...{ id: 'j', episode: 'e', kind: 'cut' as const, who: 'Pell', parts: [], shelf: [], asked: [] },
    given: '2026-11-01T09:00:00.000Z',
    ...(days === undefined
      ? {}
      : { back: new Date(Date.parse('2026-11-01T09:00:00.000Z') + days * 86_400_000).toISOString() }),
    ...{ createdAt: '2026-11-01T09:00:00.000Z', updatedAt: '2026-11-01T09:00:00.000Z' },
  })
  expect(usualDays([2, 9, undefined].map(job))).toBeUndefined()
  expect(usualDays([2, 9, 3, undefined].map(job))).toEqual({ days: 3, of: 3 })
  expect(usualDays([2, 9, 3, 4].map(job))).toEqual({ days: 3.5, of: 4 })
})

test('what is agreed is due on its day, takes the time agreed, and says with whom', () => {
  let r = after(world(), placeOnSlot(world(), { episode: 'e', day: '2026-12-10' }, c))
  r = after(r, bookGuest(r, { ...who, day: '2026-12-05', at: '15:00', minutes: 75 }, c))
  const id = r.episodes.get('e')?.visits?.[0]?.step ?? ''
  const standing = viewOf(r).cards.find((k) => k.episode.id === 'e')?.standing
  const state = standing?.steps.find((s) => s.step.id === id)
  expect(state).toMatchObject({
    ...{ due: '2026-12-05', minutesLeft: 75 },
    agreed: { day: '2026-12-05', at: '15:00', guest: who.guest },
  })
  // What it needs is due by then; nothing makes the agreed day itself earlier.
  for (const need of state?.needs ?? [])
    expect((standing?.steps.find((s) => s.step.id === need)?.due ?? '') <= '2026-12-05').toBe(true)
  // The whole of it is laid on that day, at no second set-up.
  expect(viewOf(r).state.load.blocks.filter((b) => b.id === id)).toMatchObject([
    { day: '2026-12-05', minutes: 75 },
  ])
})

test('a time after the release is said when it is agreed', () => {
  const placed = after(world(), placeOnSlot(world(), { episode: 'e', day: '2026-12-10' }, c))
  const says = (day: string) => {
    const done = bookGuest(placed, { ...who, day, at: '15:00', minutes: 75 }, c)
    return done.ok ? done.value.sentence : done.problem.sentence
  }
  expect(says('2026-12-12')).toMatch(/That is after its release on Thu 10 Dec$/)
  expect(says('2026-12-10')).not.toMatch(/after its release/)
})
