import { after, exampleContext, exampleEpisode, exampleNow, exampleRecords } from '../examples'
import { placeOnSlot } from '../commands/schedule/place-on-slot'
import { startWork } from '../commands/schedule/start-work'
import { stateOf, type State } from '../plan/state'
import type { Records } from '../records'
import { sayNumber } from '../rhythm/numbering'
import { titleOf } from '../release/parts'
import type { Card, StepIn } from './card'

/** What a view is tested with: records, their state at a moment, and the cards of what is in work. */
export interface ExampleView {
  records: Records
  state: State
  /** In order of release, what has none last. */
  cards: Card[]
  stepIn: Map<string, StepIn>
}

/** Three episodes of one show: `e0` and `e1` on its next two slots, `e2` begun without one. */
export function exampleWorld(): Records {
  const records = exampleRecords(
    ['Ribs', 'Keel', 'Spar'].map((title, i) => exampleEpisode({ id: `e${i}`, code: `AB2${i + 2}`, title })),
    'full',
  )
  // Put there long ago, so that what is late is late, not on short notice.
  const context = exampleContext(exampleNow - 40 * 86_400_000)
  let r = after(records, placeOnSlot(records, { episode: 'e0', day: '2026-11-26' }, context))
  r = after(r, placeOnSlot(r, { episode: 'e1', day: '2026-12-03' }, context))
  return after(r, startWork(r, { episode: 'e2' }, context))
}

/** Records as a view sees them. */
export function viewOf(records: Records, now = exampleNow): ExampleView {
  const state = stateOf(records, now)
  const cards = [...state.working, ...state.following]
    .map((w): Card => ({
      ...w,
      title: titleOf(w.episode),
      number: sayNumber(w.show, w.episode.number, w.episode.code),
    }))
    .sort((a, b) => (a.standing.release?.at ?? Infinity) - (b.standing.release?.at ?? Infinity))
  const stepIn = new Map(
    cards.flatMap((card) => card.standing.steps.map((s) => [s.step.id, { card, state: s }] as const)),
  )
  return { records, state, cards, stepIn }
}
