import {
  after,
  exampleContext,
  exampleNow,
  exampleEpisode,
  exampleRecords,
  refusalOf,
  valueOf,
} from '../examples'
import { correctRelease, markReleased, scheduleRelease } from '../commands/release'
import { placeOnSlot } from '../commands/schedule/place-on-slot'
import { tickStep } from '../commands/work/tick-step'
import { stateOf } from '../plan/state'
import { followDays } from '../recipe/progress'
import type { Records } from '../records'
import { likelyOut } from './likely-out'
import { lateBy, onTimeOf, sayOnTime } from '../results/on-time'
import { sayState } from '../views/state-words'
import { addressOf, readAddress } from './address'

const context = exampleContext()
const zone = 'Europe/Lisbon'
const bare = exampleRecords([exampleEpisode({ id: 'e0', code: 'AB22', title: 'Ribs' })], 'full')
const longAgo = exampleContext(exampleNow - 40 * 86_400_000)
const placed = after(bare, placeOnSlot(bare, { episode: 'e0', day: '2026-11-26' }, longAgo))
const at = (text: string) => ({ ...context, now: Date.parse(text) })
const episodeOf = (r: Records) => {
  const e = r.episodes.get('e0')
  if (!e) throw new Error('gone')
  return e
}

test('an address is whole, or made whole, or refused with an example', () => {
  expect(valueOf(readAddress(' https://video.example/watch/1 '))).toBe('https://video.example/watch/1')
  expect(valueOf(readAddress('video.example/1'))).toBe('https://video.example/1')
  expect(valueOf(readAddress('  '))).toBe('')
  for (const wrong of ['nowhere', 'ftp://a.example/x', 'javascript:alert(1)', 'two words.example'])
    expect(refusalOf(readAddress(wrong))).toMatch(/is not an address. Paste the whole of it, for example/)
  const e = { ...episodeOf(placed), addresses: { b: 'https://b.example', a: 'https://a.example' } }
  expect([addressOf(e, ['x', 'a']), addressOf(e, []), addressOf(episodeOf(placed), ['a'])]).toEqual([
    'https://a.example',
    'https://b.example',
    undefined,
  ])
})

test('two days late is kept as two days late, a quarter past is on time, and both can be corrected', () => {
  const saturday = at('2026-11-28T10:00:00Z')
  const out = after(placed, markReleased(placed, { episode: 'e0' }, saturday))
  expect(lateBy(episodeOf(out), zone)).toBe(0)
  const late = after(placed, markReleased(placed, { episode: 'e0', at: saturday.now }, saturday))
  expect(lateBy(episodeOf(late), zone)).toBe(2)
  expect(onTimeOf([out, late, placed].map((r) => ({ episode: episodeOf(r), zone })))).toEqual({
    known: 2,
    onTime: 1,
  })
  const said = Date.parse('2026-11-26T17:15:00Z')
  const corrected = after(
    late,
    correctRelease(late, { episode: 'e0', at: said, addresses: { o: 'video.example/1' } }, saturday),
  )
  expect(lateBy(episodeOf(corrected), zone)).toBe(0)
  expect(episodeOf(corrected).addresses).toEqual({ o: 'https://video.example/1' })
  const without = after(
    corrected,
    correctRelease(corrected, { episode: 'e0', at: said, addresses: { o: '' } }, saturday),
  )
  expect(episodeOf(without).addresses).toBeUndefined()
  const soon = { episode: 'e0', at: saturday.now + 60_000 }
  expect(refusalOf(markReleased(placed, soon, saturday))).toMatch(/later than now/)
  expect(refusalOf(correctRelease(late, { ...soon, addresses: {} }, saturday))).toMatch(/later than now/)
  expect(refusalOf(correctRelease(placed, { ...soon, addresses: {} }, saturday))).toMatch(/Only what is out/)
})

test('scheduled, it waits for nothing, and what is missing stays listed and left to do', () => {
  const scheduled = after(placed, scheduleRelease(placed, { episode: 'e0', scheduled: true }, context))
  const standing = (r: Records) => stateOf(r, context.now).working[0]?.standing
  const [was, is] = [standing(placed), standing(scheduled)]
  expect(was).toMatchObject({ scheduled: false, ready: false })
  expect(is).toMatchObject({ scheduled: true, ready: false, late: was?.late })
  expect(is?.missing).toEqual(was?.missing)
  expect(is?.stages.map((s) => s.lamp)).toEqual(was?.stages.map((s) => s.lamp))
  expect(is?.steps.filter((s) => s.left)).toEqual(was?.steps.filter((s) => s.left))
  expect(stateOf(scheduled, context.now).open.tasks.flatMap((t) => t.release ?? [])).not.toContain(
    is?.release?.day,
  )
  const moved = after(scheduled, placeOnSlot(scheduled, { episode: 'e0', day: '2026-12-03' }, context))
  expect(standing(moved)?.scheduled).toBe(false)
  expect(refusalOf(scheduleRelease(bare, { episode: 'e0', scheduled: true }, context))).toMatch(/in work/)
})

test('it was most likely out at its time, but for what was ended after it', () => {
  const standing = (r: Records) => {
    const found = stateOf(r, context.now).working[0]?.standing
    if (!found) throw new Error('not in work')
    return found
  }
  const saturday = at('2026-11-28T10:00:00Z')
  const slot = standing(placed).release?.at
  expect(likelyOut(standing(placed), context.now)).toBe(context.now)
  expect(likelyOut(standing(placed), saturday.now)).toBe(slot)
  const [step] = standing(placed).steps.filter((s) => s.left && s.step.part === undefined)
  const later = after(placed, tickStep(placed, { step: step?.step.id ?? '', done: true }, saturday))
  expect(likelyOut(standing(later), saturday.now)).toBe(saturday.now)
  const scheduled = after(later, scheduleRelease(later, { episode: 'e0', scheduled: true }, context))
  expect(likelyOut(standing(scheduled), saturday.now)).toBe(slot)
})

test('what goes out before its day is early, and is not counted as on time', () => {
  const early = after(placed, markReleased(placed, { episode: 'e0' }, context))
  expect(lateBy(episodeOf(early), zone)).toBe(-2)
  expect(onTimeOf([{ episode: episodeOf(early), zone }])).toEqual({ known: 1, onTime: 0 })
  expect([sayOnTime(-1), sayOnTime(0), sayOnTime(2)]).toEqual([', 1 day early', ', on time', ', 2 days late'])
})

test('what follows a release is work until it is done, or some months have passed', () => {
  const friday = at('2026-11-27T10:00:00Z')
  const out = after(placed, markReleased(placed, { episode: 'e0' }, friday))
  const state = stateOf(out, friday.now)
  expect(state.working).toEqual([])
  const [following] = state.following
  const letters = following?.standing.next
  expect(letters).toMatchObject({ left: true, free: true, due: '2026-11-30' })
  expect(following?.standing.steps.filter((s) => s.left)).toHaveLength(1)
  expect(state.open.tasks.map((t) => t.id)).toEqual([letters?.step.id])
  const wednesday = stateOf(out, Date.parse('2026-12-02T10:00:00Z'))
  expect(wednesday.following[0]?.standing.next?.late).toBe(2)
  const done = after(out, tickStep(out, { step: letters?.step.id ?? '', done: true }, friday))
  expect(stateOf(done, friday.now).following).toEqual([])
  const long = Date.parse('2026-11-26T10:00:00Z') + (followDays + 1) * 86_400_000
  expect(stateOf(out, long).following).toEqual([])
})

test('how far it is from its release is said in one way', () => {
  const missing = stateOf(placed, context.now).working[0]?.standing.missing ?? []
  expect(sayState({ scheduled: true, ready: true, missing: [] })).toBe('scheduled')
  expect(sayState({ scheduled: false, ready: true, missing: [] })).toBe('ready')
  expect(sayState({ scheduled: false, ready: false, missing })).toBe(`${missing.length} missing`)
})
