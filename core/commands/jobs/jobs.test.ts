import { after, exampleAt, exampleContext, refusalOf } from '../../examples'
import { cutsOf, openNotes } from '../../edit/rounds'
import type { HelperDeed, HelperMail } from '../../helpers/deeds'
import { helperPage } from '../../helpers/page-of'
import { withHelperDeeds } from '../../helpers/with-deeds'
import type { Records } from '../../records'
import { exampleWorld, viewOf } from '../../views/example-cards'
import { changeNote, beginCut, noteOnCut } from '../cuts'
import { writeEpisode } from '../episode'
import { waitStep } from '../work/wait-step'
import { answerHelper, endJob, giveJob, takeHelperLetters } from '.'

const c = exampleContext()
const all = ['script', 'shots', 'lists', 'notes', 'guide', 'links']

/** Cut 1 of “Ribs” with two things to do for its maker and one for oneself, given to Pell. */
function given(parts: string[] = all, kind: 'cut' | 'release' | 'review' = 'cut'): Records {
  let r = exampleWorld()
  r = after(r, beginCut(r, { episode: 'e0', id: 'cut', from: 'Pell' }, c))
  const notes = [
    { at: 134.48, kind: 'to do' as const, text: 'hold it <b>longer</b>' },
    { at: 12, kind: 'to do' as const, text: 'level the voice' },
    { at: 9, kind: 'to do' as const, text: 'draw the graphic', mine: true },
    { at: 31, kind: 'remark' as const, text: 'keep this pace' },
  ]
  r = after(r, noteOnCut(r, { cut: 'cut', notes }, c))
  const source = (id: string, url: string) => ({ id, text: `${id} footage`, url })
  const idea = {
    ...(r.episodes.get('e0')?.idea ?? exampleIdea()),
    sources: [
      source('chosen', 'https://shelf.example/chosen'),
      source('private', 'https://shelf.example/own'),
    ],
  }
  const links = [{ id: 'l', label: 'Drawings', url: 'https://tern-and-tiller.example/drawings' }]
  r = after(r, writeEpisode(r, { episode: 'e0', typed: { links }, what: 'links' }, c))
  const e0 = r.episodes.get('e0')
  if (e0) r = { ...r, episodes: new Map([...r.episodes, ['e0', { ...e0, idea }]]) }
  const wish = { id: 'job', episode: 'e0', kind, who: 'Pell', parts, shelf: ['chosen'] }
  return after(r, giveJob(r, wish, c))
}
function exampleIdea(): never {
  throw new Error('the example has no idea')
}
let n = 0
const letter = (deed: HelperDeed, id = `letter-${++n}`): HelperMail => ({
  ...{ kind: 'helper', id, job: 'job', n: ++n, at: exampleAt, deed },
})
const take = (r: Records, ...letters: HelperMail[]) => after(r, takeHelperLetters(r, { letters }, c))
function pageOf(r: Records) {
  const card = viewOf(r).cards.find((x) => x.episode.id === 'e0')
  const job = r.jobs.get('job')
  if (!card || !job) throw new Error('nothing lies with anybody')
  return helperPage({
    ...{ job, card, cut: cutsOf(r, 'e0').at(-1), rate: '25', also: [], letters: r.letters.values() },
  })
}
const noteId = (r: Records, text: string) =>
  cutsOf(r, 'e0')
    .at(-1)
    ?.notes.find((x) => x.text === text)?.id ?? ''

test('given, the edit waits on its helper; ended, it waits no longer', () => {
  const r = given()
  const waits = (x: Records) => [...x.steps.values()].flatMap((s) => s.waiting?.who ?? [])
  expect(waits(r)).toEqual(['Pell'])
  expect(refusalOf(giveJob(r, { ...giving, who: 'Anna' }, c))).toMatch(/lies with Pell already/)
  const ended = after(r, endJob(r, { job: 'job' }, c))
  expect(waits(ended)).toEqual([])
  expect(refusalOf(endJob(ended, { job: 'job' }, c))).toBe('This is no longer with a helper.')
})
const giving = { id: 'other', episode: 'e0', kind: 'cut' as const, who: ' ', parts: [], shelf: [] }

test('what the same person is waited for besides stays waited for, whatever becomes of the cut', () => {
  let r = given()
  const step = [...r.steps.values()].find((s) => s.episode === 'e0' && !s.waiting && s.doneAt === undefined)
  const waiting = { who: 'Pell', what: 'a portrait', since: '2026-11-20' }
  r = after(r, waitStep(r, { step: step?.id ?? '', waiting }, c))
  r = after(r, endJob(r, { job: 'job' }, c))
  expect([...r.steps.values()].flatMap((s) => s.waiting?.what ?? [])).toEqual(['a portrait'])
})

test('a page shows what was chosen, and no byte more', () => {
  const whole = JSON.stringify(pageOf(given()))
  for (const shown of ['hold it <b>', 'keep this pace', 'drawings', 'shelf.example/chosen'])
    expect(whole).toContain(shown)
  expect(whole).not.toContain('draw the graphic')
  expect(whole).not.toContain('shelf.example/own')
  const few = JSON.stringify(pageOf(given(['guide'])))
  for (const hidden of ['hold it', 'keep this', 'drawings']) expect(few).not.toContain(hidden)
  expect(few).toContain('shelf.example/chosen')
  const things = pageOf(given(all, 'release'))
  expect(things.toDo).toEqual([])
  expect(things.script).toEqual([])
  expect(things.things.map((t) => t.outlet)).toEqual(['Video site'])
})

test('a tick is taken once; where the desk changed the note meanwhile its word stands, and the page says so', () => {
  let r = given()
  const first = letter({ kind: 'tick', note: noteId(r, 'level the voice'), done: true, saw: false })
  expect(withHelperDeeds(pageOf(r), [first]).toDo.map((t) => t.done)).toEqual([true, false])
  r = take(r, first)
  expect(openNotes(cutsOf(r, 'e0')[0] ?? { notes: [] }).map((x) => x.text)).toEqual([
    'draw the graphic',
    'hold it <b>longer</b>',
  ])
  expect(pageOf(r).toDo.map((t) => t.done)).toEqual([true, false])
  expect(refusalOf(takeHelperLetters(r, { letters: [first] }, c))).toMatch(/taken already/)
  const hold = noteId(r, 'hold it <b>longer</b>')
  r = after(r, changeNote(r, { cut: 'cut', note: hold, to: { isDone: true } }, c))
  r = take(r, letter({ kind: 'tick', note: hold, done: true, saw: false }))
  expect(pageOf(r).taken.at(-1)?.over).toContain('changed “hold it <b>longer</b>” meanwhile')
  expect(pageOf(r).toDo.map((t) => t.done)).toEqual([true, true])
})

test('what is for oneself cannot be ticked from a page', () => {
  const r = given()
  const mine = noteId(r, 'draw the graphic')
  const after = take(r, letter({ kind: 'tick', note: mine, done: true, saw: false }))
  expect(cutsOf(after, 'e0')[0]?.notes.find((x) => x.id === mine)?.done).toBeUndefined()
  expect(pageOf(after).taken.at(-1)?.over).toBe('a note is no longer there')
})

test('a cut that is handed back begins the next round, and nothing waits on its maker; words about it are asked', () => {
  const back = { kind: 'back', where: ' https://cuts.example/2 ', says: 'the sound is rough' } as const
  const r = take(given(), letter({ kind: 'opened' }), letter(back))
  expect(cutsOf(r, 'e0').map((x) => [x.number, x.from, x.address])).toEqual([
    [1, 'Pell', undefined],
    [2, 'Pell', 'https://cuts.example/2'],
  ])
  expect([...r.steps.values()].some((s) => s.waiting)).toBe(false)
  expect(r.jobs.get('job')).toMatchObject({ opened: exampleAt, back: expect.any(String) })
  const file = take(given(), letter({ kind: 'back', where: 'ribs-2.mp4', says: '' }))
  expect(cutsOf(file, 'e0').at(-1)?.file).toBe('ribs-2.mp4')
})

test('a question comes once and is answered on the page', () => {
  const asks = letter({ kind: 'ask', text: 'Which music?' })
  let r = take(given(), asks, asks)
  expect(pageOf(r).asked).toEqual([{ id: asks.id, text: 'Which music?', answer: '' }])
  r = after(r, answerHelper(r, { job: 'job', question: asks.id, answer: ' The fiddle. ' }, c))
  expect(pageOf(r).asked[0]?.answer).toBe('The fiddle.')
  expect(refusalOf(answerHelper(r, { job: 'job', question: 'none', answer: 'x' }, c))).toMatch(
    /question is no/,
  )
})

test('an assistant says what is uploaded and scheduled; that it was seen live stays with the creator', () => {
  const r = take(
    given(all, 'release'),
    letter({ kind: 'handed', key: 'outlet', state: 'scheduled', on: true }),
  )
  expect(pageOf(r).things[0]).toMatchObject({ scheduled: true })
  expect(r.episodes.get('e0')?.phase).toMatchObject({ kind: 'work', scheduled: expect.any(String) })
  const cut = take(given(), letter({ kind: 'handed', key: 'outlet', state: 'uploaded', on: true }))
  expect(pageOf(cut).taken.at(-1)?.over).toBe('this is not yours to hand over')
})

test('what comes after the page was ended changes nothing but that it was heard', () => {
  const r = after(given(), endJob(given(), { job: 'job' }, c))
  const late = take(r, letter({ kind: 'back', where: 'late.mp4', says: '' }))
  expect(cutsOf(late, 'e0')).toHaveLength(1)
  expect([...late.letters.values()].at(-1)?.over).toMatch(/ended before/)
})

test('a reviewer’s notes come once, at their moments and under their name; through, they wait for the next', () => {
  const first = letter({ kind: 'note', text: '1:20 ! hold the bolt\n2:00 wind here' })
  let r = take(given(all, 'review'), first, first, letter({ kind: 'note', text: '99:99' }))
  const [cut] = cutsOf(r, 'e0')
  expect(cut?.notes.filter((x) => x.by === 'Pell').map((x) => [x.at, x.kind, x.text])).toEqual([
    [80, 'to do', 'hold the bolt'],
    [120, 'remark', 'wind here'],
  ])
  const page = pageOf(r)
  expect(page.notes.map((x) => x.by)).toEqual(['', '', 'Pell', 'Pell', ''])
  expect(JSON.stringify(page)).not.toContain('draw the graphic')
  expect([page.toDo, page.script, page.things]).toEqual([[], [], []])
  expect(page.taken.filter((t) => t.over !== '')).toHaveLength(1)
  r = take(r, letter({ kind: 'through' }))
  expect(r.jobs.get('job')?.back).toBeDefined()
  expect([...r.steps.values()].some((s) => s.waiting)).toBe(false)
  const other = take(given(), letter({ kind: 'note', text: '1:20 not mine' }))
  expect(pageOf(other).taken.at(-1)?.over).toBe('there is no cut to look at')
})
