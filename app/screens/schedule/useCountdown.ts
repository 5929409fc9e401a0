import { computed, ref, useTemplateRef } from 'vue'
import { scaleLinear } from 'd3-scale'
import { rampOf } from '@core/plan/ramp'
import { daysBetween } from '@core/rhythm/days'
import { depthsOf, putsOf, rampPath, type Put } from '@core/views/countdown'
import { lampKinds } from '@core/views/slots'
import { useCards } from '@app/stores/cards'
import { useMoment } from '@app/stores/moment'
import { useSchedule } from '@app/stores/schedule'
import { useLibrary } from '@app/stores/library'
import { remembered } from '@app/stores/remembered'
import { useWidth } from '@app/ui/width'

/** The height of a stage's row, and where the first card may begin, in pixels. */
export const rowHeight = 76
const head = 124

/** Releases by stage and days to go, true to the width there is. */
export function useCountdown() {
  const library = useLibrary()
  const cardsStore = useCards()
  const moment = useMoment()
  const schedule = useSchedule()
  const frame = useTemplateRef<HTMLElement>('frame')
  const width = useWidth(frame, 'countdown', 900)
  const weeks = remembered('lamp-reel.countdown-weeks', 6, (kept) =>
    Number.isFinite(kept) ? bounded(Number(kept)) : undefined,
  )
  function bounded(to: number): number {
    return Math.min(26, Math.max(2, to))
  }
  const showId = ref(moment.shows[0]?.id ?? '')
  const show = computed(() => moment.shows.find((s) => s.id === showId.value) ?? moment.shows[0])
  const recipe = computed(() => library.tables.recipes.get(show.value?.recipe ?? ''))
  const cardWidth = computed(() => Math.min(168, Math.max(112, (width.value - head) / weeks.value / 1.02)))
  const x = computed(() =>
    scaleLinear()
      .domain([-2, weeks.value * 7])
      .range([head + 36, width.value - 12]),
  )
  const ramp = computed(() => (recipe.value ? rampOf(recipe.value) : []))
  /** What the ramp asks of a stage. */
  const rampAt = (kind: string) =>
    ramp.value.find((r) => recipe.value?.stages.find((s) => s.id === r.stage)?.kind === kind)
  const inSight = (days: number) => x.value(Math.min(days, weeks.value * 7))
  const path = computed(() => rampPath(recipe.value, rowHeight, inSight))
  const puts = computed(() =>
    putsOf({
      cards: cardsStore.coming,
      today: moment.today,
      days: weeks.value * 7,
      x: x.value,
      head,
      cardWidth: cardWidth.value,
    }),
  )
  /** The ramps of the other recipes that something in sight is made by, as lines alone. */
  const otherPaths = computed(() =>
    [...new Set(puts.value.map((p) => p.card.recipe))]
      .filter((r) => r.id !== recipe.value?.id)
      .map((r) => ({ id: r.id, name: r.name, d: rampPath(r, rowHeight, inSight) })),
  )
  const behind = computed(() =>
    path.value === ''
      ? ''
      : `${path.value} L${x.value(0)},${lampKinds.length * rowHeight} L${x.value(0)},0 Z`,
  )
  const depths = computed(() => depthsOf(puts.value))
  const depth = (row: number) => depths.value[row] ?? 1
  const open = computed(() =>
    schedule.rows.filter(
      (r) => r.slot && !r.card && !r.slot.skipped && daysBetween(moment.today, r.day) <= weeks.value * 7,
    ),
  )
  const ticks = computed(() =>
    [
      ...new Set([
        ...puts.value.map((p) => p.days),
        ...open.value.map((r) => daysBetween(moment.today, r.day)),
      ]),
    ]
      .sort((a, b) => a - b)
      .filter((n, i, all) => i === 0 || x.value(n) - x.value(all[i - 1] ?? 0) > 46),
  )

  function zoom(to: number) {
    weeks.value = bounded(to)
  }
  /** Where a card lies and how large it is; one that finds no room is a pin. */
  const places = computed(
    () =>
      new Map(
        puts.value.map((p) => {
          if (p.lane === undefined)
            return [p, { left: `${p.right - 14}px`, top: `${(p.row + 1) * rowHeight - 18}px` }]
          const lanes = depth(p.row)
          const h = (rowHeight - 8) / lanes
          return [
            p,
            {
              left: `${p.left}px`,
              top: `${p.row * rowHeight + 4 + p.lane * h}px`,
              width: `${Math.max(54, p.right - p.left)}px`,
              height: `${h - (lanes > 1 ? 2 : 0)}px`,
            },
          ]
        }),
      ),
  )
  const placeOf = (p: Put) => places.value.get(p)
  /** Whose ramp is drawn. */
  function choose(show: string) {
    showId.value = show
  }
  return {
    choose,
    weeks,
    zoom,
    show,
    recipe,
    x,
    cardWidth,
    rampAt,
    path,
    otherPaths,
    behind,
    puts,
    depth,
    open,
    ticks,
    placeOf,
  }
}

export type CountdownSeen = ReturnType<typeof useCountdown>
