import 'temporal-polyfill/global'
import { exampleNow } from '@core/examples'
import { fieldsOf } from '@core/ideas/fields'
import { Likeness } from '@core/ideas/likeness'
import { LibraryIndex, textOfScript } from '@core/ideas/library-index'
import { rankIdeas } from '@core/ideas/rank'
import { viewIdeas } from '@core/ideas/viewing'
import { freshWeights } from '@core/records'
import { forecast } from '@core/plan/forecast'
import { layWork, minutesAhead, planFor } from '@core/plan/load'
import { Planner, type Task } from '@core/plan/planner'
import { dueDates, workingDays } from '@core/recipe/due'
import { progressOf } from '@core/recipe/lamps'
import { numbersOf } from '@core/rhythm/numbering'
import { slotsOf } from '@core/rhythm/slots'
import { scriptFigures } from '@core/script/timing'
import { largeWorld } from '@demo/large'
import { line, middle } from './measure'

/**
 * The computations of the core over 5,000 episodes, each as a ratio to one pass of a plain loop over the
 * same records.
 */
const { whole } = largeWorld(exampleNow, () => undefined)
const { shows, recipes, outlets, episodes, steps, scripts, settings } = whole.tables
// What the quick test holds for two hundred holds for all.
if (new Set(episodes.map((e) => e.code)).size !== episodes.length) throw new Error('A code stands twice.')
const works = workingDays(settings[0] ?? { hours: [], daysOff: [] })
const byEpisode = new Map<string, (typeof steps)[number][]>()
for (const s of steps) (byEpisode.get(s.episode) ?? byEpisode.set(s.episode, []).get(s.episode))?.push(s)
const script = new Map(scripts.map((s) => [s.id, s]))
const all = episodes
  .filter((e) => e.phase.kind === 'released')
  .map((episode) => ({ ...episode, phase: { kind: 'work' as const, since: episode.createdAt } }))

let seen = 0
const loop = middle(9, () => {
  seen = 0
  for (const e of all) {
    seen += e.title.length
    for (const s of byEpisode.get(e.id) ?? []) seen += s.minutes
    for (const section of script.get(e.id)?.sections ?? [])
      for (const beat of section.beats)
        for (let i = 0; i < beat.text.length; i++) seen += beat.text.charCodeAt(i) & 1
  }
  return seen
})
console.log(line(`plain loop: ${all.length} episodes, ${steps.length} steps, their scripts' letters`, loop))
const report = (what: string, runs: number, work: () => unknown) => {
  console.log(line(what, middle(runs, work), loop))
}

report('slots of ten years, two shows', 9, () =>
  shows.flatMap((s) =>
    slotsOf(
      {
        ...s,
        rhythm: {
          ...s.rhythm,
          rule: s.kind === 'video' ? 'FREQ=WEEKLY;INTERVAL=1;BYDAY=TH' : 'FREQ=WEEKLY;INTERVAL=2;BYDAY=TU',
        },
      },
      '2026-11-24',
      '2036-11-24',
    ),
  ),
)
report('due dates of 5,000 episodes', 5, () =>
  all.map((e) =>
    dueDates(byEpisode.get(e.id) ?? [], e.place.kind === 'slot' ? e.place.day : '2026-12-10', works),
  ),
)
report('lamps and what is missing, 5,000 episodes, scripts read', 3, () =>
  all.map((episode) => {
    const show = shows.find((s) => s.id === episode.show)
    const recipe = recipes.find((r) => r.id === show?.recipe)
    return (
      show &&
      recipe &&
      progressOf({
        episode,
        show,
        recipe,
        script: script.get(episode.id),
        outlets: outlets.filter((o) => show.outlets.includes(o.id)),
        steps: byEpisode.get(episode.id) ?? [],
        today: '2026-11-24',
        works,
      })
    )
  }),
)
report('numbers of both shows', 5, () => shows.map((s) => numbersOf(s, episodes, exampleNow)))
report('running time of one script of 1,200 words, every beat anew', 9, () =>
  scriptFigures(structuredClone(scripts.at(-1)), { camera: 150, voice: 160 }),
)
report('500 open steps laid on days', 5, () =>
  layWork(
    planFor(
      steps.slice(0, 500).map((s, i) => ({
        id: s.id,
        episode: s.episode,
        kind: s.kind,
        minutes: s.minutes,
        due: `2026-12-${String(1 + (i % 28)).padStart(2, '0')}`,
        needs: s.needs,
        split: true,
        weight: 1,
      })),
      [],
      settings[0] ?? { hours: [], daysOff: [] },
      '2026-11-24',
    ),
  ),
)

const ideas = episodes.filter((e) => e.phase.kind === 'idea')
const fields = fieldsOf({
  shows: new Map(shows.map((s) => [s.id, s])),
  recipes: new Map(recipes.map((r) => [r.id, r])),
  keywords: new Map(whole.tables.keywords.map((k) => [k.id, k])),
  launches: new Map(),
  number: () => undefined,
})
const where = {
  kind: 'group' as const,
  join: 'all' as const,
  of: [
    { kind: 'test' as const, field: 'phase', how: 'is' as const, value: 'idea' },
    {
      kind: 'group' as const,
      join: 'any' as const,
      of: [
        { kind: 'test' as const, field: 'topics', how: 'has' as const, value: 'Oars' },
        { kind: 'test' as const, field: 'rating', how: 'least' as const, value: '3' },
      ],
    },
  ],
}
report(`a nested view over ${episodes.length} episodes, sorted by title, grouped by topic`, 7, () =>
  viewIdeas({ where, sort: { by: 'title', down: false }, group: 'topics' }, episodes, fields, '2026-11-24'),
)
report(`all ${ideas.length} ideas in the order by hand`, 7, () =>
  viewIdeas(
    { where: { kind: 'group', join: 'all', of: [] }, sort: { by: 'hand', down: false }, group: '' },
    ideas,
    fields,
    '2026-11-24',
  ),
)
const boats = shows[0]
if (boats)
  report(`${ideas.length} ideas ranked for one slot`, 5, () =>
    rankIdeas({
      show: boats,
      recipe: recipes[0],
      day: '2026-12-24',
      today: '2026-11-24',
      episodes,
      multiples: new Map(),
      keywords: new Map(),
      settings: { weights: freshWeights, away: {} },
      free: 2000,
    }),
  )
const likeness = new Likeness()
const lay = performance.now()
for (const e of all)
  likeness.put({
    id: e.id,
    head: `${e.title} ${e.topics.join(' ')} ${e.tags.join(' ')}`,
    body: textOfScript(script.get(e.id)),
  })
likeness.layAll()
console.log(
  line('likeness of 5,000 episodes with scripts, laid once (in the worker)', performance.now() - lay, loop),
)
report('likeness of one line to them', 15, () =>
  likeness.like({ head: 'Steaming oak ribs in a plastic sleeve' }),
)
const index = new LibraryIndex()
for (const e of all.slice(0, 2000)) index.put(e, new Map(), script.get(e.id))
report('full-text search, two words in 2,000 episodes with scripts', 9, () => index.search('oak lamp'))

const kinds = ['write', 'film', 'edit', 'design'] as const
const dayIn = (n: number) => new Date(Date.UTC(2026, 10, 24 + n)).toISOString().slice(0, 10)
const tasks: Task[] = Array.from({ length: 400 }, (_, i) => {
  const e = Math.floor(i / 10)
  return {
    id: `t${i}`,
    episode: `e${e}`,
    kind: kinds[i % 4] ?? 'edit',
    minutes: 30 + ((i * 37) % 120),
    due: dayIn(4 * e + (i % 10) * 0.4),
    needs: i % 10 > 0 ? [`t${i - 1}`] : [],
    split: i % 4 !== 1,
    release: dayIn(4 * e + 6),
    weight: 1,
  }
})
const ahead = minutesAhead(settings[0] ?? { hours: [], daysOff: [] }, '2026-11-24')
const of = { tasks, first: '2026-11-24', minutes: ahead, pinned: [], setup: { film: 45 }, preferred: {} }
report('26 weeks, 400 open steps: a first full plan', 5, () => new Planner(of).plan)
report('26 weeks, 400 open steps: 100 more orders tried', 3, () => {
  const p = new Planner(of)
  p.improve(100)
  return p.plan
})
report('2,000 draws over 26 weeks, 400 open steps', 3, () =>
  forecast({
    tasks,
    waits: new Map(),
    laid: [],
    first: '2026-11-24',
    minutes: ahead,
    paces: new Map(),
    lost: 0.04,
    setup: { film: 45 },
    draws: 2000,
    seed: 's',
  }),
)
