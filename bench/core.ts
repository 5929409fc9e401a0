import { exampleNow } from '@core/examples'
import { layWork } from '@core/plan/load'
import { dueDates, workingDays } from '@core/recipe/due'
import { standingOf } from '@core/recipe/lamps'
import { numbersOf } from '@core/rhythm/numbering'
import { slotsOf } from '@core/rhythm/slots'
import { scriptFigures } from '@core/script/timing'
import { largeWorld } from '@demo/world'
import { line, middle } from './measure'

/** The computations of the core over 5,000 episodes, each as a ratio to one pass of a plain loop over the same records. */
const { whole } = largeWorld(exampleNow, () => undefined)
const { shows, recipes, outlets, episodes, steps, scripts, settings } = whole.tables
const works = workingDays(settings[0] ?? { hours: [], daysOff: [] })
const byEpisode = new Map<string, typeof steps>()
for (const s of steps) (byEpisode.get(s.episode) ?? byEpisode.set(s.episode, []).get(s.episode))?.push(s)
const script = new Map(scripts.map((s) => [s.id, s]))
const all = episodes.filter((e) => e.phase.name === 'released').map((episode) => ({ ...episode, phase: { name: 'work' as const, since: episode.createdAt } }))

let seen = 0
const loop = middle(9, () => {
  seen = 0
  for (const e of all) {
    seen += e.title.length
    for (const s of byEpisode.get(e.id) ?? []) seen += s.minutes
    for (const section of script.get(e.id)?.sections ?? []) for (const beat of section.beats) for (let i = 0; i < beat.text.length; i++) seen += beat.text.charCodeAt(i) & 1
  }
  return seen
})
console.log(line(`plain loop: ${all.length} episodes, ${steps.length} steps, their scripts' letters`, loop))
const report = (what: string, runs: number, work: () => unknown) => { console.log(line(what, middle(runs, work), loop)) }

report('slots of ten years, two shows', 9, () => shows.flatMap((s) => slotsOf({ ...s, rhythm: { ...s.rhythm, rule: s.kind === 'video' ? 'FREQ=WEEKLY;INTERVAL=1;BYDAY=TH' : 'FREQ=WEEKLY;INTERVAL=2;BYDAY=TU' } }, '2026-11-24', '2036-11-24')))
report('due dates of 5,000 episodes', 5, () => all.map((e) => dueDates(byEpisode.get(e.id) ?? [], e.place.on === 'slot' ? e.place.day : '2026-12-10', works)))
report('lamps and what is missing, 5,000 episodes, scripts read', 3, () => all.map((episode) => {
  const show = shows.find((s) => s.id === episode.show)
  const recipe = recipes.find((r) => r.id === show?.recipe)
  return show && recipe && standingOf({ episode, show, recipe, script: script.get(episode.id), outlets: outlets.filter((o) => show.outlets.includes(o.id)), steps: byEpisode.get(episode.id) ?? [], today: '2026-11-24', works })
}))
report('numbers of both shows', 5, () => shows.map((s) => numbersOf(s, episodes, exampleNow)))
report('running time of one script of 1,200 words', 9, () => scriptFigures(scripts.at(-1), { camera: 150, voice: 160 }))
report('500 open steps laid on days', 5, () => layWork(steps.slice(0, 500).map((s, i) => ({ id: s.id, minutes: s.minutes, due: `2026-12-${String(1 + (i % 28)).padStart(2, '0')}`, needs: s.needs })), settings[0] ?? { hours: [], daysOff: [] }, '2026-11-24'))
