import { computed, type Ref } from 'vue'
import { scaleLinear } from 'd3-scale'
import type { Recipe } from '@core/records'
import { leadAt, scoreOf } from '@core/recipe/score'

/** The height of a row of the score, in pixels. */
export const rowHeight = 31

/** A step's dot on its way to another day, so many before release. */
export interface Dragged {
  id: string
  days: number
}

/**
 * Where everything of a score stands in a frame of `width` pixels, with a dragged dot where it is: rows, the axis
 * of days, needs as curves, the ramp as a path.
 */
export function useScoreShape(
  recipe: () => Recipe,
  chosen: () => { kind: 'step' | 'stage'; id: string } | undefined,
  dragged: Ref<Dragged | undefined>,
  width: Ref<number>,
) {
  const shown = computed(() =>
    dragged.value
      ? {
          ...recipe(),
          lines: recipe().lines.map((l) =>
            l.id === dragged.value?.id ? { ...l, lead: leadAt(recipe().lines, l, dragged.value.days) } : l,
          ),
        }
      : recipe(),
  )
  const score = computed(() => scoreOf(shown.value))
  const reach = computed(() => {
    const s = scoreOf(recipe())
    return { before: s.before, after: s.after }
  })
  const x = computed(() =>
    scaleLinear()
      .domain([reach.value.before + 1, -Math.max(2, reach.value.after + 1)])
      .range([10, width.value - 12]),
  )
  const mid = (row: number) => row * rowHeight + rowHeight / 2
  const daysOf = (row: number) => {
    const r = score.value.rows[row]
    return r?.kind === 'line' ? r.days : 0
  }
  const edges = computed(() =>
    score.value.needs.map(({ from, to }) => {
      const [x1, y1, x2, y2] = [x.value(daysOf(from)), mid(from), x.value(daysOf(to)), mid(to)]
      const bend = Math.max(14, Math.abs(y2 - y1) / 3)
      return {
        d: `M${x1},${y1} C${x1 + bend},${y1} ${x2 - bend},${y2} ${x2},${y2}`,
        backwards: daysOf(from) < daysOf(to),
        on:
          chosen()?.kind === 'step' &&
          [score.value.rows[from], score.value.rows[to]].some(
            (r) => r?.kind === 'line' && r.line.id === chosen()?.id,
          ),
      }
    }),
  )
  /** Down the stages, each by the day on which the last of its steps is due. */
  const ramp = computed(() => {
    let d = ''
    let reached = Infinity
    score.value.rows.forEach((row, i) => {
      if (row.kind !== 'stage' || row.due === undefined) return
      const rest = score.value.rows.slice(i + 1)
      const next = rest.findIndex((r) => r.kind === 'stage')
      reached = Math.min(reached, row.due)
      d += `${d === '' ? 'M' : 'L'}${x.value(reached)},${Math.max(16, i * rowHeight)} L${x.value(reached)},${(i + 1 + (next < 0 ? rest.length : next)) * rowHeight} `
    })
    return d
  })
  const ticks = computed(() => x.value.ticks(8).filter(Number.isInteger))
  return { score, x, mid, edges, ramp, ticks }
}
