import { nextTick } from 'vue'
import { exampleEpisode, exampleStep } from '@core/examples'
import type { Id, Step } from '@core/records'
import { exampleWorld } from '@core/views/example-cards'
import { useDesk } from './desk'
import { exampleDesk } from './example-desk'
import { usePlan } from './plan'

jest.mock('@app/data/library', () => ({ Library: jest.fn() }))
jest.mock('comlink', () => jest.requireActual<object>('./example-worker'))

test('a plan that is proposed is let go of when all was read anew: its steps may not be there', async () => {
  const { library } = exampleDesk(exampleWorld())
  library.stepsOf = () => Promise.resolve([])
  const plan = usePlan()
  await plan.propose(undefined)
  expect(plan.proposal?.done).toBe(true)
  library.readings++
  await nextTick()
  expect(plan.proposal).toBeUndefined()
})

const settled = () => new Promise((done) => setTimeout(done))
const out = (id: Id) => exampleEpisode({ id, phase: { kind: 'released', at: '2026-11-01T10:00:00.000Z' } })

test('the pace is learnt anew when all was read anew; of two answers the later question’s holds', async () => {
  const records = exampleWorld()
  const { library, see } = exampleDesk({ ...records, episodes: new Map([['old', out('old')]]) })
  const asked: ((steps: Step[]) => void)[] = []
  library.stepsOf = () =>
    new Promise((answer) => {
      asked.push(answer)
    })
  usePlan().want()
  see({ ...records, episodes: new Map([['new', out('new')]]) })
  library.readings++
  await nextTick()
  expect(asked).toHaveLength(2)
  asked[1]?.([exampleStep({ id: 'b', episode: 'new' })])
  await settled()
  asked[0]?.([exampleStep({ id: 'a', episode: 'old' })])
  await settled()
  expect([...useDesk().past.keys()]).toEqual(['new'])
})
