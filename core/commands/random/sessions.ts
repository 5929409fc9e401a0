import type { BeltDeed } from '../../belt/letters'
import { itemsIn } from '../../session/items'
import { SessionKind, type Id, type Session } from '../../records'
import { stateOf } from '../../plan/state'
import { sessionKinds } from '../../session/kinds'
import {
  addShot,
  beginSession,
  changeSteps,
  checkSession,
  editSession,
  moveSession,
  noteForEdit,
  planSession,
  putBehind,
  putOff,
  removeSession,
  reorderSession,
  rollSession,
  strikeSession,
  takeBreak,
  takeInHand,
  takeLetters,
  turnTo,
} from '../sessions'
import { near, one, step, word, type Chance, type Deed } from './chance'

/** A session of some states, if there is one. */
function session(x: Chance, ...kinds: Session['run']['kind'][]): Session | undefined {
  return one(
    [...x.r.sessions.values()].filter((s) => kinds.includes(s.run.kind)),
    x,
  )
}

/** Steps of a kind of work that are open, of two episodes or so. */
function openSteps(x: Chance, kind: SessionKind): Id[] {
  const kinds = sessionKinds[kind].steps
  const open = [...x.r.steps.values()].filter((s) => kinds.includes(s.kind) && s.doneAt === undefined)
  const from = x.n(Math.max(1, open.length))
  return open.slice(from, from + 2).map((s) => s.id)
}

/** What is to be got in a session, in some order. */
function items(x: Chance, of: Session | undefined): Id[] {
  if (!of) return []
  const stepIn = new Map(
    stateOf(x.r, x.c.now).working.flatMap((w) =>
      w.standing.steps.map((state) => [
        state.step.id,
        { card: { ...w, title: w.episode.title, number: w.episode.code }, state },
      ]),
    ),
  )
  return itemsIn(of, stepIn).map((i) => i.id)
}

/** Random deeds about sessions. */
export const sessionDeeds = {
  planSession: (x) => {
    const kind = one(SessionKind.options, x) ?? 'film'
    const steps = openSteps(x, kind)
    const minutes = steps.length === 0 || x.n(4) === 0 ? 30 + x.n(90) : undefined
    return planSession(x.r, { id: x.c.id(), kind, day: near(x, 0, 9), steps, minutes }, x.c)
  },
  moveSession: (x) =>
    moveSession(x.r, { session: session(x, 'planned')?.id ?? 'none', day: near(x, 0, 9) }, x.c),
  changeSteps: (x) => {
    const of = session(x, 'planned')
    const more = openSteps(x, of?.kind ?? 'film')
    const steps = [...new Set([...(of?.steps.slice(x.n(2)) ?? []), ...more])]
    return changeSteps(x.r, { session: of?.id ?? 'none', steps }, x.c)
  },
  editSession: (x) => {
    const of = session(x, 'planned', 'running', 'setting up')
    const to = x.n(2) ? { light: '16:30' } : { minutes: 20 + x.n(90) }
    return editSession(x.r, { session: of?.id ?? 'none', to }, x.c)
  },
  removeSession: (x) =>
    removeSession(x.r, { session: session(x, 'planned', 'running', 'struck')?.id ?? 'none' }, x.c),
  beginSession: (x) => {
    const of = session(x, 'planned')
    return beginSession(x.r, { session: of?.id ?? 'none', order: items(x, of) }, x.c)
  },
  rollSession: (x) => {
    const of = session(x, 'setting up')
    return rollSession(x.r, { session: of?.id ?? 'none', order: items(x, of) }, x.c)
  },
  takeInHand: (x) => {
    const of = session(x, 'running')
    const kept = x.n(3) > 0
    return takeInHand(
      x.r,
      { session: of?.id ?? 'none', kept, reason: kept ? '' : 'focus', open: items(x, of) },
      x.c,
    )
  },
  putOff: (x) => {
    const of = session(x, 'running', 'planned')
    const item = one(items(x, of), x) ?? 'none'
    return putOff(x.r, { session: of?.id ?? 'none', item, on: x.n(3) > 0, open: items(x, of) }, x.c)
  },
  addShot: (x) => {
    const of = session(x, 'running', 'planned')
    const step = x.r.steps.get(of?.steps[0] ?? '')
    const episode = x.n(2) ? step?.episode : undefined
    return addShot(x.r, { session: of?.id ?? 'none', text: word(x), episode }, x.c)
  },
  putBehind: (x) => {
    const of = session(x, 'running', 'planned')
    const order = items(x, of)
    const [item = 'none', behind] = [one(order, x), one(order, x)]
    const wish = { item, behind: behind === item ? undefined : behind, order }
    return putBehind(x.r, { session: of?.id ?? 'none', ...wish }, x.c)
  },
  turnTo: (x) => {
    const of = session(x, 'running')
    return turnTo(x.r, { session: of?.id ?? 'none', item: one(items(x, of), x) ?? 'none' }, x.c)
  },
  takeBreak: (x) => takeBreak(x.r, { session: session(x, 'running')?.id ?? 'none', on: x.n(2) > 0 }, x.c),
  reorderSession: (x) => {
    const of = session(x, 'running')
    return reorderSession(x.r, { session: of?.id ?? 'none', order: items(x, of).reverse() }, x.c)
  },
  checkSession: (x) => {
    const of = session(x, 'planned', 'setting up', 'running')
    const item = one(['power', 'cards', 'sound', 'copied', 'item0'], x) ?? 'power'
    return checkSession(x.r, { session: of?.id ?? 'none', item, on: x.n(3) > 0 }, x.c)
  },
  noteForEdit: (x) => noteForEdit(x.r, { session: session(x, 'running')?.id ?? 'none', text: word(x) }, x.c),
  takeLetters: (x) => {
    const of = session(x, 'running', 'planned')
    const item = one(items(x, of), x) ?? 'none'
    const at = { session: of?.id ?? 'none', item }
    const deeds: BeltDeed[] = [
      { kind: 'take', ...at, kept: x.n(2) > 0, reason: '', seconds: x.n(90), saw: false },
      { kind: 'got', ...at, got: x.n(2) > 0, saw: x.n(2) > 0 },
      { kind: 'put', ...at, on: x.n(2) > 0, saw: false },
      { kind: 'check', ...at, item: 'power', on: true, saw: false },
      { kind: 'step', step: step(x), done: x.n(2) > 0, saw: x.n(2) > 0 },
      { kind: 'remark', ...at, text: word(x) },
    ]
    const letters = [0, 1].map((n) => ({
      id: `letter-${x.n(900)}-${n}`,
      device: 'phone',
      n,
      at: new Date(x.c.now).toISOString(),
      deed: deeds[x.n(deeds.length)] ?? { kind: 'step' as const, step: 'none', done: true, saw: false },
    }))
    return takeLetters(x.r, { letters }, x.c)
  },
  strikeSession: (x) =>
    strikeSession(x.r, { session: session(x, 'running', 'setting up')?.id ?? 'none' }, x.c),
} satisfies Record<string, Deed>
