import { datesOf } from '../rhythm/rule'
import { ruleFault } from './rule-check'
import { Rhythm } from './show'

test.each([
  'FREQ=WEEKLY;INTERVAL=1;BYDAY=TH',
  'FREQ=MONTHLY;INTERVAL=2;BYDAY=1SA,-1SA',
  'FREQ=DAILY;COUNT=12',
  'FREQ=YEARLY;BYMONTH=3;BYMONTHDAY=-1',
  'FREQ=WEEKLY;UNTIL=20270101T000000Z;WKST=SU;BYDAY=MO',
])('%s is a rhythm', (rule) => {
  expect(ruleFault(rule)).toBeUndefined()
})

test.each([
  'FREQ=SOMETIMES',
  'FREQ=WEEKLY;BYDAY=XX',
  'FREQ=WEEKLY;INTERVAL=-1',
  'FREQ=WEEKLY;INTERVAL=0',
  'FREQ=WEEKLY;INTERVAL=1e9',
  'FREQ=MINUTELY',
  'FREQ=MONTHLY;BYMONTH=13',
  'FREQ=DAILY;BYHOUR=3',
  'FREQ=WEEKLY;FREQ=DAILY',
  'INTERVAL=1',
  'every thursday',
  '',
])('%s is none, and is neither kept nor expanded', (rule) => {
  expect(ruleFault(rule)).toBeDefined()
  const rhythm = { rule, start: '2026-11-05', time: '17:00' }
  expect(Rhythm.safeParse(rhythm).success).toBe(false)
  expect(datesOf(rhythm, '2026-11-01', '2026-12-31')).toEqual([])
})

test('a year that is still being typed yields nothing', () => {
  const rhythm = { rule: 'FREQ=DAILY;INTERVAL=1', start: '0202-11-05', time: '17:00' }
  expect(datesOf(rhythm, '2026-11-01', '2026-12-31')).toEqual([])
  expect(Rhythm.safeParse(rhythm).error?.issues[0]?.message).toMatch(/between 1990 and 2199/)
})
