import { after, exampleContext } from '../examples'
import { waitStep } from '../commands/work/wait-step'
import type { Records } from '../records'
import { exampleWorld, viewOf } from './example-cards'
import { whyLate } from './lateness'

function whyOf(records: Records) {
  const { cards, state } = viewOf(records)
  const card = cards.find((c) => c.episode.id === 'e0')
  return card ? whyLate(card, state.load.ends, state.today) : []
}

test('the three latest steps say what holds each: the hours, what they need, or who is waited on', () => {
  const world = exampleWorld()
  const why = whyOf(world)
  expect(why).toHaveLength(3)
  expect(why.map((w) => w.late)).toEqual([...why.map((w) => w.late)].sort((a, b) => b - a))
  expect(why.some((w) => w.held.startsWith('needs “'))).toBe(true)
  const free = why.find((w) => !w.held.startsWith('needs'))?.id ?? ''
  const waiting = { who: 'Ines', what: '', since: '2026-11-20' }
  const waits = after(world, waitStep(world, { step: free, waiting }, exampleContext()))
  expect(whyOf(waits).find((w) => w.id === free)?.held).toBe('waits on Ines since Fri 20 Nov')
})

test('what is not late has no reasons', () => {
  const { cards, state } = viewOf(exampleWorld())
  const spar = cards.find((c) => c.episode.id === 'e2')
  expect(spar && whyLate(spar, state.load.ends, state.today)).toEqual([])
})
