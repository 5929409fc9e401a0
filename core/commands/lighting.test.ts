import { exampleContext, exampleEpisode, exampleNow, exampleRecords, valueOf } from '../examples'
import { workedByDay } from '../plan/worked'
import type { Records } from '../records'
import { writeEpisode } from './episode/write-episode'
import { withChanges, type Context, type Outcome } from './change'
import { withFollowOns } from './follow'
import { startWork } from './schedule/start-work'
import { startStep } from './work/timer'
import type { Result } from '../result'

/** A step that its part ends counts its minutes when it ends, by the timer or as planned. */
const later = (minutes: number) => exampleContext(exampleNow + minutes * 60_000)
const idea = exampleRecords([exampleEpisode()], 'full')
function does(records: Records, done: Result<Outcome>, context: Context) {
  const outcome = withFollowOns(records, valueOf(done), context)
  return { records: withChanges(records, outcome.changes), lit: outcome.lit }
}
const begun = does(idea, startWork(idea, { episode: 'episode' }, later(0)), later(0)).records
const brief = {
  takeaway: 'You can.',
  points: ['a', 'b', 'c'],
  description: '',
  pictureIdea: '',
  pictureWords: '',
}
const written = (records: Records, fields: Partial<typeof brief>, context: Context) =>
  does(
    records,
    writeEpisode(
      records,
      { episode: 'episode', what: 'the brief', typed: { brief: { ...brief, ...fields } } },
      context,
    ),
    context,
  )
const step = (records: Records) => records.steps.get('episode/brief')
const worked = (records: Records) => {
  const s = step(records)
  return s ? Object.fromEntries(workedByDay(s, 'Europe/Lisbon')) : {}
}

test('a brief that is written counts as planned, and says so once', () => {
  const { records, lit } = written(begun, {}, later(30))
  expect(worked(records)).toEqual({ '2026-11-24': 40 })
  expect(lit).toBe('Settle the brief is done; 40 min counted, as planned.')
  expect(written(records, { points: ['a', 'b', 'c', 'd'] }, later(31)).lit).toBeUndefined()
})

test('a timer on it stops, and counts instead', () => {
  const running = does(begun, startStep(begun, { step: 'episode/brief' }, later(0)), later(0)).records
  const { records, lit } = written(running, {}, later(25))
  expect(records.settings.get('settings')?.running).toBeUndefined()
  expect([worked(records), lit]).toEqual([{ '2026-11-24': 25 }, 'Settle the brief is done: 25 min worked.'])
})

test('what is emptied again is work again, and its minutes count no more', () => {
  const { records } = written(begun, {}, later(30))
  const empty = written(records, { takeaway: '' }, later(40)).records
  expect([step(empty)?.litAt, worked(empty)]).toEqual([undefined, {}])
})
