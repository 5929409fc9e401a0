import fc from 'fast-check'
import { randomBytes } from 'node:crypto'
import { after, exampleContext, exampleNow, refusalOf, valueOf } from '../examples'
import { withSession } from '../commands/random/with-session'
import { takeLetters } from '../commands/sessions/take-letters'
import { putOff, takeInHand } from '../commands/sessions/take-shot'
import { tickStep } from '../commands/work/tick-step'
import type { Records } from '../records'
import { exampleWorld, viewOf } from '../views/example-cards'
import type { BeltDeed, BeltLetter } from './letters'
import { openedLetters } from './open'
import { addressOfJpeg, beltPicture, picturesOf, readPictures } from './pictures'
import { opened, sealed } from './seal'
import { readSnapshot, withDeeds, type Snapshot } from './snapshot'
import { snapshotOf } from './snapshot-of'

const random = (length: number) => new Uint8Array(randomBytes(length))
const session = 'e0-session'
const world = () => withSession(exampleWorld(), 'e0', '2026-11-24', exampleContext())
let n = 0
const letter = (deed: BeltDeed, minutes = 1): BeltLetter => ({
  id: `letter-${String(++n).padStart(4, '0')}`,
  device: 'phone',
  n,
  at: new Date(exampleNow + minutes * 60_000).toISOString(),
  deed,
})
const take = (item: string, kept = true, saw = false): BeltDeed => ({
  kind: 'take',
  session,
  item,
  kept,
  reason: kept ? '' : 'focus',
  seconds: 20,
  saw,
})
const given = (r: Records, ...letters: BeltLetter[]) =>
  after(r, takeLetters(r, { letters }, exampleContext(exampleNow + 3_600_000)))
const cue = (r: Records, id: string) =>
  r.scripts
    .get('e0')
    ?.sections.flatMap((s) => s.beats.flatMap((b) => b.cues))
    .find((c) => c.id === id)

describe('the cipher', () => {
  test('whoever has the key reads any text; with another key, or one sign changed, nothing', () => {
    fc.assert(
      fc.property(fc.string(), fc.string({ minLength: 1 }), fc.nat(), (text, key, at) => {
        const closed = sealed(text, key, random)
        expect(opened(closed, key)).toBe(text)
        expect(opened(closed, `${key}.`)).toBeUndefined()
        const i = at % closed.replace(/=+$/, '').length
        const other = closed.slice(0, i) + (closed[i] === 'A' ? 'B' : 'A') + closed.slice(i + 1)
        // The last signs may hold bits that stand for nothing.
        const isSame = atob(other) === atob(closed)
        expect(opened(other, key)).toBe(isSame ? text : undefined)
      }),
      { numRuns: 60 },
    )
    expect(sealed('a', 'k', random)).not.toBe(sealed('a', 'k', random))
  })

  test('a letter that is none, or not under its own id, is left out', () => {
    const one = letter(take('e0-shot0'))
    const mail = (id: string, text: string) => ({
      kind: 'belt' as const,
      id,
      at: one.at,
      sealed: sealed(text, 'key', random),
    })
    const text = JSON.stringify(one)
    expect(openedLetters([mail(one.id, text), mail('other-id-1', text), mail(one.id, '{}')], 'key')).toEqual([
      one,
    ])
    expect(openedLetters([mail(one.id, text)], 'another')).toEqual([])
  })
})

describe('letters', () => {
  test('are taken once and in the order in which they were written, however they come', () => {
    const first = letter(take('e0-shot0', false))
    const second = letter(take('e0-shot0', true), 2)
    const r = given(world(), second, first, second)
    expect(cue(r, 'e0-shot0')).toMatchObject({
      got: true,
      takes: [
        { id: first.id, kept: false, reason: 'focus' },
        { id: second.id, kept: true },
      ],
    })
    // The session has gone on, as if it had been ticked at the desk.
    expect(r.sessions.get(session)?.run).toMatchObject({ at: 'camera:e0' })
    const again = takeLetters(r, { letters: [first, second] }, exampleContext())
    expect(refusalOf(again)).toContain('already')
    const third = letter({ kind: 'got', session, item: 'e0-shot0', got: false, saw: true })
    expect(cue(given(r, second, third), 'e0-shot0')).toMatchObject({ got: false, takes: [{}, {}] })
  })

  test('where the desk changed the same shot meanwhile its word stands, and this is said', () => {
    const got = after(
      world(),
      takeInHand(
        world(),
        { session, kept: true, open: ['e0-shot0', 'camera:e0', 'e0-shot1'] },
        exampleContext(exampleNow + 60_000),
      ),
    )
    const put = letter({ kind: 'put', session, item: 'e0-shot0', on: true, saw: false })
    const r = given(got, put)
    expect(r.sessions.get(session)?.put).toEqual([])
    expect(cue(r, 'e0-shot0')?.got).toBe(true)
    expect(r.letters.get(put.id)?.over).toMatch(/the desk had changed “Shot 0” meanwhile/)
    const off = { session, item: 'e0-shot1', on: true, open: [] }
    const both = after(world(), putOff(world(), off, exampleContext()))
    const back = letter({ kind: 'put', session, item: 'e0-shot1', on: true, saw: false })
    expect(given(both, back).letters.get(back.id)?.over).toBeDefined()
  })

  test('a tick of a step, of a list, and a remark come in; what is gone is said, and stops nothing', () => {
    const deeds: BeltDeed[] = [
      { kind: 'step', step: 'e1/brief', done: true, saw: false },
      { kind: 'check', session, item: 'power', on: true, saw: false },
      { kind: 'remark', session, item: 'e0-shot0', text: 'hold it' },
      { kind: 'take', session, item: 'gone', kept: true, reason: '', seconds: 1, saw: false },
      { kind: 'put', session: 'gone', item: 'x', on: true, saw: false },
    ]
    const letters = deeds.map((d) => letter(d))
    const r = given(world(), ...letters)
    expect(r.steps.get('e1/brief')?.doneAt).toBeDefined()
    expect(r.sessions.get(session)?.checked).toEqual(['power'])
    const notes = r.scripts.get('e0')?.sections.flatMap((s) => s.beats.flatMap((b) => b.cues))
    expect(notes?.filter((c) => c.kind === 'edit').map((c) => c.text)).toEqual(['hold it'])
    expect(letters.map((l) => r.letters.get(l.id)?.over !== undefined)).toEqual([
      false,
      false,
      false,
      true,
      true,
    ])
    // A step that the desk has ticked and taken back stays as the desk has it.
    const ticked = after(r, tickStep(r, { step: 'e1/brief', done: false }, exampleContext()))
    const late = letter({ kind: 'step', step: 'e1/brief', done: false, saw: true })
    expect(given(ticked, late).letters.get(late.id)?.over).toContain('meanwhile')
  })

  test('are forgotten after a season', () => {
    const old = { id: 'letter-old', at: '2026-06-01T09:00:00.000Z' }
    const r = { ...world(), letters: new Map([[old.id, old]]) }
    expect([...given(r, letter(take('e0-shot0'))).letters.keys()]).not.toContain(old.id)
  })
})

describe('pictures', () => {
  const item = (id: string, got = false, picture?: string) => ({
    ...{ id, name: id, words: '', where: '', of: '', minutes: 1, got, put: false, takes: 0 },
    ...(picture === undefined ? {} : { picture }),
  })
  const of = (items: ReturnType<typeof item>[]) => ({
    sessions: [{ id: 's', name: '', day: '', running: true, items, before: [], after: [] }],
  })

  test('of what is still to be got come first, each once, and no more than go along', () => {
    const few = of([item('a', true, 'p1'), item('b'), item('c', false, 'p2'), item('d', false, 'p2')])
    expect(picturesOf(few)).toEqual(['p2', 'p1'])
    const many = of(Array.from({ length: 30 }, (_, i) => item(`${i}`, false, `p${i}`)))
    expect(picturesOf(many)).toHaveLength(beltPicture.most)
  })

  test('are read where each is a small JPEG, and nothing else is', () => {
    const address = addressOfJpeg(random(beltPicture.bytes))
    expect(readPictures(JSON.stringify({ p: address }))).toEqual({ p: address })
    for (const other of [
      `${address}AAAA${'A'.repeat(60)}`,
      'https://video.example/p.jpg',
      'data:text/html;base64,AA==',
    ])
      expect(readPictures(JSON.stringify({ p: other }))).toBeUndefined()
    expect(readPictures('{')).toBeUndefined()
  })
})

describe('the snapshot', () => {
  function snapshot(r: Records): Snapshot {
    const { cards, stepIn, state } = viewOf(r)
    const made = snapshotOf({
      now: exampleNow,
      today: state.today,
      day: { blocks: [], first: undefined, notToday: [] },
      next: cards[0],
      working: cards,
      ideas: [],
      sessions: [...r.sessions.values()].map((s) => ({ session: s, order: s.order })),
      stepIn,
      letters: r.letters.values(),
    })
    const read = readSnapshot(JSON.stringify(made))
    if (!read) throw new Error('It cannot be read')
    expect(read).toEqual(made)
    return read
  }

  test('shows on the phone what was done there at once, and the same once the desk has taken it', () => {
    const before = snapshot(world())
    const deeds: BeltDeed[] = [
      take('e0-shot0'),
      { kind: 'put', session, item: 'e0-shot1', on: true, saw: false },
      { kind: 'check', session, item: 'sound', on: true, saw: false },
    ]
    const shown = withDeeds(before, deeds)
    const letters = deeds.map((d) => letter(d))
    const later = snapshot(given(world(), ...letters))
    expect(later.sessions).toEqual(shown.sessions)
    expect(later.taken.map((t) => t.id).sort()).toEqual(letters.map((l) => l.id).sort())
    expect(before.sessions[0]?.items.map((i) => i.got)).toEqual([false, false, false])
    expect(before.scripts[0]?.sections[0]?.lines).toContain('It curls.')
  })

  test('what is no snapshot is not read', () => {
    expect(readSnapshot('{"format":"lamp-reel belt 2"}')).toBeUndefined()
    expect(readSnapshot('none')).toBeUndefined()
  })

  test('one undo takes letters back together', () => {
    const done = valueOf(
      takeLetters(
        world(),
        { letters: [letter(take('e0-shot0')), letter(take('e0-shot1'))] },
        exampleContext(),
      ),
    )
    expect(done.changes.filter((c) => c.table === 'scripts')).toHaveLength(1)
    expect(done.sentence).toBe('Took 2 deeds from the belt')
  })
})
