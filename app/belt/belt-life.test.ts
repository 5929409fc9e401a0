import fc from 'fast-check'
import { effectScope } from 'vue'
import { after, exampleContext, exampleNow, exampleScript } from '@core/examples'
import {
  beginSession,
  checkSession,
  planSession,
  putOff,
  rollSession,
  takeInHand,
} from '@core/commands/sessions'
import { tickStep } from '@core/commands/work'
import { exampleWorld } from '@core/views/example-cards'
import { hasTakes, takesRemarks } from '@core/session/item-kinds'
import type { BeltDeed } from '@core/belt/letters'
import type { Records, Script } from '@core/records'
import { useBelt as useHandedOut } from '@app/stores/belt'
import { deskThatDoes } from '@app/stores/example-desk'
import { anyLine, exampleMailbox, keptHere } from '@app/stores/example-mailbox'
import { useMail } from '@app/stores/mail'
import { useBelt } from './useBelt'
import { runs } from '@core/runs'

jest.mock('@app/data/library', () => ({ Library: jest.fn() }))
let clock = exampleNow
jest.mock('@app/data/clock', () => ({
  now: () => clock,
  browserZone: () => 'Europe/Lisbon',
  newId: () => 'new',
}))
jest.mock('vue', () => ({
  ...jest.requireActual<object>('vue'),
  onMounted: (begin: () => void) => {
    begin()
  },
}))

type Kind = 'film' | 'record' | 'edit'
const kinds: readonly Kind[] = ['film', 'record', 'edit']

/** Words to camera and two shots. */
function scriptOf(episode: string): Script {
  const script = exampleScript({ Hook: ['The plane shaves.', 'It curls.'], End: ['It holds.'] }, episode)
  script.sections.forEach((section, i) => {
    section.id = `${episode}-${section.id}`
    for (const beat of section.beats.slice(0, 1))
      beat.cues = [
        { id: `${episode}-${i}`, kind: 'shot', text: `Shot ${i}`, got: false, shot: { place: 'Slip' } },
      ]
  })
  return script
}

/** Three episodes whose session of a kind runs. */
function running(kind: Kind): Records {
  const bare = exampleWorld()
  let r: Records = { ...bare, scripts: new Map([...bare.episodes.keys()].map((e) => [e, scriptOf(e)])) }
  const steps = [...r.steps.values()].filter((s) => s.kind === (kind === 'edit' ? 'edit' : 'film'))
  const wish = { id: 'day', kind, day: '2026-11-24', steps: steps.map((s) => s.id) }
  r = after(r, planSession(r, wish, exampleContext()))
  r = after(r, beginSession(r, { session: 'day' }, exampleContext()))
  const order =
    kind === 'edit'
      ? wish.steps
      : [...r.scripts.values()].flatMap((s) =>
          kind === 'film'
            ? [`camera:${s.id}`, `${s.id}-0`, `${s.id}-1`]
            : s.sections.map((section) => section.id),
        )
  const roll = () => rollSession(r, { session: 'day', order }, exampleContext())
  r = after(r, roll())
  return r.sessions.get('day')?.run.kind === 'running' ? r : after(r, roll())
}

/** A desk, a phone, and the mailbox between them. */
async function world(kind: Kind) {
  const mailbox = await exampleMailbox()
  const desk = deskThatDoes(running(kind))
  clock = exampleNow
  const scope = effectScope()
  /** The tab at the desk, anew over what it has on disk. */
  const atDesk = async () => {
    const mail = useMail()
    const belt = useHandedOut()
    await mail.tell(false)
    return { mail, belt }
  }
  const { mail, belt } = await atDesk()
  const answer = await fetch('/mail/address', {
    headers: { 'x-lamp-key': localStorage.getItem('lamp-reel.mail-key') ?? '' },
  })
  mail.address = await answer.json()
  const phone = () => scope.run(() => useBelt())
  await belt.handOut()
  let here = phone()
  if (!here) throw new Error('no phone')
  await here.sync()
  return {
    mailbox,
    desk,
    mail,
    belt,
    get phone() {
      if (!here) throw new Error('no phone')
      return here
    },
    /** The phone’s page is killed and opened again. */
    reopen: () => {
      here = phone()
    },
    end: () => {
      scope.stop()
      mailbox.end()
    },
  }
}
type World = Awaited<ReturnType<typeof world>>

/** What a finger could do on the belt as it stands; nothing where there is nothing to press. */
function deedAt({ phone }: World, kind: string, n: number): BeltDeed | false | undefined {
  const seen = phone.seen.value
  const session = seen?.sessions[0]
  if (!seen || !session) return undefined
  const one = <T>(of: readonly T[]): T | undefined => of[n % Math.max(1, of.length)]
  const open = one(session.items.filter((i) => !i.got && !i.put))
  const is = open?.kind ?? 'shot'
  const at = { session: session.id }
  switch (kind) {
    case 'got':
      return (
        open && { kind: 'take', ...at, item: open.id, kept: true, reason: '', seconds: 20, saw: open.got }
      )
    case 'again':
      return (
        open &&
        hasTakes(is) && {
          kind: 'take',
          ...at,
          item: open.id,
          kept: false,
          reason: 'focus',
          seconds: 9,
          saw: open.got,
        }
      )
    case 'off':
      return open && { kind: 'put', ...at, item: open.id, on: true, saw: open.put }
    case 'on': {
      const put = one(session.items.filter((i) => i.put && !i.got))
      return put && { kind: 'put', ...at, item: put.id, on: false, saw: true }
    }
    case 'back': {
      const got = one(session.items.filter((i) => i.got))
      return got && { kind: 'got', ...at, item: got.id, got: false, saw: true }
    }
    case 'check': {
      const check = one([...session.before, ...session.after])
      return check && { kind: 'check', ...at, item: check.id, on: !check.on, saw: check.on }
    }
    case 'remark':
      return open && takesRemarks(is) && { kind: 'remark', ...at, item: open.id, text: `Hold it ${n}` }
    default: {
      const step = one(seen.today)
      return step && { kind: 'step', step: step.step, done: !step.done, saw: step.done }
    }
  }
}

/** What can be seen of a session and of today on the belt: what is got, put off, ticked. */
const standing = ({ phone }: World) => ({
  items: phone.seen.value?.sessions[0]?.items.map((i) => [i.id, i.got, i.put, i.takes]),
  checks: phone.seen.value?.sessions[0]?.before.map((c) => [c.id, c.on]),
})

/** All that is on the way arrives, whatever it takes. */
async function settle({ phone, mail, belt, mailbox }: World) {
  mailbox.line = () => 'works'
  for (let i = 0; i < 3; i++) {
    await phone.sync()
    await mail.look()
    clock += 1000
    await belt.handOut()
    await phone.sync()
  }
}

const deeds = ['got', 'got', 'again', 'off', 'on', 'back', 'check', 'remark', 'step']
const acts = fc.array(
  fc.record({
    kind: fc.constantFrom(...deeds, 'sync', 'sync', 'look', 'look', 'hand out', 'restart', 'reopen'),
    n: fc.nat(40),
    line: anyLine,
  }),
  { minLength: 12, maxLength: 30 },
)
const withDesk = fc.array(
  fc.record({
    kind: fc.constantFrom(
      ...deeds,
      'sync',
      'look',
      'hand out',
      'restart',
      ...['desk got', 'desk off', 'desk check', 'desk step', 'desk undo'],
    ),
    n: fc.nat(40),
    line: anyLine,
  }),
  { minLength: 14, maxLength: 34 },
)
const lives = runs(2)

/** The ids of the letters that the phone keeps. */
const letterIds = () => keptHere('lamp-reel.belt.letter.')
/** Does something on the phone; the id of its letter. */
function sentBy({ phone }: World, deed: BeltDeed): string[] {
  const before = new Set(letterIds())
  phone.act(deed)
  return letterIds().filter((id) => !before.has(id))
}

/** All takes of each thing that is got, in their order. */
const takesIn = ({ scripts, sessions }: Records): string[][] =>
  [
    ...[...scripts.values()].flatMap((s) => [
      s.toCamera?.takes,
      ...s.sections.flatMap((section) => [
        section.takes,
        ...section.beats.flatMap((b) => b.cues.map((c) => c.takes)),
      ]),
    ]),
    ...[...sessions.values()].flatMap((s) => s.shots.map((shot) => shot.takes)),
  ].map((takes) => takes?.map((t) => t.id) ?? [])

/** Something is done at the desk meanwhile. */
async function deskDoes({ desk: { library } }: World, kind: string, n: number) {
  const session = library.records.sessions.get('day')
  if (!session) throw new Error('no session')
  const item = session.order[n % session.order.length] ?? ''
  if (kind === 'desk got')
    await library.perform(takeInHand, { session: 'day', kept: true, open: session.order })
  else if (kind === 'desk off')
    await library.perform(putOff, {
      session: 'day',
      item,
      on: !session.put.includes(item),
      open: session.order,
    })
  else if (kind === 'desk check')
    await library.perform(checkSession, {
      session: 'day',
      item: 'power',
      on: !session.checked.includes('power'),
    })
  else {
    const steps = [...library.records.steps.values()]
    const step = steps[n % steps.length]
    if (step) await library.perform(tickStep, { step: step.id, done: step.doneAt === undefined })
  }
}

/** Lets one thing happen. */
async function happen(w: World, { kind, n }: { kind: string; n: number }) {
  switch (kind) {
    case 'sync':
      await w.phone.sync()
      break
    case 'look':
      await w.mail.look()
      break
    case 'hand out':
      await w.belt.handOut()
      break
    case 'restart':
      w.mailbox.restart()
      break
    case 'reopen':
      w.reopen()
      break
    case 'desk got':
    case 'desk off':
    case 'desk check':
    case 'desk step':
      await deskDoes(w, kind, n)
      break
    case 'desk undo':
      w.desk.undo()
      break
    default: {
      const deed = deedAt(w, kind, n)
      if (deed) w.phone.act(deed)
    }
  }
}

describe('the belt, its mailbox and the desk, over a line that fails', () => {
  test.each(kinds)(
    'what the phone showed at once is what the desk makes of it, in a session to %s',
    async (kind) => {
      let done = 0
      await fc.assert(
        fc.asyncProperty(acts, async (row) => {
          const w = await world(kind)
          try {
            for (const one of row) {
              clock += 60_000
              w.desk.pass(1)
              w.mailbox.line = () => one.line
              await happen(w, one)
            }
            const shown = standing(w)
            await settle(w)
            expect([w.phone.waiting.value, w.mailbox.waiting(), w.phone.over.value]).toEqual([0, 0, []])
            expect(standing(w)).toEqual(shown)
            done += w.desk.library.records.letters.size
          } finally {
            w.end()
          }
        }),
        { numRuns: lives, seed: 20_261_127, endOnFailure: true },
      )
      expect(done).toBeGreaterThan(3 * lives)
    },
  )

  test.each(kinds)(
    'each deed is taken once and in its order, or the desk’s word stands and the phone hears so, in a session to %s',
    async (kind) => {
      let [taken, stood] = [0, 0]
      await fc.assert(
        fc.asyncProperty(withDesk, async (row) => {
          const w = await world(kind)
          try {
            const sent: string[] = []
            for (const one of row) {
              clock += 60_000
              w.desk.pass(1)
              w.mailbox.line = () => one.line
              const deed = deeds.includes(one.kind) && deedAt(w, one.kind, one.n)
              if (deed) sent.push(...sentBy(w, deed))
              else await happen(w, one)
            }
            await settle(w)
            expect([w.phone.waiting.value, w.mailbox.waiting(), letterIds()]).toEqual([0, 0, []])
            const { records } = w.desk.library
            expect(sent.filter((id) => !records.letters.has(id))).toEqual([])
            const over = sent.flatMap((id) => records.letters.get(id)?.over ?? [])
            expect(w.phone.over.value.toSorted()).toEqual(over.toSorted())
            const takes = takesIn(records).map((of) => of.filter((id) => sent.includes(id)))
            for (const of of takes) expect(of).toEqual(sent.filter((id) => of.includes(id)))
            expect(new Set(takes.flat()).size).toBe(takes.flat().length)
            stood += over.length
            taken += sent.length - over.length
          } finally {
            w.end()
          }
        }),
        { numRuns: lives, seed: 20_261_129, endOnFailure: true },
      )
      expect(taken).toBeGreaterThan(2 * lives)
      expect(stood).toBeGreaterThan(0)
    },
  )

  test('a phone without room says so: what is done is not half kept, what comes is shown all the same', async () => {
    const w = await world('film')
    try {
      const got = () => w.phone.seen.value?.sessions[0]?.items.filter((i) => i.got).length
      w.mailbox.storage.full = true
      const deed = deedAt(w, 'got', 0)
      if (!deed) throw new Error('nothing to get')
      w.phone.act(deed)
      expect([w.phone.trouble.value, w.phone.waiting.value, got()]).toEqual([
        expect.stringContaining('stores nothing here'),
        0,
        0,
      ])
      await deskDoes(w, 'desk got', 0)
      clock += 1000
      await w.belt.handOut()
      await w.phone.sync()
      expect([w.phone.trouble.value, got()]).toEqual([expect.stringContaining('no room'), 1])
      // With room again it goes on as if nothing had been.
      w.mailbox.storage.full = false
      w.phone.act(deedAt(w, 'got', 0) || deed)
      await settle(w)
      expect([w.phone.trouble.value, w.phone.waiting.value, got()]).toEqual(['', 0, 2])
    } finally {
      w.end()
    }
  })

  test('another key than the desk’s reads nothing, says so, and loses no deed', async () => {
    const w = await world('film')
    try {
      const key = localStorage.getItem('lamp-reel.mail-key') ?? ''
      const deed = deedAt(w, 'got', 0)
      if (!deed) throw new Error('nothing to get')
      w.mailbox.line = () => 'asking lost'
      w.phone.act(deed)
      await w.phone.sync()
      localStorage.setItem('lamp-reel.mail-key', 'some-other-key')
      w.mailbox.line = () => 'works'
      w.reopen()
      await w.phone.sync()
      expect(w.phone.trouble.value).toMatch(/can’t be read with this key|not known to the mailbox/)
      expect(letterIds()).toHaveLength(1)
      localStorage.setItem('lamp-reel.mail-key', key)
      w.reopen()
      await settle(w)
      expect([letterIds(), w.desk.library.records.letters.size]).toEqual([[], 1])
    } finally {
      w.end()
    }
  })
})
