import { computed, type Ref } from 'vue'
import { median } from 'd3-array'
import { scaleLinear, scaleUtc } from 'd3-scale'
import { longestLead } from '@core/learnt/findings'
import { addDays, daysBetween, monthName } from '@core/rhythm/days'
import type { RhythmView } from '@core/views/rhythm'
import { useMoment } from '@app/stores/moment'
import { usePictures } from '@app/stores/pictures'

/** Days that the film goes beyond today. */
const ahead = 35
/** As many releases as the first and the last are compared. */
const ten = 10
/** Where things stand, px from the top. */
export const rows = {
  late: 12,
  film: 20,
  filmHeight: 40,
  lead: 148,
  leadHeight: 66,
  months: 170,
  usual: 254,
  up: 66,
  down: 52,
}

const sayMonth = (day: string) => (day.slice(5, 7) === '01' ? day.slice(0, 4) : monthName(day).slice(0, 3))

/** The period as film: where every release stands, what is said of it, and what comes. */
export function useYearFilm(view: () => RhythmView, width: Readonly<Ref<number>>) {
  const moment = useMoment()
  const pictures = usePictures()
  const wide = computed(() => Math.max(320, width.value))
  const x = computed(() =>
    scaleUtc()
      .domain([Date.parse(view().from), Date.parse(addDays(moment.today, ahead))])
      .range([34, wide.value - 6]),
  )
  const at = (day: string) => x.value(Date.parse(day))
  /** As wide as the usual distance of two releases has room for. */
  const frameWidth = computed(() => {
    const days = view().frames.map((f) => f.made.day)
    const gaps = days.slice(1).map((d, i) => daysBetween(days[i] ?? d, d))
    const usual = median(gaps) ?? 7
    return Math.max(3, Math.min(46, (x.value(usual * 86_400_000) - x.value(0)) * 0.88))
  })
  const leads = computed(() =>
    scaleLinear()
      .domain([0, Math.ceil(longestLead(view().frames.map((f) => f.made)))])
      .range([0, rows.leadHeight]),
  )
  const most = computed(() => Math.max(2, ...view().frames.map((f) => f.usual?.times ?? 0)))
  const times = computed(() => scaleLinear().domain([0, most.value]).range([0, rows.up]).clamp(true))
  const longest = computed(() => Math.max(60, ...view().frames.map((f) => f.made.minutes)))
  const hours = computed(() => scaleLinear().domain([0, longest.value]).range([0, rows.down]))
  const frames = computed(() =>
    view().frames.map((f) => {
      const right = at(f.made.day)
      return {
        ...f,
        x: right - frameWidth.value,
        w: frameWidth.value,
        url: pictures.url(f.made.episode.chosenPicture),
        lead: leads.value(Math.max(0, f.made.lead ?? 0)),
        up: f.usual ? times.value(f.usual.times) : 0,
        down: hours.value(f.made.minutes),
        isBest: (f.usual?.times ?? 0) >= 1.5,
      }
    }),
  )
  /** Names of what was late, where none stands in another's way. */
  const flags = computed(() => {
    let free = 0
    return frames.value.flatMap((f) => {
      if ((f.late ?? 0) === 0 || f.x < free) return []
      free = f.x + 78
      return [{ x: Math.min(f.x, wide.value - 80), says: `${f.number}, ${f.late ?? 0} d` }]
    })
  })
  /** The best are named first, above what stands beside them, where none stands in another's way. */
  const named = computed(() => {
    const taken: number[] = []
    return frames.value
      .filter((f) => f.isBest)
      .sort((a, b) => (b.usual?.times ?? 0) - (a.usual?.times ?? 0))
      .flatMap((f) => {
        const x = Math.min(f.x + f.w / 2, wide.value - 40)
        if (taken.some((t) => Math.abs(t - x) < 84)) return []
        taken.push(x)
        const tallest = Math.max(...frames.value.filter((o) => Math.abs(o.x - f.x) < 46).map((o) => o.up))
        return [{ x, y: rows.usual - tallest - 5, says: `${f.number} ${f.usual?.times.toFixed(1) ?? ''}×` }]
      })
  })
  const coming = computed(() =>
    view()
      .coming.flatMap((c) =>
        c.standing.release
          ? [
              {
                key: c.episode.id,
                x: at(c.standing.release.day) - frameWidth.value,
                number: c.number,
                isLate: c.standing.late !== undefined,
              },
            ]
          : [],
      )
      .filter((c) => c.x < wide.value - 8),
  )
  /** The first of each month, each other one where there is little room. */
  const months = computed(() => {
    const first = `${view().from.slice(0, 7)}-01`
    const count = Math.ceil(daysBetween(first, addDays(moment.today, ahead)) / 30) + 1
    const days = Array.from(
      { length: count },
      (_, i) => `${addDays(first, Math.round(i * 30.44) + 5).slice(0, 7)}-01`,
    )
    const shown = days.filter((d) => at(d) >= 34 && at(d) < wide.value - 30)
    const each = Math.ceil(shown.length / (wide.value / 56))
    return shown.filter((_, i) => i % each === 0).map((d) => ({ x: at(d), says: sayMonth(d) }))
  })
  const middles = computed(() => {
    const { rise } = view().lead
    if (!rise) return []
    const { first, last } = rise
    const [a, b] = [frames.value.slice(0, ten), frames.value.slice(-ten)]
    return [
      { frames: a, lead: first, says: `${first.toFixed(1)} d first ten` },
      { frames: b, lead: last, says: `${last.toFixed(1)} d last ten` },
    ].map(({ frames: of, lead, says }) => ({
      ...{ from: of[0]?.x ?? 0, to: (of.at(-1)?.x ?? 0) + frameWidth.value, says },
      y: rows.lead - leads.value(lead),
      // Its words stand above the bars that it is the middle of.
      top: rows.lead - Math.max(...of.map((f) => f.lead), leads.value(lead)) - 5,
    }))
  })
  const now = computed(() => x.value(moment.now))

  return { wide, at, frameWidth, leads, times, frames, flags, named, coming, months, middles, now }
}
