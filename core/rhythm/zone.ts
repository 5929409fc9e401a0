import type { ClockTime, Day, Zone } from '../records'
import { dayOf, daysBetween } from './days'

const instants = new Map<string, number>()

/**
 * The moment, in ms since 1970, at which a clock in `zone` shows this date and time. A time skipped by a
 * clock change is taken as that much later, a doubled one as its first (RFC 5545, 3.3.5).
 */
export function momentAt(day: Day, time: ClockTime, zone: Zone): number {
  const key = `${day}T${time}[${zone}]`
  let at = instants.get(key)
  if (at === undefined) {
    at = Temporal.ZonedDateTime.from(key).epochMilliseconds
    if (instants.size > 20_000) instants.clear()
    instants.set(key, at)
  }
  return at
}

/** The date and time that a clock in `zone` shows at a moment (ms since 1970). */
export function localAt(ms: number, zone: Zone): { day: Day; time: ClockTime } {
  const local = Temporal.Instant.fromEpochMilliseconds(ms).toZonedDateTimeISO(zone)
  return {
    day: local.toPlainDate().toString(),
    time: local.toPlainTime().toString({ smallestUnit: 'minute' }),
  }
}

/** The offset of a zone over a day of UTC, in ms; nothing where the clock changes within it. */
const offsets = new Map<string, number | undefined>()

function offsetAt(ms: number, zone: Zone): number {
  return Temporal.Instant.fromEpochMilliseconds(ms).toZonedDateTimeISO(zone).offsetNanoseconds / 1_000_000
}

/**
 * The date in `zone` at a moment (ms since 1970). Quick for many moments: a zone is asked twice for each
 * day of UTC.
 */
export function dayAt(ms: number, zone: Zone): Day {
  const utc = Math.floor(ms / 86_400_000)
  const key = `${utc} ${zone}`
  if (!offsets.has(key)) {
    if (offsets.size > 20_000) offsets.clear()
    const [first, last] = [offsetAt(utc * 86_400_000, zone), offsetAt((utc + 1) * 86_400_000 - 1, zone)]
    offsets.set(key, first === last ? first : undefined)
  }
  const offset = offsets.get(key)
  return dayOf(Math.floor((ms + (offset ?? offsetAt(ms, zone))) / 86_400_000))
}

/** What is left until a moment: `2 d 8 h`, `5 h 10`, `12 min`; past moments say `3 h ago`. */
export function sayLeft(from: number, to: number): string {
  const past = to < from
  const minutes = Math.round(Math.abs(to - from) / 60_000)
  const d = Math.floor(minutes / 1440)
  const h = Math.floor((minutes % 1440) / 60)
  const m = minutes % 60
  const text =
    d > 0
      ? `${d} d${h ? ` ${h} h` : ''}`
      : h > 0
        ? `${h} h${m ? ` ${String(m).padStart(2, '0')}` : ''}`
        : `${m} min`
  return past ? `${text} ago` : text
}

/**
 * What is left until a release: hours and minutes within three days, calendar days of its zone beyond, as
 * the dates beside it count.
 */
export function sayUntil(from: number, to: number, zone: Zone): string {
  if (Math.abs(to - from) < 3 * 86_400_000) return sayLeft(from, to)
  const days = daysBetween(dayAt(from, zone), dayAt(to, zone))
  return days < 0 ? `${-days} d ago` : `${days} d`
}
