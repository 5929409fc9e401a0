import 'temporal-polyfill/global'
import { demoWorld } from '../demo/world'
import { writeBackup, type WholeStore } from '../core/formats/backup'
import { faultsOf } from '../core/formats/whole-check'
import { rowsFrom, type Episode, type Rows, type Step } from '../core/records'
import { addDays } from '../core/rhythm/days'
import { dayAt } from '../core/rhythm/zone'

/**
 * The demo with 300 more episodes in work, one a day on each of its two shows, all within 26 weeks: what
 * the views of the schedule are dragged about with.
 */
export function wideWorld(now: number): WholeStore {
  const { whole } = demoWorld(now)
  const today = dayAt(now, 'Europe/Lisbon')
  const shows = whole.tables.shows.map((s) => ({
    ...s,
    rhythm: { ...s.rhythm, rule: 'FREQ=DAILY;INTERVAL=1', start: addDays(today, -30) },
  }))
  const episodes: Episode[] = []
  const steps: Step[] = []
  for (const show of shows) {
    const pattern = whole.tables.episodes.find(
      (e) => e.show === show.id && e.phase.kind === 'work' && e.place.kind === 'slot',
    )
    if (!pattern) throw new Error('the demo has no episode in work')
    for (let i = 0; i < 150; i++) {
      const id = `${show.id}-wide-${i}`
      episodes.push({
        ...pattern,
        id,
        code: `${show.id === 'boats' ? 'W' : 'Y'}${String(i).padStart(3, '0')}`,
        title: `${pattern.title}, ${i + 1}`,
        place: { kind: 'slot', day: addDays(today, 2 + i) },
        chosenPicture: undefined,
        number: undefined,
      })
      const mine = whole.tables.steps.filter((s) => s.episode === pattern.id)
      for (const s of mine)
        steps.push({
          ...s,
          id: s.id.replace(pattern.id, id),
          episode: id,
          needs: s.needs.map((n) => n.replace(pattern.id, id)),
          ...(i % 4 === 0 ? {} : { doneAt: s.order < i % 9 ? s.createdAt : undefined }),
          waiting: undefined,
        })
    }
  }
  const released = whole.tables.episodes
    .filter((e) => e.phase.kind === 'released')
    .map((e) => ({ ...e, pictures: [], chosenPicture: undefined }))
  const kept = new Set(released.map((e) => e.id))
  const tables: Rows = {
    ...whole.tables,
    shows,
    episodes: [...released, ...episodes],
    steps: [...whole.tables.steps.filter((s) => kept.has(s.episode)), ...steps],
    scripts: whole.tables.scripts.filter((s) => kept.has(s.id)),
  }
  // What hung on the demo's own work goes with it.
  const gone = new Set(faultsOf(tables).map((f) => `${f.table}/${f.id}`))
  return {
    ...whole,
    tables: rowsFrom((name) => tables[name].filter((row) => !gone.has(`${name}/${row.id}`))),
  }
}

/** The same as a back-up to restore. */
export function wideBackup(now: number): Buffer {
  return Buffer.from(writeBackup(wideWorld(now), new Date(now).toISOString()))
}
