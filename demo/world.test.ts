import { exampleNow, exampleRecords } from '@core/examples'
import { tables as registry, tableNames } from '@core/records'
import { workingDays } from '@core/recipe/due'
import { progressOf } from '@core/recipe/lamps'
import { Planner } from '@core/plan/planner'
import { planFor } from '@core/plan/load'
import { stateOf } from '@core/plan/state'
import { numbersOf } from '@core/rhythm/numbering'
import { releaseOf } from '@core/rhythm/slots'
import { datesOf } from '@core/rhythm/rule'
import { dayAt } from '@core/rhythm/zone'
import { largeWorld } from './large'
import { sentencesOf } from './texts/read'
import { demoWorld } from './world'

const { whole, pictures } = demoWorld(exampleNow)
const { tables } = whole
const show = (id: string) => {
  const found = tables.shows.find((s) => s.id === id)
  if (!found) throw new Error('no show')
  return found
}

describe('the demo world', () => {
  test('fits the schemas, every record of it', () => {
    for (const name of tableNames)
      for (const row of tables[name])
        expect(registry[name].schema.safeParse(row).error?.issues ?? []).toEqual([])
  })

  test('has what the design asks for', () => {
    const count = (name: string, of: string) =>
      tables.episodes.filter((e) => e.phase.kind === name && e.show === of).length
    expect([count('released', 'boats'), count('released', 'talks')]).toEqual([41, 18])
    expect(tables.episodes.filter((e) => e.phase.kind === 'work' && !e.spare)).toHaveLength(10)
    expect(tables.episodes.filter((e) => e.spare)).toHaveLength(2)
    expect(tables.episodes.filter((e) => e.phase.kind === 'idea')).toHaveLength(60)
  })

  test('no two episodes are alike in title, code, script or picture', () => {
    const distinct = (list: string[]) => {
      expect(new Set(list).size).toBe(list.length)
    }
    distinct(tables.episodes.map((e) => e.title))
    distinct(tables.episodes.map((e) => e.code))
    distinct(
      tables.scripts
        .map((s) => s.sections.flatMap((x) => x.beats.map((b) => b.text)).join(' '))
        .filter((t) => t.trim() !== ''),
    )
    distinct(pictures.map((p) => p.id))
    distinct(pictures.map((p) => `${p.subject.words} ${p.subject.motif} ${p.variant}`))
  })

  test('no sentence is said twice in it', () => {
    const said = new Map<string, string>()
    const twice: string[] = []
    const say = (where: string, text: string) => {
      for (const sentence of sentencesOf(text)) {
        const before = said.get(sentence)
        if (before !== undefined) twice.push(`${sentence} (${before}, ${where})`)
        said.set(sentence, where)
      }
    }
    for (const e of tables.episodes) {
      const { takeaway, points, description, pictureIdea } = e.brief
      for (const text of [e.note, takeaway, ...points, description, pictureIdea]) say(e.title, text)
      for (const t of e.titles.slice(1)) say(e.title, t.text)
    }
    for (const s of tables.scripts)
      for (const b of s.sections.flatMap((x) => x.beats)) {
        // An offer is said again and again, that is its use.
        if (!b.promised) say(s.id, b.text)
        for (const c of b.cues) say(s.id, c.text)
      }
    expect(said.size).toBeGreaterThan(1500)
    expect(twice).toEqual([])
  })

  test('numbers go on at #42 and HH 19 on the right dates', () => {
    const numbered = (id: string) => {
      const numbers = numbersOf(show(id), tables.episodes, exampleNow)
      return tables.episodes
        .filter((e) => e.show === id && e.phase.kind === 'work')
        .flatMap((e) => {
          const n = numbers.episodes.get(e.id)
          return n === undefined ? [] : [[n, releaseOf(e, show(id))?.day]]
        })
    }
    expect(numbered('boats')).toEqual([
      [42, '2026-11-26'],
      [43, '2026-12-03'],
      [44, '2026-12-10'],
      [45, '2026-12-17'],
      [49, '2027-01-14'],
    ])
    expect(numbered('talks')).toEqual([
      [19, '2026-12-01'],
      [21, '2026-12-29'],
      [23, '2027-01-26'],
    ])
  })

  test('every release is on a slot of its rhythm, and its figures are no older than it is', () => {
    for (const e of tables.episodes) {
      if (e.place.kind === 'slot')
        expect(datesOf(show(e.show).rhythm, e.place.day, e.place.day)).toEqual([e.place.day])
      if (e.phase.kind !== 'released') continue
      const age = (exampleNow - Date.parse(e.phase.at)) / 86_400_000
      for (const f of e.figures) expect(f.age).toBeLessThanOrEqual(Math.ceil(age))
      expect(e.figures.map((f) => f.views)).toEqual(
        [...e.figures.map((f) => f.views ?? 0)].sort((a, b) => a - b),
      )
    }
  })

  test('spares are ready, released ones lit, and one in work is late', () => {
    const works = workingDays(tables.settings[0] ?? { hours: [], daysOff: [] })
    const standing = (id: string) => {
      const episode = tables.episodes.find((e) => e.id === id)
      if (!episode) throw new Error('no episode')
      const recipe = tables.recipes.find((r) => r.id === show(episode.show).recipe)
      if (!recipe) throw new Error('no recipe')
      return progressOf({
        episode,
        show: show(episode.show),
        recipe,
        script: tables.scripts.find((s) => s.id === id),
        outlets: tables.outlets.filter((o) => show(episode.show).outlets.includes(o.id)),
        steps: tables.steps.filter((s) => s.episode === id),
        today: '2026-11-24',
        works,
      })
    }
    for (const e of tables.episodes.filter((x) => x.spare)) expect(standing(e.id).missing).toEqual([])
    for (const e of tables.episodes.filter((x) => x.phase.kind === 'released'))
      expect(standing(e.id).ready).toBe(true)
    expect(
      tables.episodes.filter((e) => e.phase.kind === 'work' && standing(e.id).late).map((e) => e.title),
    ).toEqual(['Why my keel bolts wept rust'])
  })

  test('looks alive on any day it is opened', () => {
    for (const d of [1, 2, 3, 6, 9, 15]) {
      const now = exampleNow + d * 86_400_000 + 9 * 3_600_000
      const { whole: then } = demoWorld(now)
      const coming = then.tables.episodes.filter((e) => e.place.kind === 'slot' && e.phase.kind === 'work')
      for (const e of coming) expect(releaseOf(e, show(e.show))?.at).toBeGreaterThan(now)
      const last = then.tables.episodes
        .filter((e) => e.phase.kind === 'released' && e.show === 'boats')
        .at(-1)
      expect(last?.phase.kind === 'released' && Date.parse(last.phase.at)).toBeLessThan(now)
    }
  })

  test('is the same for the same moment', () => {
    expect(demoWorld(exampleNow).whole).toEqual(whole)
  })
})

test('the large world has as many released episodes as wanted, with scripts of about 1,200 words', () => {
  const { whole: large } = largeWorld(exampleNow, () => undefined, 200)
  const released = large.tables.episodes.filter((e) => e.phase.kind === 'released')
  expect(released).toHaveLength(200)
  const words = large.tables.scripts
    .slice(-20)
    .map((s) => s.sections.flatMap((x) => x.beats).reduce((sum, b) => sum + b.text.split(' ').length, 0))
  for (const n of words) expect(n).toBeGreaterThan(1000)
  expect(new Set(large.tables.episodes.map((e) => e.code)).size).toBe(large.tables.episodes.length)
  expect(
    dayAt(Date.parse(released[0]?.phase.kind === 'released' ? released[0].phase.at : ''), 'Europe/Lisbon') <
      '2026-11-24',
  ).toBe(true)
})

test('a plan for it turns to other work at most five times on its long Wednesday', () => {
  const records = exampleRecords()
  for (const name of tableNames)
    Object.assign(records, { [name]: new Map(tables[name].map((row) => [row.id, row])) })
  const { open, hours, today } = stateOf(records, exampleNow)
  const of = planFor(
    open.tasks,
    open.laid.filter((b) => b.pinned),
    hours,
    today,
  )
  const planner = new Planner(of)
  planner.improve(2000)
  const { blocks, missed } = planner.plan
  expect(missed).toEqual([])
  const sorts = new Set(
    blocks
      .filter((b) => b.day === '2026-11-25')
      .map((b) => of.tasks.find((t) => t.id === b.id))
      .map((t) => `${t?.kind} ${t?.episode}`),
  )
  expect(sorts.size).toBeGreaterThan(1)
  expect(sorts.size - 1).toBeLessThanOrEqual(5)
})
