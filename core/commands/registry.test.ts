import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import fc from 'fast-check'
import { after, exampleAt, exampleEpisode, exampleNow, exampleRecords, valueOf } from '../examples'
import { faultsOf } from '../formats/whole-check'
import { rowsOf, tableNames, type Records } from '../records'
import { same } from '../records/same'
import { withChanges, checked, inverse, type Context, type Outcome } from './change'
import { beginCut, noteOnCut } from './cuts'
import { keepRunnerUp } from './episode/judge-picture'
import { addPicture, choosePicture } from './episode/pictures'
import { keepCampaign } from './campaigns'
import { keepDeal } from './deals'
import { writeEpisode } from './episode'
import { giveJob, takeHelperLetters } from './jobs'
import { exampleDeal } from '../partners/example-deal'
import { bookGuest, keepPerson } from './people'
import { keepTranscript } from './transcripts'
import { keepOffer } from './offers'
import { withFollowOns } from './follow'
import { commandNames, doDeed } from './random-deeds'
import { picture } from './random/chance'
import { withSession } from './random/with-session'
import { editRecipe } from './recipes/edit-recipe'
import { putLaunch } from './schedule/launch'
import { placeOnSlot } from './schedule/place-on-slot'
import { startWork } from './schedule/start-work'
import { planSession } from './sessions'
import { makeSpinOff } from './spin-offs'
import { putStanding } from './standing/put-standing'
import { takeBusy } from './standing/busy'
import { tickStep } from './work/tick-step'
import { layOnDay } from './week/lay-on-day'
import type { Result } from '../result'
import { runs } from '../runs'

/** The sources of a folder and of those in it. */
function sources(folder: string): { path: string; text: string }[] {
  return readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    const path = join(folder, entry.name)
    if (entry.isDirectory()) return sources(path)
    return path.endsWith('.test.ts') ? [] : [{ path, text: readFileSync(path, 'utf8') }]
  })
}
const commandIn = /^export const (\w+): Command</gm

function withFollowed(records: Records, result: Result<Outcome>, context: Context): Records {
  return withChanges(records, withFollowOns(records, valueOf(result), context).changes)
}

/**
 * Two episodes in work with a step done, a follow-on set off, work laid, and a checklist; busy time; a launch;
 * three ideas.
 */
function world(): Records {
  const records = exampleRecords(
    ['Ribs', 'Keel', 'Spar', 'Oars', 'Tar'].map((title, i) =>
      exampleEpisode({
        ...{ id: `e${i}`, code: `AB2${i + 2}`, title },
        addresses: { outlet: `https://video.example/${i}` },
      }),
    ),
    'full',
  )
  const context = { now: exampleNow, id: () => 'x' }
  const items = [{ id: 'item0', text: 'Charge the lamp' }]
  const fields: Parameters<typeof editRecipe>[1]['fields'] = {
    checklists: [{ id: 'list', stage: 'film', name: 'Before filming', items }],
    follow: [{ id: 'f', when: { kind: 'done', line: 'script' }, then: { kind: 'note', text: 'Tell Jo' } }],
  }
  const busy = { uid: 'b', name: 'Dentist', day: '2026-11-26', minutes: 40 }
  let r = after(records, editRecipe(records, { recipe: 'recipe', fields }, context))
  r = after(r, placeOnSlot(r, { episode: 'e0', day: '2026-12-03' }, context))
  r = after(r, startWork(r, { episode: 'e1' }, context))
  r = after(r, takeBusy(r, { events: [busy], uids: ['b'] }, context))
  r = withFollowed(r, tickStep(r, { step: 'e0/script', done: true }, context), context)
  r = withSession(r, 'e1', '2026-11-24', context)
  r = withSession(r, 'e0', '2026-11-24', context, 'setting up')
  const stock = { id: 'stock', kind: 'stock' as const, day: '2026-11-27', steps: [], minutes: 60 }
  r = after(r, planSession(r, stock, context))
  r = after(r, beginCut(r, { episode: 'e0', id: 'cut' }, context))
  const hold = { at: 134, kind: 'to do' as const, text: 'hold the bolt longer' }
  r = after(r, noteOnCut(r, { cut: 'cut', notes: [hold] }, context))
  const cut = { id: 'job', episode: 'e0', kind: 'cut', who: 'Pell', parts: ['notes'], shelf: [] } as const
  r = after(r, giveJob(r, { ...cut, parts: [...cut.parts], shelf: [] }, context))
  const asks = { kind: 'ask', text: 'Which music?' } as const
  const letter = { kind: 'helper', id: 'letter-ask', job: 'job', n: 1, at: exampleAt, deed: asks } as const
  r = after(r, takeHelperLetters(r, { letters: [letter] }, context))
  const offer = { name: 'Drawings', address: '', wordings: [], shows: ['show'] }
  r = after(r, keepOffer(r, offer, { ...context, id: () => 'offer' }))
  for (const id of ['front', 'spare']) {
    const file = { id, type: 'image/png', bytes: new Uint8Array([1]) }
    r = after(r, addPicture(r, { episode: 'e1', picture: picture(id), file }, context))
  }
  r = after(r, choosePicture(r, { episode: 'e1', picture: 'front' }, context))
  r = after(r, keepRunnerUp(r, { episode: 'e1', picture: 'spare' }, context))
  const heard = [{ from: 0, to: 2, text: 'It curls.' }]
  r = after(r, keepTranscript(r, { episode: 'e0', made: 'read', captions: heard }, context))
  const asked = { guests: ['Ines Varga'], sponsor: 'Kelpline Rope' }
  r = after(r, writeEpisode(r, { episode: 'e1', typed: asked, what: 'the guests' }, context))
  r = after(
    r,
    bookGuest(
      r,
      { episode: 'e1', guest: 'Ines Varga', day: '2026-12-01', at: '15:00', minutes: 60 },
      context,
    ),
  )
  const ines = { name: 'Ines Varga', roles: [], work: '', ways: [], known: '', note: '' }
  r = after(r, keepPerson(r, { fields: ines }, { ...context, id: () => 'ines' }))
  r = after(r, keepDeal(r, { deal: 'deal', fields: exampleDeal }, context))
  const poster = {
    ...{ name: 'Poster', outlet: '', from: '2026-12-01', to: '2026-12-04' },
    state: 'planned',
  } as const
  const campaign = { ...poster, asset: '', address: '', posts: [] }
  r = after(r, keepCampaign(r, { fields: campaign }, { ...context, id: () => 'campaign' }))
  r = after(r, makeSpinOff(r, { episode: 'e0', kind: 'post' }, { ...context, id: () => 'post' }))
  const mail = { name: 'Mailing list', kind: 'admin', minutes: 30 } as const
  r = after(r, putStanding(r, { ...mail, when: { kind: 'once', day: '2026-11-30' } }, context))
  const regatta = { name: 'Regatta', from: '2026-12-20', to: '2026-12-24', runUp: 14, wanted: 2, note: '' }
  r = after(r, putLaunch(r, regatta, { ...context, id: () => 'regatta' }))
  for (const day of ['2026-11-25', '2026-11-26'])
    r = after(r, layOnDay(r, { step: 'e0/film', day, minutes: 60 }, context))
  return r
}

/** Deeds of more than half of all commands in any order, so that each has its turn in most rows. */
const much = 76
const row = fc
  .tuple(
    fc.shuffledSubarray([...commandNames], { minLength: much, maxLength: much }),
    fc.array(
      fc.record({
        numbers: fc.array(fc.nat({ max: 10_000 }), { minLength: 7, maxLength: 7 }),
        minutes: fc.constantFrom(1, 60, 600, 1440),
      }),
      { minLength: much, maxLength: much },
    ),
  )
  .map(([names, rest]) => rest.map((r, i) => ({ name: names[i] ?? '', ...r })))

type Deeds = readonly { name: string; numbers: number[]; minutes: number }[]

/** Lives a row of deeds; hands each state with what was done to it to `look`. */
function lived(row: Deeds, look: (name: string, before: Records, done: Outcome, now: Records) => void): void {
  let [records, now, made] = [world(), exampleNow, 0]
  for (const d of row) {
    now += d.minutes * 60_000
    const context = { now, id: () => `id${++made}` }
    let at = 0
    const n = (most: number) => (d.numbers[at++ % 7] ?? 0) % most
    const result = doDeed(d.name, { r: records, c: context, n })
    const whole = result.ok ? checked(withFollowOns(records, result.value, context)) : result
    if (!whole.ok) {
      const { sentence } = whole.problem
      expect([d.name, sentence]).toEqual([d.name, expect.stringMatching(/^(?!Too |Invalid).*[.?!”]$/)])
      continue
    }
    const done = whole.value
    const next = withChanges(records, done.changes)
    look(d.name, records, done, next)
    records = next
  }
}

/**
 * Two records with the same in them. What is the very same object is not compared again, and nothing is expected aloud
 * that holds already: that alone takes longer than the deeds.
 */
function expectSame(name: string, a: Records, b: Records): void {
  for (const table of tableNames) {
    const [mine, theirs]: ReadonlyMap<string, unknown>[] = [a[table], b[table]]
    if (mine?.size !== theirs?.size) expect([name, table, mine?.size]).toEqual([name, table, theirs?.size])
    for (const [id, record] of mine ?? [])
      if (!same(record, theirs?.get(id))) expect([name, record]).toEqual([name, theirs?.get(id)])
  }
}

test('every command has a random deed, and every random deed a command', () => {
  const declared = sources(__dirname).flatMap(({ text }) => [...text.matchAll(commandIn)].map((m) => m[1]))
  expect([...commandNames].sort()).toEqual(declared.sort())
})

test('a command says above itself in which sentences it refuses', () => {
  const unsaid = sources(__dirname).flatMap(({ path, text }) => {
    if (text.search(commandIn) < 0) return []
    const said = text.replace(/\n \*\s+/g, ' ')
    const sentences = [...text.matchAll(/refused\(\s*['`]([^'`$]{12,40})/g)].map((m) => m[1] ?? '')
    return sentences.filter((sentence) => !said.includes(`“${sentence}`)).map((sentence) => [path, sentence])
  })
  expect(unsaid).toEqual([])
})

test('whatever is done, undo gives the very records from before, redo those after, and no rule between records breaks', () => {
  const times = new Map<string, number>()
  const live = (deeds: Deeds) => {
    lived(deeds, (name, before, done, now) => {
      times.set(name, (times.get(name) ?? 0) + 1)
      const back = withChanges(now, inverse(done.changes))
      expectSame(name, back, before)
      expectSame(name, withChanges(back, done.changes), now)
      expect([name, faultsOf(rowsOf(now))]).toEqual([name, []])
      expect([name, done.sentence]).toEqual([name, expect.stringMatching(/\S/)])
    })
  }
  const numRuns = runs(20)
  fc.assert(fc.property(row, live), { numRuns, seed: 20_261_124, endOnFailure: true })
  // What chance has never let through gets every fourth turn of a few lives.
  const few = 4
  for (const name of commandNames.filter((c) => !times.has(c)))
    fc.assert(
      fc.property(row, (deeds) => {
        if (!times.has(name)) live(deeds.map((d, i) => (i % few === few - 1 ? { ...d, name } : d)))
      }),
      { numRuns: 200, seed: 20_261_124, endOnFailure: true },
    )
  // Each was really done, not only refused.
  expect(commandNames.filter((name) => !times.has(name))).toEqual([])
})
