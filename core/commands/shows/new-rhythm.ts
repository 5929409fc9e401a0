import { type Day, type Records, type Reservation, type Show, Show as ShowSchema } from '../../records'
import { type Result, ok, refused } from '../../result'
import { addDays } from '../../rhythm/days'
import { type RhythmWish, datesOf, ruleOf } from '../../rhythm/rule'

/** A change of rhythm as people make it: what, when, from which date on, and when it pauses. */
export interface RhythmChange {
  rhythm: RhythmWish
  time: string
  start: string
  zone?: string
  pauses?: { from: string; to: string }[]
  also?: NonNullable<Show['rhythm']['also']>
}

/**
 * The show as a change of rhythm would leave it. Begun on a date still to come, it holds from then on, and
 * what held before holds until then; begun on a date that has passed, it holds for all slots to come.
 */
export function withRhythm(show: Show, change: RhythmChange, today: Day): Result<Show> {
  const rule = ruleOf(change.rhythm)
  if (!rule.ok) return rule
  const {
    start,
    time,
    zone = show.zone,
    pauses = show.rhythm.pauses ?? [],
    also = show.rhythm.also ?? [],
  } = change
  const { rule: oldRule, start: oldStart, time: oldTime, earlier = [] } = show.rhythm
  const before = [...earlier, { rule: oldRule, start: oldStart, time: oldTime }].filter(
    (p) => p.start < start,
  )
  const kept = start > today && start !== oldStart ? before : start === oldStart ? earlier : []
  const read = ShowSchema.safeParse({
    ...show,
    zone,
    rhythm: {
      rule: rule.value,
      start,
      time,
      ...(pauses.length > 0 ? { pauses } : {}),
      ...(also.length > 0 ? { also } : {}),
      ...(kept.length > 0 ? { earlier: kept } : {}),
    },
  })
  if (!read.success)
    return refused(read.error.issues[0]?.message ?? '', `shows.${read.error.issues[0]?.path.join('.') ?? ''}`)
  const dates = new Set(
    datesOf(
      read.data.rhythm,
      [kept[0]?.start ?? start, ...also.map((a) => a.start)].sort()[0] ?? start,
      addDays(start, 3660),
    ),
  )
  return ok({
    ...read.data,
    skipped: show.skipped.filter((d) => dates.has(d)),
    moved: Object.fromEntries(Object.entries(show.moved).filter(([d]) => dates.has(d))),
  })
}

/** What becomes of episodes that lose their slot. */
export type Displaced = 'nearest' | 'keep' | 'off' | 'ideas'

/**
 * Slots kept for somebody on dates that a change of rhythm no longer yields, each with the nearest slot on
 * or after it that is kept for nobody.
 */
export function keptElsewhere(
  records: Pick<Records, 'reservations'>,
  changed: Show,
  today: Day,
): { reservation: Reservation; to: Day }[] {
  const mine = [...records.reservations.values()]
    .flatMap((r) =>
      r.show === changed.id && r.kept.kind === 'slot' && r.kept.day >= today
        ? [{ reservation: r, day: r.kept.day }]
        : [],
    )
    .sort((a, b) => (a.day < b.day ? -1 : 1))
  const dates =
    mine.length === 0 ? [] : datesOf(changed.rhythm, today, addDays(mine.at(-1)?.day ?? today, 400))
  const taken = new Set(mine.filter((m) => dates.includes(m.day)).map((m) => m.day))
  return mine
    .filter((m) => !dates.includes(m.day))
    .flatMap(({ reservation, day }) => {
      const to = dates.find((d) => d >= day && !taken.has(d)) ?? dates.findLast((d) => !taken.has(d))
      if (to === undefined) return []
      taken.add(to)
      return [{ reservation, to }]
    })
}
