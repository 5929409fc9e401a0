import { after, exampleContext, exampleEpisode, exampleRecords, exampleShow, refusalOf } from '../examples'
import { followUp } from '../commands/ideas'
import { beginEarlier, planMinutes } from '../commands/recipes'
import { chartCsv } from '../formats/chart-csv'
import { madeOf, type Made } from '../learnt/made'
import type { Step } from '../records'
import { addDays } from '../rhythm/days'
import { rhythmView } from './rhythm'

const show = exampleShow()
const records = exampleRecords([], 'full')
const recipe = records.recipes.get('recipe')
if (!recipe) throw new Error('no example')
const stamps = { createdAt: '2026-01-01T00:00:00.000Z', updatedAt: '2026-01-01T00:00:00.000Z' }
function step(
  of: string,
  line: string,
  stage: string,
  kind: Step['kind'],
  day: string,
  logged: number,
): Step {
  return {
    ...{ id: `${of}/${line}`, episode: of, line, stage, name: line, kind, minutes: 120, logged },
    ...{ lead: { kind: 'before', days: 1 }, needs: [], owner: 'me', required: true, blocks: [], order: 0 },
    doneAt: `${day}T12:00:00.000Z`,
    ...stamps,
  }
}
/** Twelve Thursdays: filmed 12 days before, cut 10 days before, its picture 3 days before; one of them two days late. */
const made = Array.from({ length: 12 }, (_, i): Made => {
  const planned = addDays('2026-09-03', 7 * i)
  const out = i === 4 ? addDays(planned, 2) : planned
  const id = `e${i}`
  const episode = exampleEpisode({
    ...{ id, code: `AB${String(i).padStart(2, '0')}`, number: i + 1, title: `Episode ${i + 1}` },
    phase: { kind: 'released', at: `${out}T16:00:00.000Z`, planned: `${planned}T16:00:00.000Z` },
    figures: [{ age: 7, views: i === 11 ? 400 : 100 }],
  })
  const steps = [
    step(id, 'film', 'film', 'film', addDays(planned, -12), 120),
    step(id, 'rough', 'edit', 'edit', addDays(planned, -10), 156),
    step(id, 'pictures', 'thumbnail', 'design', addDays(planned, -3), i === 11 ? 100 : 120),
  ]
  const of = madeOf(episode, recipe, steps, show.zone)
  if (!of) throw new Error('not out')
  return of
})
const released = made.map((m) => m.episode)
const view = (of: readonly Made[] = made) =>
  rhythmView({
    show,
    recipe,
    released: of.map((m) => m.episode),
    made: of,
    coming: [],
    today: '2026-11-24',
    period: 52,
  })

test('every sentence says what the figures hold, with the number of its cases', () => {
  const { promise, lead, worth, path, estimates } = view().findings
  expect(promise.says).toBe('11 of 12 went out on time.')
  expect(promise.more).toBe('#5 was 2 d late.')
  expect(lead.says).toBe('Ready 3.2 days ahead.')
  expect(worth.says).toBe('One beat the usual by half or more, on no more hours than most.')
  expect(worth.deed?.does).toMatchObject({ kind: 'follow up', episode: 'e11' })
  expect(path.says).toBe('Edit lies 7.0 days before Thumbnail begins.')
  expect(path.more).toContain('over 12 releases')
  expect(path.deed?.does).toEqual({ kind: 'begin earlier', recipe: 'recipe', stage: 'thumbnail', days: 3 })
  expect(estimates.says).toBe('Editing takes 1.3 times what you plan: 2 h is really 2 h 36.')
})

test('with few cases nothing is claimed, and nothing is offered', () => {
  const { lead, worth, path, estimates } = view(made.slice(0, 5)).findings
  expect(lead.says).toBe('Ready 3.2 days ahead so far.')
  expect(worth.says).toBe('Too few figures yet to say what was worth it.')
  expect(path.says).toBe('No stage lies still for long.')
  expect(estimates.says).toBe('Too little was timed yet to say how you plan.')
  expect([worth, path, estimates].map((f) => f.deed)).toEqual([undefined, undefined, undefined])
  expect(view([]).findings.promise.says).toBe('Nothing went out in this time.')
})

test('a period and a kind leave the others out, but the usual is made of all', () => {
  const of = rhythmView({ show, recipe, released, made, coming: [], today: '2026-11-24', period: 13 })
  expect(of.frames).toHaveLength(12)
  const short = rhythmView({ show, recipe, released, made, coming: [], today: '2027-01-20', period: 13 })
  expect(short.frames.map((f) => f.number)).toEqual(['#8', '#9', '#10', '#11', '#12'])
  expect(short.frames.at(-1)?.usual).toMatchObject({ times: 4, cases: 10 })
})

test('what is offered is really done: minutes, an earlier beginning, an idea that follows', () => {
  const c = exampleContext()
  const longer = after(records, planMinutes(records, { recipe: 'recipe', kind: 'edit', times: 1.3 }, c))
  const minutes = (r: typeof records) =>
    r.recipes.get('recipe')?.lines.flatMap((l) => (l.kind === 'edit' ? [l.minutes] : []))
  expect(minutes(longer)).toEqual(minutes(records)?.map((m) => Math.round((m * 1.3) / 5) * 5))
  expect(refusalOf(planMinutes(records, { recipe: 'recipe', kind: 'edit', times: 1 }, c))).toMatch(/already/)
  const wish = { recipe: 'recipe', stage: 'thumbnail', days: 3 }
  const earlier = after(records, beginEarlier(records, wish, c))
  const leads = (r: typeof records) =>
    r.recipes
      .get('recipe')
      ?.lines.flatMap((l) => (l.stage === 'thumbnail' && l.lead.kind === 'before' ? [l.lead.days] : []))
  expect(leads(earlier)).toEqual(leads(records)?.map((d) => d + 3))
  const known = exampleRecords(made.map((m) => m.episode))
  const wanted = { episode: 'e11', why: '#12 did well.' }
  const next = after(known, followUp(known, wanted, exampleContext()))
  const idea = [...next.episodes.values()].find((e) => e.follows === 'e11')
  expect(idea).toMatchObject({ title: 'After Episode 12', note: 'Follows #12 “Episode 12”.' })
  expect(refusalOf(followUp(next, wanted, c))).toMatch(/follows it already/)
})

test('what was changed since the last release is not offered again before another one has told', () => {
  const now = { ...exampleContext(), now: Date.parse('2026-11-24T09:00:00.000Z') }
  const changed = after(records, planMinutes(records, { recipe: 'recipe', kind: 'edit', times: 1.3 }, now))
  const of = rhythmView({
    ...{ show, released, made, coming: [], today: '2026-11-24', period: 52 },
    recipe: changed.recipes.get('recipe') ?? recipe,
  })
  expect(of.findings.estimates.deed).toBeUndefined()
  expect(of.findings.estimates.more).toContain('the next releases will tell')
  expect(of.findings.path.deed).toBeDefined()
})

test('a chart’s table: numbers as they are, texts that no spreadsheet computes', () => {
  expect(
    chartCsv(
      ['Title', 'Hours'],
      [
        ['=SUM(A1)', 1.23456],
        ['a, b', undefined],
      ],
    ),
  ).toBe('Title,Hours\r\n\'=SUM(A1),1.2346\r\n"a, b",\r\n')
})
