import { dueLater } from '../commands/recipes'
import { after, exampleContext, exampleEpisode, exampleRecords, refusalOf } from '../examples'
import { addDays } from '../rhythm/days'
import { alwaysLate } from './always-late'
import { fullRecipe } from '../recipe/starters'
import type { Episode, Step } from '../records'
import { againstUsual } from '../results/usual'
import { bottleneck, findingsOf, furthestOff, pathOf, worthMore } from './findings'
import { madeOf, type Made } from './made'

const recipe = fullRecipe('recipe', 'video', '2026-01-01T00:00:00.000Z')
const zone = 'Europe/Lisbon'
const noon = (day: string) => `${day}T12:00:00.000Z`
const released = (fields: Partial<Episode> = {}, day = '2026-11-26') =>
  exampleEpisode({ phase: { kind: 'released', at: `${day}T17:00:00.000Z` }, ...fields })
function step(stage: string, kind: Step['kind'], done: string, fields: Partial<Step> = {}): Step {
  return {
    ...{ id: `${stage}-${kind}-${done}`, episode: 'episode', stage, name: stage, kind, minutes: 60 },
    ...{ logged: 60, lead: { kind: 'before', days: 1 }, needs: [], owner: 'me', required: true },
    ...{ blocks: [], order: 0, createdAt: noon('2026-01-01'), updatedAt: noon('2026-01-01') },
    doneAt: noon(done),
    ...fields,
  }
}
function made(steps: Step[], episode = released()): Made {
  const of = madeOf(episode, recipe, steps, zone)
  if (!of) throw new Error('not out')
  return of
}

test('a worked episode: ready two days and five hours ahead, its stages by their days, the waiting between them', () => {
  const of = made([
    step('script', 'write', '2026-11-10', { worked: { '2026-11-09': 40, '2026-11-10': 20 } }),
    step('film', 'film', '2026-11-14', { logged: 90 }),
    step('edit', 'edit', '2026-11-18', { worked: { '2026-11-16': 100, '2026-11-18': 80 }, logged: 180 }),
    step('thumbnail', 'design', '2026-11-24'),
    step('after', 'admin', '2026-11-28', { lead: { kind: 'after', days: 2 } }),
  ])
  expect(of.lead).toBeCloseTo(2 + 5 / 24)
  expect(of.spans.map((s) => [s.kind, s.first, s.last, s.worked, s.still])).toEqual([
    ['script', '2026-11-09', '2026-11-10', 2, 4],
    ['film', '2026-11-14', '2026-11-14', 1, 2],
    ['edit', '2026-11-16', '2026-11-18', 2, 6],
    ['thumbnail', '2026-11-24', '2026-11-24', 1, 0],
  ])
  expect(of.minutes).toBe(450)
  expect(of.kinds.get('film')).toEqual({ planned: 60, taken: 90 })
  expect(of.filmed).toBe('2026-11-14')
  expect(madeOf(exampleEpisode(), recipe, [], zone)).toBeUndefined()
})

/** `count` releases a week apart, each ready so many days ahead and filmed on a day of its own or together with the next. */
function year(leads: readonly number[], together: (i: number) => boolean = () => false): Made[] {
  return leads.map((lead, i) => {
    const at = Date.parse('2026-01-01T17:00:00.000Z') + i * 7 * 86_400_000
    const day = new Date(at).toISOString().slice(0, 10)
    const doneAt = new Date(at - lead * 86_400_000).toISOString()
    const film = new Date(
      Date.parse('2025-11-01') + (together(i) ? Math.floor(i / 2) * 2 : i) * 86_400_000,
    ).toISOString()
    return made(
      [step('film', 'film', '2026-01-01', { doneAt: film }), step('edit', 'edit', '2026-01-01', { doneAt })],
      released({ id: `e${i}` }, day),
    )
  })
}

/** What is found of some releases of which nothing else is known. */
const found = (made: readonly Made[], usual = againstUsual(made.map((m) => m.episode))) =>
  findingsOf(made, usual, { weekday: () => 'Thu', kind: () => '', length: () => 'short' })
const leadTime = (made: readonly Made[]) => found(made).lead
const kindTimes = (made: readonly Made[]) => found(made).times

test('ready ahead: the last ten against the first ten, said only where they differ and there are enough', () => {
  const rising = leadTime(
    year([...Array<number>(10).fill(1), ...Array<number>(5).fill(2), ...Array<number>(10).fill(4)]),
  )
  expect([rising.rise, rising.cases]).toEqual([{ first: 1, last: 4 }, 25])
  expect(leadTime(year(Array<number>(24).fill(2))).rise).toBeUndefined()
  const few = leadTime(year([1, 1, 1, 4, 4, 4]))
  expect([few.all, few.rise]).toEqual([2.5, undefined])
})

test('filmed together or alone, where ten of either say so', () => {
  const leads = Array.from({ length: 20 }, (_, i) => (i < 10 ? 5 : 1))
  expect(leadTime(year(leads, (i) => i < 10)).together).toEqual({ several: 5, alone: 1 })
  expect(leadTime(year(leads.slice(0, 14), (i) => i < 10)).together).toBeUndefined()
})

test('the path of a usual episode is made of middles, and the longest wait is its bottleneck', () => {
  const all = Array.from({ length: 11 }, (_, i) =>
    made([
      step('film', 'film', '2026-11-10'),
      step('edit', 'edit', i === 0 ? '2026-11-12' : '2026-11-14'),
      step('thumbnail', 'design', '2026-11-24'),
    ]),
  )
  const path = pathOf(all)
  expect(path.map((p) => [p.kind, p.cases, p.worked, p.still, p.from, p.to, p.next])).toEqual([
    ['film', 11, 1, 4, 16, 16, 'edit'],
    ['edit', 11, 1, 10, 12, 12, 'thumbnail'],
    ['thumbnail', 11, 1, 0, 2, 2, undefined],
  ])
  expect(bottleneck(path)?.kind).toBe('edit')
  expect(bottleneck(pathOf(all.slice(0, 9)))).toBeUndefined()
})

test('planned against taken by kind: middles, the middle half, how many ran over; the furthest off is named', () => {
  const all = [1.2, 1.3, 1.3, 1.3, 1.4, 1.3, 1.3, 1.5, 1.3, 1.1, 0.9].map((times) =>
    made([
      step('edit', 'edit', '2026-11-14', { minutes: 180, logged: Math.round(180 * times) }),
      step('film', 'film', '2026-11-10'),
    ]),
  )
  const times = kindTimes(all)
  const [edit, film] = times
  expect(edit).toMatchObject({ kind: 'edit', cases: 11, planned: 180, taken: 234, over: 10, isOther: true })
  expect(edit?.times).toBeCloseTo(1.3)
  expect(edit?.spread.map((s) => Math.round(s * 10) / 10)).toEqual([1.3, 1.3])
  expect(film).toMatchObject({ kind: 'film', times: 1, isOther: false })
  expect((edit?.share ?? 0) + (film?.share ?? 0)).toBeCloseTo(1)
  expect(furthestOff(times)?.kind).toBe('edit')
  expect(furthestOff(kindTimes(all.slice(0, 9)))).toBeUndefined()
})

test('worth more: well above the usual on no more hours than most; topics compared with the rest', () => {
  const all = Array.from({ length: 24 }, (_, i) =>
    made(
      [step('edit', 'edit', '2026-11-14', { logged: i === 20 ? 500 : i === 23 ? 40 : 60 })],
      released({
        id: `e${i}`,
        topics: [i % 2 === 0 ? 'Rope' : 'Oak'],
        figures: [{ age: 7, views: i >= 20 && i % 3 === 2 ? 250 : i % 2 === 0 ? 130 : 90 }],
      }),
    ),
  )
  const usual = againstUsual(all.map((m) => m.episode))
  expect(worthMore(all, usual).map((w) => w.made.episode.id)).toEqual(['e23'])
  const { groups } = found(all, usual)
  expect(groups.map((g) => [g.by, g.name, g.isOther, g.isEnough])).toEqual([
    ['topic', 'Oak', true, true],
    ['topic', 'Rope', true, true],
  ])
  // Many in a group are too few as well where hardly any are outside it.
  const rare = all.map((m, i) => ({
    ...m,
    episode: { ...m.episode, topics: [i % 5 === 0 ? 'Rope' : 'Oak'] },
  }))
  expect(found(rare, usual).groups.map((g) => [g.name, g.cases >= 10, g.isOther, g.isEnough])).toEqual([
    ['Oak', true, false, false],
    ['Rope', false, false, false],
  ])
})

test('a stage that is late by the same days every time is told from ten on, and is due then by one move', () => {
  const [line] = recipe.lines.filter((l) => l.stage === 'edit' && l.required)
  const lead = line?.lead.kind === 'before' ? line.lead.days : 0
  /** Releases whose edit ended so many days after it was due. */
  const ended = (late: readonly number[]) =>
    late.map((days, i) => {
      const out = `2026-${String(3 + i).padStart(2, '0')}-26`
      const done = addDays(out, -(lead - days))
      return made([step('edit', 'edit', done, { line: line?.id ?? '' })], released({}, out))
    })
  const lateStages = (late: readonly number[], of = recipe) =>
    alwaysLate(ended(late), { recipe: 'recipe' }, of).map((l) => [l.stage, l.days, l.cases])
  expect(lateStages([2, 2, 3, 2, 2, 2, 3, 2, 2, 2])).toEqual([['edit', 2, 10]])
  expect(lateStages([2, 2, 3, 2, 2, 2, 3, 2, 2])).toEqual([])
  expect(lateStages([0, 5, 3, 2, 7, 1, 9, 2, 0, 4])).toEqual([])
  expect(lateStages([0, 0, 0, 0, 0, 0, 0, 0, 0, 0])).toEqual([])
  const records = { ...exampleRecords([], 'full'), recipes: new Map([['recipe', recipe]]) }
  const c = exampleContext()
  const later = after(records, dueLater(records, { recipe: 'recipe', stage: 'edit', days: 2 }, c))
  expect(lateStages([2, 2, 3, 2, 2, 2, 3, 2, 2, 2], later.recipes.get('recipe'))).toEqual([])
  const none = { recipe: 'recipe', stage: 'after', days: 2 }
  expect(refusalOf(dueLater(records, none, c))).toBe('Nothing of this stage can be due later.')
})
