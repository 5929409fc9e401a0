import fc from 'fast-check'
import { effectScope } from 'vue'
import { after, exampleContext, exampleNow } from '@core/examples'
import { beginCut, changeNote, noteOnCut } from '@core/commands/cuts'
import { answerHelper, endJob, giveJob } from '@core/commands/jobs'
import { handOver } from '@core/commands/release'
import type { HelperDeed } from '@core/helpers/deeds'
import type { Job, Records } from '@core/records'
import { exampleWorld } from '@core/views/example-cards'
import { deskThatDoes } from '@app/stores/example-desk'
import { anyLine, exampleMailbox, keptHere } from '@app/stores/example-mailbox'
import { useHelpers } from '@app/stores/helpers'
import { useMail } from '@app/stores/mail'
import { useHelper } from './useHelper'
import { runs } from '@core/runs'

jest.mock('@app/data/library', () => ({ Library: jest.fn() }))
jest.mock('@app/data/clock', () => ({
  now: () => Date.parse('2026-11-24T09:00:00.000Z'),
  browserZone: () => 'Europe/Lisbon',
  newId: () => 'new',
}))
jest.mock('vue', () => ({
  ...jest.requireActual<object>('vue'),
  onMounted: (begin: () => void) => {
    begin()
  },
}))

type Kind = Job['kind']
const kinds: readonly Kind[] = ['cut', 'review', 'release']

/** Cut 1 of “Ribs” with two things to do, given to Pell. */
function given(kind: Kind): Records {
  const c = exampleContext()
  let r = exampleWorld()
  r = after(r, beginCut(r, { episode: 'e0', id: 'cut', address: 'https://shelf.example/cut' }, c))
  const notes = ['hold it longer', 'level the voice'].map((text, i) => ({
    ...{ at: 10 + i * 20, kind: 'to do' as const, text },
  }))
  r = after(r, noteOnCut(r, { cut: 'cut', notes }, c))
  const wish = { id: 'job', episode: 'e0', kind, who: 'Pell', parts: ['notes'], shelf: [] }
  return after(r, giveJob(r, wish, c))
}

/** A desk, a helper’s page, and the server between them. */
async function world(kind: Kind) {
  const mailbox = await exampleMailbox()
  const desk = deskThatDoes(given(kind))
  const mail = useMail()
  await mail.tell(false)
  const helpers = useHelpers()
  await helpers.hand()
  const job = desk.library.records.jobs.get('job')
  if (!job) throw new Error('no job')
  mailbox.open(new URL(helpers.addressOf(job)).pathname)
  const scope = effectScope()
  const page = () => {
    const found = scope.run(() => useHelper())
    if (!found) throw new Error('no page')
    return found
  }
  const w = {
    ...{ kind, mailbox, desk, mail, helpers },
    page: page(),
    /** The helper’s page is killed and opened again. */
    reopen: () => {
      w.page = page()
    },
    end: () => {
      scope.stop()
      mailbox.end()
    },
  }
  await w.page.sync()
  return w
}
type World = Awaited<ReturnType<typeof world>>

/** How many notes were written, so that each has words of its own. */
let said = 0

/** What a helper could do on the page as it stands; nothing where there is nothing to press. */
function deedAt({ page, kind: of }: World, kind: string, n: number): HelperDeed | false | undefined {
  const seen = page.seen.value
  if (!seen) return undefined
  const note = seen.toDo[n % Math.max(1, seen.toDo.length)]
  const thing = seen.things[n % Math.max(1, seen.things.length)]
  switch (kind) {
    case 'opened':
      return seen.opened ? undefined : { kind }
    case 'tick':
      return note && !(seen.back && note.done) && { kind, note: note.id, done: !note.done, saw: note.done }
    case 'ask':
      return { kind, text: `Which of them, ${n}?` }
    case 'note':
      return of === 'review' ? { kind, text: `0:${10 + n} !the gulls are loud, ${++said}` } : undefined
    case 'through':
      return of === 'review' && !seen.back ? { kind } : undefined
    case 'back':
      return of === 'cut' && !seen.back
        ? { kind, where: `cut ${n}.mp4`, says: n % 2 ? 'Shorter now' : '' }
        : undefined
    case 'handed': {
      const state = n % 2 ? 'uploaded' : 'scheduled'
      return thing && { kind, key: thing.key, state, on: !thing[state] }
    }
    default:
      return undefined
  }
}

/** What can be seen on the page of what was done. */
const standing = ({ page }: World) => {
  const seen = page.seen.value
  return {
    opened: seen?.opened,
    back: seen?.back,
    asked: seen?.asked.map((q) => q.text),
    // Handed back, the page goes on with the notes of the next cut.
    toDo: seen?.back ? [] : seen?.toDo.map((n) => [n.id, n.done]),
    notes: seen?.notes.map((n) => n.text.replace(/^\S+ !/, '')).sort(),
    things: seen?.things.map((t) => [t.key, t.uploaded, t.scheduled]),
  }
}

/** All that is on the way arrives, whatever it takes. */
async function settle({ page, mail, helpers, mailbox }: World) {
  mailbox.line = () => 'works'
  for (let i = 0; i < 3; i++) {
    await page.sync()
    await mail.look()
    await helpers.hand()
    await page.sync()
  }
}

const letterIds = () => keptHere('lamp-reel.helper.')
const deeds = ['opened', 'tick', 'tick', 'ask', 'note', 'note', 'through', 'back', 'handed', 'handed']

const acts = (...more: readonly string[]) =>
  fc.array(
    fc.record({
      kind: fc.constantFrom(...deeds, 'sync', 'sync', 'look', 'hand', 'restart', 'reopen', ...more),
      n: fc.nat(40),
      line: anyLine,
    }),
    { minLength: 12, maxLength: 30 },
  )
const lives = runs(2)

/** Lets one thing happen that is no deed of the helper’s. */
async function happen(w: World, kind: string, n: number) {
  const { library } = w.desk
  const { records } = library
  const note = records.cuts.get('cut')?.notes[n % 2]
  const asked = records.jobs.get('job')?.asked.at(-1)
  switch (kind) {
    case 'sync':
      await w.page.sync()
      break
    case 'look':
      await w.mail.look()
      break
    case 'hand':
      await w.helpers.hand()
      break
    case 'restart':
      w.mailbox.restart()
      break
    case 'reopen':
      // Without network the page itself would not come.
      w.mailbox.line = () => 'works'
      w.reopen()
      await w.page.sync()
      break
    case 'desk ticks':
      if (note)
        await library.perform(changeNote, {
          ...{ cut: 'cut', note: note.id, to: { isDone: note.done === undefined } },
        })
      break
    case 'desk answers':
      if (asked) await library.perform(answerHelper, { job: 'job', question: asked.id, answer: `${n}` })
      break
    case 'desk hands over': {
      const on = n % 2 === 0
      const wish = { episode: 'e0', key: 'outlet', state: 'uploaded' as const, on, going: exampleNow }
      await library.perform(handOver, wish)
      break
    }
    case 'desk undo':
      w.desk.undo()
      break
    case 'desk ends':
      await library.perform(endJob, { job: 'job' })
  }
}
/** Does something on the page; the id of its letter. */
function sentBy({ page }: World, deed: HelperDeed): string[] {
  const before = new Set(letterIds())
  page.act(deed)
  return letterIds().filter((id) => !before.has(id))
}
/** Lives a row through; the letters that were sent. */
async function live(
  w: World,
  row: readonly { kind: string; n: number; line: ReturnType<World['mailbox']['line']> }[],
) {
  const sent: string[] = []
  for (const { kind, n, line } of row) {
    w.desk.pass(1)
    w.mailbox.line = () => line
    const deed = deedAt(w, kind, n)
    if (deed) sent.push(...sentBy(w, deed))
    else await happen(w, kind, n)
  }
  return sent.map((name) => name.split('.').at(-1) ?? '')
}

describe('a helper’s page, the mailbox and the desk, over a line that fails', () => {
  test.each(kinds)('what the page showed at once is what the desk makes of it: %s', async (kind) => {
    let done = 0
    await fc.assert(
      fc.asyncProperty(acts(), async (row) => {
        const w = await world(kind)
        try {
          await live(w, row)
          const shown = standing(w)
          await settle(w)
          expect([w.page.waiting.value, letterIds(), w.mailbox.waiting(), w.page.over.value]).toEqual([
            0,
            [],
            0,
            [],
          ])
          expect(standing(w)).toEqual(shown)
          done += w.desk.library.records.letters.size
        } finally {
          w.end()
        }
      }),
      { numRuns: lives, seed: 20_261_127, endOnFailure: true },
    )
    expect(done).toBeGreaterThan(2 * lives)
  })

  test.each(kinds)(
    'each deed is taken once, or the desk’s word stands and the page says so: %s',
    async (kind) => {
      let [taken, stood, ended] = [0, 0, 0]
      const meanwhile = [
        'desk ticks',
        'desk ticks',
        'desk answers',
        'desk hands over',
        'desk undo',
        'desk ends',
      ]
      await fc.assert(
        fc.asyncProperty(acts(...meanwhile), async (row) => {
          const w = await world(kind)
          try {
            const sent = await live(w, row)
            await settle(w)
            const { letters, jobs, cuts } = w.desk.library.records
            const job = jobs.get('job')
            if (job?.ended !== undefined) {
              // Its address has ended: what had not come by then never comes, and nothing of it is half there.
              expect(w.page.state.value).toBe('none')
              ended++
            } else {
              expect([w.page.waiting.value, letterIds()]).toEqual([0, []])
              expect(sent.filter((id) => !letters.has(id))).toEqual([])
            }
            expect(w.mailbox.waiting()).toBe(0)
            const over = sent.filter((id) => letters.get(id)?.over !== undefined)
            if (job?.ended === undefined) expect(w.page.over.value).toHaveLength(over.length)
            const asked = job?.asked.map((q) => q.id) ?? []
            expect(new Set(asked).size).toBe(asked.length)
            for (const { notes } of cuts.values())
              expect(new Set(notes.map((note) => note.text)).size).toBe(notes.length)
            stood += over.length
            taken += sent.filter((id) => letters.has(id)).length - over.length
          } finally {
            w.end()
          }
        }),
        { numRuns: lives * 2, seed: 20_261_128, endOnFailure: true },
      )
      expect(taken).toBeGreaterThan(2 * lives)
      expect(ended).toBeGreaterThan(0)
      if (kind === 'cut') expect(stood).toBeGreaterThan(0)
    },
  )
})
