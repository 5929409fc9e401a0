import { after, exampleContext, exampleNow, refusalOf, valueOf } from '../../examples'
import type { Records, Session, SessionKind, Settings } from '../../records'
import { stepsIn, itemsIn } from '../../session/items'
import { exampleWorld, viewOf } from '../../views/example-cards'
import { weekRows } from '../../views/week'
import { inverse, withChanges, type Context } from '../change'
import { withSession } from '../random/with-session'
import { layOnDay } from '../week/lay-on-day'
import { dayFigures } from '../../views/day'
import { hoursIn } from '../../plan/state'
import { minutesByDay } from '../../plan/load'
import { usualCosts } from '../../plan/shots'
import {
  addShot,
  beginSession,
  changeSteps,
  checkSession,
  moveSession,
  noteForEdit,
  planSession,
  putBehind,
  putOff,
  removeSession,
  rollSession,
  strikeSession,
  takeBreak,
  takeInHand,
} from '.'

const later = (minutes: number): Context => ({ ...exampleContext(exampleNow + minutes * 60_000) })
const films = ['e0/film', 'e1/film']
const laid = (day = '2026-11-25') => {
  const world = exampleWorld()
  const wish = { id: 's', kind: 'film' as const, day, steps: films }
  return after(world, planSession(world, wish, exampleContext()))
}
const session = (r: Records, id = 's'): Session => {
  const found = r.sessions.get(id)
  if (!found) throw new Error('no session')
  return found
}
const blocksOf = (r: Records, step: string) => r.steps.get(step)?.blocks.map((b) => [b.day, b.pinned])

describe('laying a session', () => {
  test('all of its steps lie on its day, pinned, and come along when it is moved', () => {
    const r = laid()
    expect(films.map((s) => blocksOf(r, s))).toEqual([[['2026-11-25', true]], [['2026-11-25', true]]])
    const moved = after(r, moveSession(r, { session: 's', day: '2026-11-27' }, exampleContext()))
    expect(films.map((s) => blocksOf(moved, s))).toEqual([[['2026-11-27', true]], [['2026-11-27', true]]])
    const gone = after(moved, removeSession(moved, { session: 's' }, exampleContext()))
    expect(gone.sessions.size).toBe(0)
    expect(films.map((s) => blocksOf(gone, s))).toEqual([[], []])
  })

  test('a step that is laid elsewhere is no longer of it', () => {
    const r = laid()
    const step = { step: 'e1/film', day: '2026-12-01', from: '2026-11-25', minutes: 60 }
    const moved = after(r, layOnDay(r, step, exampleContext()))
    const { stepIn } = viewOf(moved)
    expect(stepsIn(session(moved), stepIn).map((s) => s.state.step.id)).toEqual(['e0/film'])
  })

  test('is refused for a day that has passed, for what is in another, and for what needs something later', () => {
    const r = laid()
    const wish = { id: 't', kind: 'film' as const, day: '2026-11-26', steps: ['e1/film'] }
    expect(refusalOf(planSession(r, wish, exampleContext()))).toContain('in the session of Wed 25 Nov')
    const past = planSession(r, { ...wish, day: '2026-11-23', steps: ['e2/film'] }, exampleContext())
    expect(refusalOf(past)).toContain('has passed')
    const script = { step: 'e2/script', day: '2026-11-30', minutes: 60 }
    const written = after(r, layOnDay(r, script, exampleContext()))
    const early = planSession(written, { ...wish, steps: ['e2/film'] }, exampleContext())
    expect(refusalOf(early)).toContain('which lies on Mon 30 Nov')
    expect(refusalOf(planSession(r, { ...wish, steps: [] }, exampleContext()))).toContain('Choose what')
  })

  test('others join and leave it until it has begun', () => {
    const r = laid()
    const fewer = after(r, changeSteps(r, { session: 's', steps: ['e1/film', 'e2/film'] }, exampleContext()))
    expect([blocksOf(fewer, 'e0/film'), blocksOf(fewer, 'e2/film')]).toEqual([[], [['2026-11-25', true]]])
    const begun = after(fewer, beginSession(fewer, { session: 's' }, exampleContext()))
    expect(refusalOf(changeSteps(begun, { session: 's', steps: films }, exampleContext()))).toContain('begun')
  })

  test('stands in the week as one block of all its steps; one without steps takes its minutes of the day', () => {
    // What filming needs is done, so that it can lie there.
    const all = laid()
    const steps = [...all.steps.values()].map((s) =>
      ['brief', 'titles', 'script', 'prepare'].includes(s.line ?? '') ? { ...s, doneAt: s.createdAt } : s,
    )
    const r = { ...all, steps: new Map(steps.map((s) => [s.id, s])) }
    const stock = { id: 't', kind: 'stock' as const, day: '2026-11-26', steps: [], minutes: 50 }
    const both = after(r, planSession(r, stock, exampleContext()))
    const { state, stepIn } = viewOf(both)
    const rows = weekRows({
      days: ['2026-11-25', '2026-11-26'],
      today: state.today,
      zone: 'Europe/Lisbon',
      hours: state.hours,
      blocks: state.load.blocks,
      steps: new Map([...stepIn].map(([id, s]) => [id, { step: s.state.step, needs: s.state.needs }])),
      tasks: state.open.tasks,
      occurrences: [],
      busy: [],
      sessions: [...both.sessions.values()],
      running: undefined,
    })
    const [first, second] = rows.map((row) => row.mine.filter((b) => b.session))
    expect(first?.map((b) => b.parts?.map((p) => p.step))).toEqual([films])
    expect(first?.[0]?.minutes).toBe(
      films.reduce((sum, s) => sum + (both.steps.get(s)?.blocks[0]?.minutes ?? 0), 0),
    )
    expect(second?.map((b) => b.minutes)).toEqual([50])
    const bare = hoursIn(r, state.today).taken?.get('2026-11-26') ?? 0
    expect(state.hours.taken?.get('2026-11-26')).toBe(bare + 50)
    const figures = dayFigures(state.hours, minutesByDay(state.load), '2026-11-26')
    expect(rows[1]?.used).toBe(figures.taken + figures.worked + figures.planned)
  })
})

/** A session of one episode that runs since minute 0, its words to camera, `shot0` and `shot1` to be got. */
const running = () => withSession(exampleWorld(), 'e0', '2026-11-24', exampleContext())
const id = 'e0-session'
const open = ['e0-shot0', 'camera:e0', 'e0-shot1']
const take = (r: Records, kept: boolean, minutes: number, reason = '', left = open) =>
  after(r, takeInHand(r, { session: id, kept, reason, open: left }, later(minutes)))
const cue = (r: Records, of: string) =>
  r.scripts
    .get('e0')
    ?.sections.flatMap((s) => s.beats.flatMap((b) => b.cues))
    .find((c) => c.id === of)

describe('running a session', () => {
  test('what must be ready and is not stops the start once', () => {
    const world = exampleWorld()
    const film = { id, kind: 'film' as const, day: '2026-11-24', steps: ['e0/film'] }
    let r = after(world, planSession(world, film, exampleContext()))
    expect(refusalOf(rollSession(r, { session: id, order: ['x'] }, later(1)))).toContain('Begin the session')
    r = after(r, beginSession(r, { session: id }, exampleContext()))
    const first = rollSession(r, { session: id, order: ['x'] }, later(30))
    expect(valueOf(first).sentence).toMatch(/^Not ready yet: Batteries charged.*and 2 more$/)
    r = after(r, first)
    expect(session(r, id).run.kind).toBe('setting up')
    r = after(r, rollSession(r, { session: id, order: ['x'] }, later(31)))
    expect(session(r, id).run).toMatchObject({ kind: 'running', at: 'x' })
    // With everything ticked nothing stops it.
    let ready = after(r, removeSession(r, { session: id }, exampleContext()))
    ready = after(ready, planSession(ready, film, exampleContext()))
    ready = after(ready, beginSession(ready, { session: id }, exampleContext()))
    for (const item of ['power', 'cards', 'sound'])
      ready = after(ready, checkSession(ready, { session: id, item, on: true }, exampleContext()))
    ready = after(ready, rollSession(ready, { session: id, order: ['x'] }, later(30)))
    expect(session(ready, id).run.kind).toBe('running')
  })

  test('a take that is not kept goes on with the same; a kept one is got, and on to the next', () => {
    let r = take(running(), false, 6, 'focus')
    expect(session(r, id).run).toMatchObject({ at: 'e0-shot0' })
    r = take(r, true, 10)
    expect(cue(r, 'e0-shot0')).toMatchObject({
      got: true,
      takes: [
        { kept: false, reason: 'focus', seconds: 360 },
        { kept: true, seconds: 240 },
      ],
    })
    expect(session(r, id).run).toMatchObject({ at: 'camera:e0' })
    r = take(r, true, 14, '', open.slice(1))
    expect(r.scripts.get('e0')?.toCamera).toMatchObject({ got: true })
    const { stepIn } = viewOf(r)
    expect(itemsIn(session(r, id), stepIn).map((i) => [i.id, i.got])).toEqual([
      ['camera:e0', true],
      ['e0-shot0', true],
      ['e0-shot1', false],
    ])
  })

  test('what is put off is passed over, and can be taken back', () => {
    const off = { session: id, item: 'e0-shot0', on: true, open }
    let r = after(running(), putOff(running(), off, later(2)))
    expect(session(r, id).run).toMatchObject({ at: 'camera:e0' })
    expect(session(r, id).put).toEqual(['e0-shot0'])
    r = take(r, true, 5, '', open.slice(1))
    expect(session(r, id).run).toMatchObject({ at: 'e0-shot1' })
    const back = after(r, putOff(r, { ...off, on: false }, later(6)))
    expect(session(back, id).put).toEqual([])
  })

  test('a shot that came to mind is filmed like the one in hand, right behind it; a remark is for the edit', () => {
    let r = running()
    r = after(r, addShot(r, { session: id, text: 'The curl', episode: 'e0', like: 'e0-shot0' }, later(1)))
    const added = session(r, id).order[1] ?? ''
    expect(cue(r, added)).toMatchObject({ text: 'The curl', shot: { place: 'Bench' }, got: false })
    r = after(r, addShot(r, { session: id, text: 'Gulls' }, later(2)))
    expect(session(r, id).shots.map((s) => s.text)).toEqual(['Gulls'])
    r = after(r, noteForEdit(r, { session: id, text: 'hold it' }, later(3)))
    const notes = r.scripts
      .get('e0')
      ?.sections.flatMap((s) => s.beats.flatMap((b) => b.cues))
      .filter((c) => c.kind === 'edit')
    expect(notes).toMatchObject([{ text: 'hold it' }])
    expect(notes?.[0]?.at).toBeUndefined()
  })

  test('in a recording a remark is a mark, with its time since the start', () => {
    const film = running()
    const one = session(film, id)
    const r = { ...film, sessions: new Map([[id, { ...one, kind: 'record' as const }]]) }
    const marked = after(r, noteForEdit(r, { session: id, text: 'good' }, later(12)))
    const notes = marked.scripts.get('e0')?.sections.flatMap((s) => s.beats.flatMap((b) => b.cues))
    expect(notes?.filter((c) => c.kind === 'edit')).toMatchObject([{ text: 'good', at: 720 }])
  })

  test('what the hand puts elsewhere stays behind its neighbour', () => {
    const r = running()
    const wish = { session: id, item: 'e0-shot1', behind: 'e0-shot0', order: open }
    const moved = session(after(r, putBehind(r, wish, later(1))), id)
    expect(moved.order).toEqual(['e0-shot0', 'e0-shot1', 'camera:e0'])
    expect(moved.behind).toEqual({ 'e0-shot1': 'e0-shot0' })
  })

  test('broken off, everything got stays got, and the rest is planned again', () => {
    let r = take(running(), true, 10)
    r = after(r, strikeSession(r, { session: id }, later(30)))
    expect(session(r, id).run).toMatchObject({ kind: 'struck', got: 1, of: 3 })
    expect(cue(r, 'e0-shot0')?.got).toBe(true)
    const film = r.steps.get('e0/film')
    expect(film?.doneAt).toBeUndefined()
    // Ten minutes of the shot and twenty of what was in hand are logged; what is left are the words and a shot.
    expect(film).toMatchObject({ logged: 30, minutes: 30 + 5 + 8, blocks: [] })
    const copy = r.steps.get('e0/copied')
    expect([copy?.name, copy?.doneAt]).toEqual(['Copy the footage to two places', undefined])
  })

  test('a step that was begun before takes what is left of it, also once it is done', () => {
    const world = running()
    const script = world.steps.get('e0/script')
    if (!script) throw new Error('no script to write')
    const begun = { ...script, minutes: 150, logged: 115, doneAt: undefined }
    const minutes = (doneAt?: string) => {
      const r = { ...world, steps: new Map(world.steps).set(begun.id, { ...begun, doneAt }) }
      const desk: Session = { ...session(r, id), kind: 'write', steps: [begun.id], order: [begun.id] }
      return itemsIn(desk, viewOf(r).stepIn).map((i) => [i.got, i.shot.minutes])
    }
    expect([minutes(), minutes(begun.createdAt)]).toEqual([[[false, 35]], [[true, 35]]])
  })

  test('work at the desk that needs no setting up begins with its first thing, anything else with setting up', () => {
    const begun = (kind: SessionKind, setup: Settings['setup'] = {}) => {
      const planned = laid('2026-11-24')
      const [own] = planned.settings.values()
      if (!own) throw new Error('no settings')
      const r = {
        ...planned,
        settings: new Map([[own.id, { ...own, setup }]]),
        sessions: new Map([[id, { ...session(planned), id, kind }]]),
      }
      return session(after(r, beginSession(r, { session: id, order: films }, exampleContext())), id)
    }
    const at = new Date(exampleNow).toISOString()
    expect(begun('write')).toMatchObject({
      order: films,
      run: { kind: 'running', at: 'e0/film', begun: at, rolled: at },
    })
    expect(begun('write', { write: 10 }).run.kind).toBe('setting up')
    expect(begun('film').run.kind).toBe('setting up')
  })

  test('a set is struck, a recording too; work at the desk is ended, and what was done in it is not got', () => {
    const r = running()
    const one = session(r, id)
    const said = (kind: SessionKind) => {
      const sessions = new Map([[id, { ...one, kind }]])
      return valueOf(strikeSession({ ...r, sessions }, { session: id }, later(30))).sentence
    }
    expect(said('film')).toMatch(/^Filming struck: \d of \d got in 30 min/)
    expect(said('record')).toMatch(/^Recording struck: \d of \d got in 30 min/)
    expect(said('write')).toMatch(/^Writing ended: \d of \d done in 30 min/)
  })

  test('with all must-haves got the step is done, copied footage is a step that is, and set-up is learnt', () => {
    let r = running()
    const one = session(r, id)
    // It was set up for twenty-five minutes before the first shot.
    const begun = new Date(exampleNow - 25 * 60_000).toISOString()
    if (one.run.kind !== 'running') throw new Error('it does not run')
    const run = { ...one.run, begun }
    r = { ...r, sessions: new Map([[id, { ...one, run }]]) }
    for (const [n, minutes] of [10, 20, 30].entries()) r = take(r, true, minutes, '', open.slice(n))
    r = after(r, checkSession(r, { session: id, item: 'copied', on: true }, later(31)))
    r = after(r, takeBreak(r, { session: id, on: true }, later(31)))
    const struck = valueOf(strikeSession(r, { session: id }, later(60)))
    const said = struck.sentence
    r = after(r, { ok: true, value: struck })
    expect(r.steps.get('e0/film')).toMatchObject({ logged: 31 })
    expect(r.steps.get('e0/film')?.doneAt).toBeDefined()
    expect(r.steps.get('e0/copied')?.doneAt).toBeDefined()
    expect(session(r, id).run).toMatchObject({ got: 3, of: 3, setup: 25, minutes: 25 + 31 })
    // 45 and 0.3 of the difference to 25.
    expect(said).toMatch(/From now on setting up counts 39 min/)
    expect(r.settings.get('settings')?.setup.film).toBe(39)
    expect(refusalOf(strikeSession(r, { session: id }, later(61)))).toContain('not begun')
  })

  test('what changes between shots took counts from now on in their show, and is said', () => {
    let r = running()
    // From the bench to the words to camera, which nobody said a place of, and back to it.
    for (const [n, minutes] of [8, 43, 81].entries()) r = take(r, true, minutes, '', open.slice(n))
    const done = valueOf(strikeSession(r, { session: id }, later(90)))
    const [show] = [...after(r, { ok: true, value: done }).shows.values()]
    // 35 and 38 minutes, of which 5 and 8 are filming: twice half an hour for going elsewhere, which counted 15.
    expect(show?.changeMinutes).toEqual({ ...usualCosts, place: 20 })
    expect(done.sentence).toMatch(
      /^Filming struck: 3 of 3 got in 1 h 30\. From now on going elsewhere counts 20 min$/,
    )
    const back = withChanges(withChanges(r, done.changes), inverse(done.changes))
    expect(back.shows).toEqual(r.shows)
  })

  test('undo gives back what stood before', () => {
    const r = running()
    const done = valueOf(strikeSession(r, { session: id }, later(30)))
    const back = withChanges(withChanges(r, done.changes), inverse(done.changes))
    expect(back.sessions).toEqual(r.sessions)
    expect(back.steps.get('e0/film')).toEqual(r.steps.get('e0/film'))
  })
})
