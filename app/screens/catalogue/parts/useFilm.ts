import { computed, type Ref } from 'vue'
import { median } from 'd3-array'
import type { Id } from '@core/records'
import { addDays, daysBetween, monthName } from '@core/rhythm/days'
import type { CatalogueRow } from '@core/views/catalogue'
import { useCards } from '@app/stores/cards'
import { useMoment } from '@app/stores/moment'
import type { CatalogueHere } from '../useCatalogue'

/** Where things stand, px from the top: arcs rise from the first lane; further lanes lie below the months. */
export const lanes = { first: 112, height: 36, months: 166, next: 174, nextHeight: 26 }
/** How wide a frame of the show that comes most often should be, px, and how far the film goes beyond today, days. */
const wish = 25
const ahead = 42

/** One frame of the film: a release that is out, or one that comes. */
export interface FilmFrame {
  id: Id
  row: CatalogueRow | undefined
  number: string
  lane: number
  x: number
  w: number
  y: number
  h: number
}

/** Everything that is out as film, true to time, as wide as it needs. */
export function useFilm(of: CatalogueHere, width: Readonly<Ref<number>>) {
  const moment = useMoment()
  const cards = useCards()
  const shows = computed(() =>
    moment.shows.filter((s) => of.only.value === '' || s.id === of.only.value).map((s) => s.id),
  )
  const shown = computed(() => [...of.all.value].reverse().filter((r) => shows.value.includes(r.show.id)))
  /** The usual days between two releases of each show. */
  const gaps = computed(
    () =>
      new Map(
        shows.value.map((id) => {
          const days = shown.value.filter((r) => r.show.id === id).map((r) => r.day)
          const between = days.slice(1).map((d, i) => daysBetween(days[i] ?? d, d))
          return [id, Math.max(1, median(between) ?? 7)] as const
        }),
      ),
  )
  const from = computed(() => addDays(shown.value[0]?.day ?? moment.today, -10))
  const until = computed(() => addDays(moment.today, ahead))
  const inner = computed(() => {
    const least = Math.min(...gaps.value.values(), 14)
    return Math.max(width.value, Math.round((daysBetween(from.value, until.value) / least) * wish))
  })
  const perDay = computed(() => (inner.value - 16) / Math.max(1, daysBetween(from.value, until.value)))
  const at = (day: string) => 8 + daysBetween(from.value, day) * perDay.value
  /** Those among what was found. */
  const found = computed(() => new Set(of.rows.value.map((r) => r.episode.id)))
  /** How frames of a show stand: its lane, from above and how high, and how wide. */
  const sizes = computed(
    () =>
      new Map(
        shows.value.map((id, lane) => {
          const w = Math.max(3, Math.min(62, (gaps.value.get(id) ?? 7) * perDay.value * 0.9))
          const y = lane === 0 ? lanes.first : lanes.next + (lane - 1) * (lanes.nextHeight + 6)
          return [id, { lane, w, y, h: lane === 0 ? lanes.height : lanes.nextHeight }] as const
        }),
      ),
  )
  // Before it is known how much room there is, nothing is laid out.
  const frames = computed((): FilmFrame[] => {
    if (width.value === 0) return []
    const [start, wide, of, last] = [from.value, perDay.value, sizes.value, until.value]
    const all: FilmFrame[] = []
    const add = (id: Id, show: Id, day: string, number: string, row: CatalogueRow | undefined) => {
      const size = of.get(show)
      if (!size) return
      const { lane, w, y, h } = size
      all.push({ id, row, number, lane, w, x: 8 + daysBetween(start, day) * wide - w, y, h })
    }
    for (const r of shown.value) add(r.episode.id, r.show.id, r.day, r.number, r)
    for (const { episode, show, number, standing } of cards.coming)
      if (standing.release && standing.release.day < last)
        add(episode.id, show.id, standing.release.day, number, undefined)
    return all
  })
  const byId = computed(() => new Map(frames.value.map((f) => [f.id, f])))
  /** The first of each month, each other one where there is little room. */
  const months = computed(() => {
    const first = `${from.value.slice(0, 7)}-01`
    const count = Math.ceil(daysBetween(first, until.value) / 30) + 1
    const days = Array.from(
      { length: count },
      (_, i) => `${addDays(first, Math.round(i * 30.44) + 5).slice(0, 7)}-01`,
    )
    const each = Math.max(1, Math.ceil(56 / (perDay.value * 30)))
    return days
      .filter((d, i) => at(d) > 0 && at(d) < inner.value - 30 && (i % each === 0 || d.slice(5, 7) === '01'))
      .map((d) => ({ x: at(d), says: d.slice(5, 7) === '01' ? d.slice(0, 4) : monthName(d).slice(0, 3) }))
  })
  const height = computed(
    () =>
      (shows.value.length > 1
        ? lanes.next + (shows.value.length - 1) * (lanes.nextHeight + 6)
        : lanes.months) + 10,
  )
  return { frames, byId, found, inner, height, months, now: computed(() => at(moment.today)) }
}
export type FilmHere = ReturnType<typeof useFilm>
