import { keepDeal } from '../commands/deals'
import { putStanding } from '../commands/standing'
import { after, exampleContext, exampleEpisode, exampleRecords } from '../examples'
import { exampleDeal } from '../partners/example-deal'
import { isFirstDay } from './first-day'

test('it is the first day until there is an idea, standing work, or something that was promised', () => {
  const records = exampleRecords()
  const context = exampleContext()
  const isFirst = (...done: Parameters<typeof after>[1][]) =>
    isFirstDay(done.reduce((r, d) => after(r, d), records))
  expect(isFirst()).toBe(true)
  expect(isFirstDay(exampleRecords([exampleEpisode()]))).toBe(false)
  expect(isFirst(keepDeal(records, { deal: 'deal', fields: exampleDeal }, context))).toBe(false)
  const accounts = {
    name: 'Accounts',
    kind: 'admin' as const,
    minutes: 30,
    when: { kind: 'once' as const, day: '2026-11-24' },
  }
  expect(isFirst(putStanding(records, accounts, context))).toBe(false)
})
