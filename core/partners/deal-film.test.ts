import Papa from 'papaparse'
import { keepDates, keepDeal, noteRead } from '../commands/deals'
import { keepPerson } from '../commands/people'
import { editSettings } from '../commands/settings'
import { after, exampleContext, exampleEpisode, exampleRecords, exampleScript } from '../examples'
import { statementCsv, statementPage } from '../formats/statement'
import { heldBy } from '../named'
import type { Episode, Records } from '../records'
import { filledSlots } from '../rhythm/slots'
import { dealMonths } from './deal-film'
import { dealView, type DealView } from './deal-view'
import { exampleDeal } from './example-deal'
import { statementRows, statementSums } from './statement'

const c = exampleContext()
const today = '2026-11-24'
const hostile = '<img src=x onerror=alert(1)>'
function out(id: string, day: string, title: string): Episode {
  const at = `${day}T17:00:00.000Z`
  return exampleEpisode({
    ...{ id, code: id.toUpperCase().padEnd(4, '2'), title, number: 1, sponsor: 'Kelpline Rope' },
    ...{ phase: { kind: 'released', at, planned: at }, place: { kind: 'slot', day } },
  })
}
/** Two reads of a deal that asks for nothing but that they are there, and one kept date. */
function world(): Records {
  const made = exampleRecords([out('aa', '2026-10-08', hostile), out('bb', '2026-11-12', '=1+1')])
  let r: Records = { ...made, scripts: new Map([['aa', exampleScript({ Whole: ['Oak.'] }, 'aa')]]) }
  const {
    code: _c,
    link: _l,
    disclosure: _d,
    without: _w,
    seconds: _s,
    place: _p,
    shownBefore: _b,
    ...bare
  } = exampleDeal
  const fields = {
    ...bare,
    code: '',
    link: '',
    disclosure: '',
    without: [],
    reads: 4,
    from: '2026-09-15',
    to: '2027-02-20',
  }
  r = after(r, keepDeal(r, { deal: 'deal', fields }, c))
  r = after(r, keepDates(r, { deal: 'deal', days: ['2026-12-10'] }, c))
  return after(
    r,
    noteRead(r, { deal: 'deal', episode: 'aa', note: { invoiced: '2026-10-10', paid: '2026-11-02' } }, c),
  )
}
function viewIn(r: Records): DealView {
  const [deal, show] = [r.deals.get('deal'), r.shows.get('show')]
  const view = deal && show && dealView(r, deal, today, filledSlots(show, r.episodes.values()))
  if (!view) throw new Error('gone')
  return view
}

test('a deal is drawn month by month from its first day to its last, each slot once', () => {
  const { months, loose } = dealMonths(viewIn(world()), today)
  expect(months.map((m) => m.says)).toEqual(['Sep 2026', 'Oct', 'Nov', 'Dec', 'Jan 2027', 'Feb'])
  expect(months.map((m) => m.frames.map((f) => `${f.kind} ${f.day ?? ''}`))).toEqual([
    [],
    ['read 2026-10-08'],
    ['read 2026-11-12'],
    ['kept 2026-12-10'],
    ['date 2027-01-14'],
    [],
  ])
  expect(months[3]?.slots.map((s) => s.is)).toEqual(['other', 'kept', 'other', 'other', 'other'])
  const all = months.flatMap((m) => m.slots.map((s) => s.day))
  expect([new Set(all).size, loose]).toEqual([all.length, []])
})

test('the table has the sums that the screen says; no cell is a formula, and a page shows titles as text', () => {
  const view = viewIn(world())
  const rows = statementRows(view, (r) => `#${r.episode.number ?? '?'}`)
  const { data } = Papa.parse<Record<string, string>>(statementCsv(rows), {
    header: true,
    skipEmptyLines: true,
  })
  const total = (is: string) =>
    data.reduce((n, row) => n + (row['Fee is'] === is ? Number(row['Fee']) : 0), 0)
  const [year] = statementSums(rows, 'year')
  expect([total('paid'), total('due')]).toEqual([year?.paid, year?.open])
  expect([view.money.paid, view.money.due, view.money.toCome]).toEqual([240, 240, 480])
  expect(data[1]?.['Title']).toBe("'=1+1")
  const page = statementPage(view, rows, '€', today)
  expect(page).not.toContain(hostile)
  expect(page).toContain('&lt;img src=x onerror=alert(1)&gt;')
  expect(page).toContain('2 of 4 reads delivered')
})

test('a name that every object has is a name like others: days away go along with it', () => {
  let r = exampleRecords([exampleEpisode({ id: 'e', guests: ['__proto__'] })])
  const away = Object.fromEntries([['__proto__', [{ from: '2026-12-01', to: '2026-12-04' }]]])
  r = after(r, editSettings(r, { away }, c))
  const fields = { name: 'Ines Varga', roles: [], work: '', ways: [], known: '', note: '' }
  r = after(r, keepPerson(r, { was: '__proto__', fields }, c))
  expect(r.episodes.get('e')?.guests).toEqual(['Ines Varga'])
  expect(heldBy(r.settings.get('settings')?.away ?? {}, 'Ines Varga')).toHaveLength(1)
})
