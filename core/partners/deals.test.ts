import { keepDates, keepDeal, noteRead } from '../commands/deals'
import { placeOnSlot } from '../commands/schedule/place-on-slot'
import { after, exampleContext, exampleEpisode, exampleRecords, exampleScript, refusalOf } from '../examples'
import { filledSlots } from '../rhythm/slots'
import type { Deal, Episode, Records, Script } from '../records'
import { viewOf } from '../views/example-cards'
import { dealMoves } from './deal-next'
import { dealView } from './deal-view'
import { exampleDeal } from './example-deal'
import { statementRows, statementSums } from './statement'
import { worthOf } from './worth'

const c = exampleContext()
const today = '2026-11-24'
const oak = (n: number) => Array.from({ length: n }, () => 'oak').join(' ')
/** A read of 105 words at 150 a minute: 42 s, two ends of sentences and a beat more, 43.5 s. */
const good = `Kelpline pays for this. Use TILLER 10 ${oak(98)}.`

/** A script of about ten minutes whose read stands behind so many of its ten beats. */
function withRead(id: string, behind: number, text = good): Script {
  const lines = Array.from({ length: 10 }, () => `${oak(140)}.`)
  lines.splice(behind, 0, text)
  const script = exampleScript({ Whole: lines }, id)
  return {
    ...script,
    sections: script.sections.map((s) => ({
      ...s,
      beats: s.beats.map((b, i) => (i === behind ? { ...b, promised: { kind: 'read' as const } } : b)),
    })),
  }
}
const link = { id: 'l', label: 'Rope, with TILLER10', url: 'https://kelpline.example/tiller' }
function out(n: number, day: string): Episode {
  const at = `${day}T17:00:00.000Z`
  return exampleEpisode({
    ...{
      id: `r${n}`,
      code: `RR${n}`.padEnd(4, '2'),
      title: `Out ${n}`,
      number: n,
      sponsor: 'kelpline rope',
      links: [link],
    },
    phase: { kind: 'released', at, planned: at },
    place: { kind: 'slot', day },
    addresses: { outlet: `https://video.example/${n}` },
    figures: [{ age: 7, views: 1000 * n }],
  })
}

/** Twelve reads were promised from June on; five went out on second Thursdays and one of them too late in its episode. */
function world(): { r: Records; deal: Deal } {
  const released = ['2026-06-11', '2026-07-09', '2026-08-13', '2026-09-10', '2026-10-08', '2026-11-12'].map(
    (d, i) => out(i + 1, d),
  )
  const work = exampleEpisode({ id: 'w', code: 'WW22', title: 'Caulking', sponsor: 'Kelpline Rope' })
  let r = exampleRecords([...released, work], 'full')
  r = { ...r, scripts: new Map(released.map((e, i) => [e.id, withRead(e.id, i === 2 ? 5 : 1)])) }
  r = after(r, placeOnSlot(r, { episode: 'w', day: '2026-12-10' }, c))
  r = after(r, keepDeal(r, { deal: 'deal', fields: exampleDeal }, c))
  const deal = r.deals.get('deal')
  if (!deal) throw new Error('gone')
  return { r, deal }
}
const viewIn = (r: Records) => {
  const [deal, show] = [r.deals.get('deal'), r.shows.get('show')]
  const view = deal && show && dealView(r, deal, today, filledSlots(show, r.episodes.values()))
  if (!view) throw new Error('gone')
  return view
}
const stands = (r: Records, id: string) => viewIn(r).reads.find((x) => x.episode.id === id)
const failing = (r: Records, id: string) =>
  stands(r, id)?.checks.flatMap((k) =>
    k.state === 'passes' || !k.decides ? [] : [`${k.id} ${k.state}: ${k.says}`],
  )

test('twelve reads, one failing: five are delivered, and the sixth is to be made up', () => {
  const { r } = world()
  const view = viewIn(r)
  expect([
    view.delivered,
    view.failed.map((f) => f.episode.id),
    view.coming.map((f) => f.episode.id),
  ]).toEqual([5, ['r3'], ['w']])
  expect(failing(r, 'r3')).toEqual([
    expect.stringMatching(/^place fails: past the first third, of about 10:/),
  ])
  // 12 promised, 5 delivered, 1 on its way: 6 are to be found, none of them kept yet.
  expect([view.toFind, view.toFill]).toEqual([6, []])
  expect(view.money).toEqual({ paid: 0, due: 1200, invoiced: 0, toCome: 1680 })
})

test('dates as till now: second Thursdays of months that have no read yet, kept by one move', () => {
  const { r } = world()
  const { dates, later, tooMany, datesBy } = viewIn(r)
  expect([dates.map((s) => s.day), later, tooMany]).toEqual([
    ['2027-01-14', '2027-02-11', '2027-03-11'],
    3,
    0,
  ])
  // The longest lead of the full recipe is 21 days, and they see it a week before.
  expect(datesBy).toBe('2026-12-17')
  const kept = after(r, keepDates(r, { deal: 'deal', days: dates.map((s) => s.original) }, c))
  const view = viewIn(kept)
  expect([view.toFind, view.toFill.map((k) => k.slot.day), view.dates]).toEqual([
    3,
    ['2027-01-14', '2027-02-11', '2027-03-11'],
    [],
  ])
  expect(refusalOf(keepDates(r, { deal: 'deal', days: [] }, c))).toBe('Choose at least one date.')
})

test('a deal that ends before its reads fit says how many are too many', () => {
  const { r } = world()
  const short = after(r, keepDeal(r, { deal: 'deal', fields: { ...exampleDeal, to: '2027-02-20' } }, c))
  expect([viewIn(short).dates.length, viewIn(short).tooMany]).toEqual([2, 4])
  expect(refusalOf(keepDeal(r, { fields: { ...exampleDeal, to: '2026-01-01' } }, c))).toMatch(
    /ends before it begins/,
  )
})

const wrong: [string, Partial<Deal>, Partial<Episode>, string, string[]][] = [
  ['as it was agreed', {}, {}, good, []],
  ['too short', {}, {}, 'Kelpline pays for this. Use TILLER10.', ['length fails: 41 s shorter than asked']],
  ['no code', {}, {}, good.replace('TILLER 10', 'it'), ['code fails: not in the script']],
  [
    'not said to be paid for',
    {},
    {},
    good.replace('pays for this', 'is here'),
    ['disclosed fails: not in the script'],
  ],
  ['no link', {}, { links: [] }, good, ['written fails: not in the description']],
  [
    'another maker',
    {},
    { links: [link, { id: 'm', label: 'Hawser & co', url: '' }] },
    good,
    ['alone fails: “Hawser & Co” in the links'],
  ],
  [
    'words that were given',
    { say: ['three strands', 'OAK oak'] },
    {},
    good,
    ['say 0 fails: not in the script'],
  ],
]
test.each(wrong)('a read that is out, %s', (_name, deal, episode, text, fails) => {
  const { r } = world()
  const first = r.episodes.get('r1')
  if (!first) throw new Error('gone')
  let next: Records = {
    ...r,
    episodes: new Map([...r.episodes, ['r1', { ...first, ...episode }]]),
    scripts: new Map([...r.scripts, ['r1', withRead('r1', 1, text)]]),
  }
  next = after(next, keepDeal(next, { deal: 'deal', fields: { ...exampleDeal, ...deal } }, c))
  expect([failing(next, 'r1'), stands(next, 'r1')?.standing]).toEqual([
    fails,
    fails.length > 0 ? 'fails' : 'delivered',
  ])
})

test('the edit’s own times say where it begins; what somebody heard goes before; a word by hand before all', () => {
  const { r } = world()
  const third = r.episodes.get('r3')
  if (!third) throw new Error('gone')
  const timed = { ...third, cut: { length: 600, starts: { Whole: 0 } } }
  let next: Records = { ...r, episodes: new Map([...r.episodes, ['r3', timed]]) }
  const at = stands(next, 'r3')?.at
  expect([at?.isTimed, at?.whole, Math.round(at?.from ?? 0)]).toEqual([true, 600, 279])
  next = after(next, noteRead(next, { deal: 'deal', episode: 'r3', note: { heardAt: 190 } }, c))
  expect(stands(next, 'r3')?.standing).toBe('delivered')
  next = after(next, noteRead(next, { deal: 'deal', episode: 'r3', note: { ruled: 'does not count' } }, c))
  expect(stands(next, 'r3')?.standing).toBe('fails')
  next = after(
    next,
    noteRead(next, { deal: 'deal', episode: 'r3', note: { ruled: undefined, heardAt: undefined } }, c),
  )
  expect([stands(next, 'r3')?.note, stands(next, 'r3')?.standing]).toEqual([{}, 'fails'])
  expect(refusalOf(noteRead(next, { deal: 'deal', episode: 'r3', note: { heardAt: -1 } }, c))).not.toBe('')
})

test('what is out without a script is for somebody to settle', () => {
  const { r } = world()
  const bare = { ...r, scripts: new Map([...r.scripts].filter(([id]) => id !== 'r2')) }
  expect(stands(bare, 'r2')?.standing).toBe('cannot be told')
  expect([viewIn(bare).delivered, viewIn(bare).toFind]).toEqual([4, 6])
  const settled = after(bare, noteRead(bare, { deal: 'deal', episode: 'r2', note: { ruled: 'counts' } }, c))
  expect(viewIn(settled).delivered).toBe(5)
})

test('a read that is not there, or fails, is missing of its release', () => {
  const { r } = world()
  const missing = (x: Records) =>
    viewOf(x)
      .cards.find((k) => k.episode.id === 'w')
      ?.standing.missing.flatMap((m) => (m.kind === 'read' ? [`${m.name}: ${m.sentence}`] : []))
  expect(missing(r)).toEqual(['The read for Kelpline Rope: not written'])
  const late = { ...r, scripts: new Map([...r.scripts, ['w', withRead('w', 6)]]) }
  expect(missing(late)).toEqual([
    expect.stringMatching(/^Kelpline Rope: Begins in the first third: past the first third/),
    'Kelpline Rope: Code and link written: not in the description',
  ])
  const work = r.episodes.get('w')
  if (!work) throw new Error('gone')
  const good_ = {
    ...late,
    episodes: new Map([...r.episodes, ['w', { ...work, links: [link] }]]),
    scripts: new Map([...r.scripts, ['w', withRead('w', 1)]]),
  }
  expect(missing(good_)).toEqual([])
})

test('what is next, whose move it is, and by when', () => {
  let { r } = world()
  const said = (x: Records) =>
    dealMoves(x, viewIn(x), today).map(
      (m) => `${m.who} ${m.what} ${m.episode?.id ?? ''} ${m.by ?? m.since ?? ''}`,
    )
  expect(said(r).filter((m) => !m.includes('invoice'))).toEqual([
    'you write the read w 2026-11-26',
    'you show them the read w 2026-12-03',
    'you keep three dates  2026-12-17',
  ])
  expect(said(r).filter((m) => m.includes('invoice'))).toHaveLength(5)
  r = after(r, noteRead(r, { deal: 'deal', episode: 'r6', note: { invoiced: '2026-11-14' } }, c))
  r = after(r, noteRead(r, { deal: 'deal', episode: 'w', note: { shown: '2026-11-23' } }, c))
  expect(said(r)).toEqual(
    expect.arrayContaining(['they their fee r6 2026-11-14', 'they their word on the read w 2026-11-23']),
  )
})

test('the sums of a statement are those of its rows: by the day paid, and by the day it went out', () => {
  let { r } = world()
  for (const [id, paid] of [
    ['r1', '2026-07-20'],
    ['r2', '2026-07-31'],
    ['r4', '2027-01-04'],
  ] as const)
    r = after(r, noteRead(r, { deal: 'deal', episode: id, note: { invoiced: '2026-07-15', paid } }, c))
  const view = viewIn(r)
  const rows = statementRows(view, (x) => `#${x.episode.number ?? '?'}`)
  expect(rows.map((x) => `${x.number} ${x.counts} ${x.fee} ${x.feeIs}`)).toEqual([
    '#1 yes 240 paid',
    '#2 yes 240 paid',
    '#3 no 0 none',
    '#4 yes 240 paid',
    '#5 yes 240 due',
    '#6 yes 240 due',
    '#? to come 240 to come',
  ])
  expect(rows[0]).toMatchObject({ views: 1000, viewsOn: '2026-06-18', address: 'https://video.example/1' })
  const months = statementSums(rows, 'month')
  expect(months.map((m) => [m.of, m.reads, m.delivered, m.paid, m.open])).toEqual([
    ['2026-06', 1, 1, 0, 0],
    ['2026-07', 1, 1, 480, 0],
    ['2026-08', 1, 0, 0, 0],
    ['2026-09', 1, 1, 0, 0],
    ['2026-10', 1, 1, 0, 240],
    ['2026-11', 1, 1, 0, 240],
    ['2026-12', 1, 0, 0, 0],
    ['2027-01', 0, 0, 240, 0],
  ])
  const years = statementSums(rows, 'year')
  expect(years.map((y) => [y.of, y.paid, y.open])).toEqual([
    ['2026', 480, 480],
    ['2027', 240, 0],
  ])
  expect(view.money).toEqual({ paid: 720, due: 480, invoiced: 0, toCome: 1680 })
})

test('slots that are kept month by month count as kept, of the months that one looks ahead to', () => {
  const { r } = world()
  const standing = {
    ...{ id: 'monthly', show: 'show', name: 'KELPLINE rope', kind: 'sponsor' as const, note: '' },
    kept: { kind: 'deal' as const, perMonth: 1, from: '2026-11-01' },
    ...{ createdAt: '2026-11-24T09:00:00.000Z', updatedAt: '2026-11-24T09:00:00.000Z' },
  }
  const view = viewIn({ ...r, reservations: new Map([['monthly', standing]]) })
  // November has its read, December the one on its way; the first open slots of the months after are kept by themselves.
  expect(view.toFill.map((k) => k.slot.day)).toEqual(['2027-01-07', '2027-02-04', '2027-03-04'])
  expect([view.toFind, view.dates]).toEqual([3, []])
})

test('an hour is worth the fee of a read that counts, and what was typed, over the hours logged', () => {
  const { r } = world()
  const worth = (id: string, minutes: number, income?: number) => {
    const [episode, show] = [r.episodes.get(id), r.shows.get('show')]
    if (!episode || !show) throw new Error('gone')
    const of = income === undefined ? episode : { ...episode, income }
    return worthOf(of, show, r.deals, stands(r, id), minutes)
  }
  expect(worth('r1', 600)).toEqual({ fees: 240, typed: 0, anHour: 24 })
  expect(worth('r1', 600, 60)).toEqual({ fees: 240, typed: 60, anHour: 30 })
  expect(worth('r3', 600)).toEqual({ fees: 0, typed: 0, anHour: 0 })
  expect(worth('w', 0, 10)).toEqual({ fees: 0, typed: 10, anHour: undefined })
})
