import { after, exampleContext } from '../examples'
import { planSession } from '../commands/sessions'
import type { Session, SessionKind, StepKind } from '../records'
import { exampleWorld, viewOf } from '../views/example-cards'
import { checksAfter, checksBefore } from './checks'
import { episodesIn } from './items'

const timber = { id: 'm', what: 'Pine trunk', stand: 'here' as const, required: true }

/** A session of a kind with the first episode, which needs a trunk. */
function laid(kind: SessionKind, of: StepKind): { session: Session; texts: string[]; after: string[] } {
  const bare = exampleWorld()
  const e0 = bare.episodes.get('e0')
  if (!e0) throw new Error('no episode')
  const episodes = new Map(bare.episodes).set('e0', { ...e0, materials: [timber] })
  const r = { ...bare, episodes }
  const steps = [...r.steps.values()].filter((s) => s.episode === 'e0' && s.kind === of).map((s) => s.id)
  const wish = { id: 's', kind, day: '2026-11-24', steps: steps.slice(0, 1) }
  const now = after(r, planSession(r, wish, exampleContext()))
  const session = now.sessions.get('s')
  if (!session) throw new Error('no session')
  const cards = episodesIn(session, viewOf(now).stepIn)
  return {
    session,
    texts: checksBefore(session, cards).map((c) => c.text),
    after: checksAfter(session, []).map((c) => c.text),
  }
}

test('before filming, power, cards and sound are looked at, and that all is laid out; before striking, what was got', () => {
  const { texts, after: then } = laid('film', 'film')
  expect(texts).toEqual([
    'Batteries charged, power laid',
    'Cards empty, clock set',
    'Sound tested, played back',
    'Laid out: Pine trunk',
  ])
  expect(then).toContain('All must-haves got')
})

test('nothing is laid out for writing or editing, and nothing is struck', () => {
  for (const kind of ['write', 'edit'] as const) {
    const { texts, after: then } = laid(kind, kind)
    expect([kind, texts, then]).toEqual([kind, [], []])
  }
})
