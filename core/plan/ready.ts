import type { Day } from '../records'
import { daysBetween } from '../rhythm/days'

/**
 * One of a show's next slots: its date, whether what stands on it is ready, and whether it is of a kind
 * that cannot be made early.
 */
export interface NextSlot {
  day: Day
  ready: boolean
  live?: boolean
  topical?: boolean
}

/** A spare: ready or on its way, and the last date on which it is worth releasing, if any. */
export interface Spare {
  ready: boolean
  notBefore?: Day | undefined
  staleAfter?: Day | undefined
}

/** How a show stands against its wish (`engine` 6). */
export interface Ahead {
  /** Next slots in a row that are ready. Slots that cannot be made early are passed over. */
  run: number
  /** As far as spares in date could carry it: the first slot that is neither ready nor coverable. */
  breaks: Day | undefined
  /** Weeks from today to it, to one decimal; to the last slot known where none breaks. */
  weeks: number
  /** Spares that are used up on the way. */
  used: number
  /**
   * Ready topical slots further ahead than `most.topical`, and whether there are more ready ones than
   * `most.evergreen`.
   */
  tooEarly: Day[]
  tooMany: boolean
}

/**
 * How far ahead a show is. `slots` are those to come, in order; `spares` fill the first holes, each once,
 * the one that goes stale first before others. Slots of live episodes neither count nor break the row.
 * Linear in slots times spares.
 */
export function aheadOf(
  slots: readonly NextSlot[],
  spares: readonly Spare[],
  today: Day,
  most: { evergreen: number; topical: number } = { evergreen: Infinity, topical: Infinity },
): Ahead {
  const counted = slots.filter((s) => !s.live)
  const first = counted.findIndex((s) => !s.ready)
  const run = first === -1 ? counted.length : first
  const left = spares
    .filter((s) => s.ready)
    .sort((a, b) => ((a.staleAfter ?? '9999') < (b.staleAfter ?? '9999') ? -1 : 1))
  let used = 0
  let breaks: Day | undefined
  for (const slot of counted) {
    if (slot.ready) continue
    const at = left.findIndex(
      (s) =>
        (s.staleAfter === undefined || s.staleAfter >= slot.day) &&
        (s.notBefore === undefined || s.notBefore <= slot.day),
    )
    if (at < 0) {
      breaks = slot.day
      break
    }
    left.splice(at, 1)
    used++
  }
  const until = breaks ?? slots.at(-1)?.day ?? today
  const ready = counted.filter((s) => s.ready)
  return {
    run,
    breaks,
    weeks: Math.round((daysBetween(today, until) / 7) * 10) / 10,
    used,
    tooEarly: counted.flatMap((s, i) => (s.ready && s.topical && i >= most.topical ? [s.day] : [])),
    tooMany: ready.filter((s) => !s.topical).length > most.evergreen,
  }
}

/**
 * One release as its past is looked at: when it went (or goes) out, and when its work before release was
 * done; nothing while it isn't.
 */
export interface PastRelease {
  out: number
  ready: number | undefined
}

/**
 * How many of the next releases in a row were ready at some moments (ms since 1970): the curve of
 * ready-ahead.
 */
export function readyCurve(releases: readonly PastRelease[], moments: readonly number[]): number[] {
  const row = [...releases].sort((a, b) => a.out - b.out)
  return moments.map((at) => {
    const next = row.filter((r) => r.out > at)
    const first = next.findIndex((r) => r.ready === undefined || r.ready > at)
    return first === -1 ? next.length : first
  })
}

/** How a spare stands today, in words: in date, going stale, stale; `days` is how soon is soon. */
export function spareStanding(
  spare: Spare,
  today: Day,
  days = 21,
): { is: 'in date' | 'going stale' | 'stale'; left: number | undefined } {
  if (spare.staleAfter === undefined) return { is: 'in date', left: undefined }
  const left = daysBetween(today, spare.staleAfter)
  return { is: left < 0 ? 'stale' : left <= days ? 'going stale' : 'in date', left }
}
