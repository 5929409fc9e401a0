import { after, exampleContext } from '../examples'
import { waitStep } from '../commands/work/wait-step'
import { handStep } from '../commands/work/hand-step'
import type { SlotRow } from './card'
import { exampleWorld, viewOf } from './example-cards'
import { fits, goalOf, lampColumns, moveOf, peopleOf, type Narrowing } from './slots'

const world = exampleWorld()
const next = viewOf(world).cards[0]?.standing.next?.step.id ?? ''
const waits = after(
  world,
  waitStep(world, { step: next, waiting: { who: 'Ines', what: '', since: '2026-11-20' } }, exampleContext()),
)
const handed = after(world, handStep(world, { step: next, owner: 'Bo' }, exampleContext()))
const row = (fields: Partial<SlotRow>): SlotRow => {
  const card = viewOf(world).cards[0]
  if (!card) throw new Error('no card')
  return {
    key: 'row',
    day: '2026-11-26',
    time: '17:00',
    at: 0,
    show: card.show,
    slot: undefined,
    card,
    number: undefined,
    ...fields,
  }
}

test('whose move it is: mine, of whom it waits on, or of who does the next step', () => {
  const move = (records: typeof world) => {
    const card = viewOf(records).cards.find((c) => c.episode.id === 'e0')
    return card && moveOf(card)
  }
  expect(move(world)).toEqual({ who: 'me', waits: false })
  // Something else can be done meanwhile.
  expect(move(waits)).toEqual({ who: 'me', waits: false })
  expect(move(handed)).toEqual({ who: 'me', waits: false })
  expect(peopleOf(viewOf(waits).cards)).toEqual({ movers: ['Ines'], waited: ['Ines'] })
  expect(peopleOf(viewOf(handed).cards)).toEqual({ movers: ['Bo'], waited: [] })
})

test.each<[Narrowing, boolean, boolean]>([
  [{ kind: 'all' }, true, true],
  [{ kind: 'open' }, false, true],
  [{ kind: 'ready' }, false, false],
  [{ kind: 'work' }, true, false],
  [{ kind: 'late' }, true, false],
  [{ kind: 'move', who: 'me' }, true, false],
  [{ kind: 'waits', who: 'Ines' }, false, false],
])('narrowed to %j, an unready late episode fits: %s, an open slot: %s', (by, filled, open) => {
  expect([fits(row({}), by), fits(row({ card: undefined }), by)]).toEqual([filled, open])
})

test('an episode is carried onto slots of its own show that are not skipped', () => {
  const slot = {
    key: 'k',
    show: 'show',
    original: '2026-12-10',
    day: '2026-12-11',
    time: '17:00',
    at: 0,
    skipped: false,
    moved: true,
  }
  const vacant = { card: undefined, day: slot.day }
  expect(goalOf(row({}), 'show')).toEqual({ original: '2026-11-26', day: '2026-11-26' })
  expect(goalOf(row({ ...vacant, slot }), 'show')).toEqual({ original: '2026-12-10', day: '2026-12-11' })
  expect(goalOf(row({ ...vacant, slot: { ...slot, skipped: true } }), 'show')).toBeUndefined()
  expect(goalOf(row({}), 'another')).toBeUndefined()
})

test('six columns of lamps, each with its stage', () => {
  const columns = lampColumns(row({}).card ?? viewOf(world).cards[0] ?? never())
  expect(columns.map((c) => c.stage?.stage.kind)).toEqual(columns.map((c) => c.kind))
  expect(columns).toHaveLength(6)
})
function never(): never {
  throw new Error('no card')
}
