import type { ClockTime, Day } from '../records'
import { ok, refused, type Result } from '../result'
import { addDays, dayNumber, dayOf, monthName, weekday, weekdayName } from './days'

const weekdayNames = Array.from({ length: 7 }, (_, i) => weekdayName(i).toLowerCase())
const monthNames = Array.from({ length: 12 }, (_, i) =>
  monthName(`2026-${String(i + 1).padStart(2, '0')}-01`).toLowerCase(),
)
/** The one name that a word begins; three letters are enough. */
function named(names: readonly string[], word: string): number {
  return word.length < 3 ? -1 : names.findIndex((n) => n.startsWith(word))
}

/** The date of a year, a month (0 for January) and a day, if there is one. */
function dated(year: number, month: number, date: number): Day | undefined {
  const day = `${String(year).padStart(4, '0')}-${String(month + 1).padStart(2, '0')}-${String(date).padStart(2, '0')}`
  return year >= 1900 && year < 10_000 && dayOf(dayNumber(day)) === day ? day : undefined
}

/** Days, weeks and months from a date; a month that is too short ends on its last day. */
function later(from: Day, count: number, unit: string): Day | undefined {
  if (unit.startsWith('d')) return addDays(from, count)
  if (unit.startsWith('w')) return addDays(from, 7 * count)
  const months = Number(from.slice(0, 4)) * 12 + Number(from.slice(5, 7)) - 1 + count
  for (let date = Number(from.slice(8)); date > 27; date--) {
    const day = dated(Math.floor(months / 12), months % 12, date)
    if (day) return day
  }
  return dated(Math.floor(months / 12), months % 12, Number(from.slice(8)))
}

/** The first date with this day and month that is not more than two months past. */
function comingDate(today: Day, month: number, date: number): Day | undefined {
  const year = Number(today.slice(0, 4))
  return [year - 1, year, year + 1, year + 2, year + 3, year + 4]
    .map((y) => dated(y, month, date))
    .find((d) => d !== undefined && dayNumber(d) >= dayNumber(today) - 60)
}

function read(text: string, today: Day): Day | undefined {
  // A date that is shown, "Thu 3 Dec, 9 d", is read back as it stands.
  const words = text
    .toLowerCase()
    .replace(/,.*$/, '')
    .replace(/\b(on|the|of)\b/g, ' ')
    .replace(/(\d)(st|nd|rd|th)\b/g, '$1')
    .trim()
    .replace(/\s+/g, ' ')
  const iso = /^(\d{4})-(\d{1,2})-(\d{1,2})$/.exec(words)
  if (iso) return dated(Number(iso[1]), Number(iso[2]) - 1, Number(iso[3]))
  if (words === 'today' || words === 'now') return today
  if (words === 'tomorrow') return addDays(today, 1)
  if (words === 'yesterday') return addDays(today, -1)
  const away =
    /^([+-]) ?(\d{1,4}) ?(d|days?|w|weeks?|m|months?)$/.exec(words) ??
    /^(in) (\d{1,4}|an?) (days?|weeks?|months?)$/.exec(words)
  if (away) {
    const count = Number(away[2]) || 1
    return later(today, away[1] === '-' ? -count : away[2] === '0' ? 0 : count, away[3] ?? 'd')
  }
  const ago = /^(\d{1,4}|an?) ?(d|days?|w|weeks?|m|months?) ago$/.exec(words)
  if (ago) return later(today, -(Number(ago[1]) || 1), ago[2] ?? 'd')
  const next = /^(next|this)? ?(\w+)$/.exec(words)
  const aim = next ? named(weekdayNames, next[2] ?? '') : -1
  if (next && aim >= 0) {
    // "thu" is the coming one; "next thu" the one of the week that follows.
    const from = next[1] === 'next' ? addDays(today, 7 - weekday(today)) : addDays(today, 1)
    return addDays(from, (aim - weekday(from) + 7) % 7)
  }
  if (next?.[1] === 'next' && next[2] === 'week') return addDays(today, 7 - weekday(today))
  const spelt =
    /^(?:[a-z]{3,9} )?(\d{1,2}) ([a-z]{3,9})\.?(?: (\d{4}))?$/.exec(words) ??
    /^(?:[a-z]{3,9} )?([a-z]{3,9}) (\d{1,2})(?: (\d{4}))?$/.exec(words)
  if (!spelt) return undefined
  const [one = '', two = ''] = [spelt[1], spelt[2]]
  const [date, month] = /^\d/.test(one) ? [one, two] : [two, one]
  const m = named(monthNames, month)
  if (m < 0) return undefined
  return spelt[3] === undefined
    ? comingDate(today, m, Number(date))
    : dated(Number(spelt[3]), m, Number(date))
}

/**
 * Reads a date as people type one: `3 dec`, `dec 3 2027`, `thu`, `next thu`, `tomorrow`, `+2w`, `in 10 days`,
 * `2026-12-03`, or as it is shown, `Thu 3 Dec, 9 d`. Without a year it is the coming one, up to two months back.
 * Dates in figures alone (`3/12`) are refused: countries read them differently.
 */
export function readDay(text: string, today: Day): Result<Day> {
  const day = read(text, today)
  return day === undefined
    ? refused(`“${text.trim()}” is no date that can be read. Write it like 3 Dec, next Thu or +2w.`)
    : ok(day)
}

/**
 * Reads a time of day as people type one: `17:30`, `17.30`, `1730`, `17`, `5 pm`, `5:30pm`. Gives back 24 hours,
 * `17:30`.
 */
export function readTime(text: string): Result<ClockTime> {
  const found = /^(\d{1,2}?)(?:[:.h ]?(\d{2}))? ?(am|pm)?$/.exec(
    text
      .trim()
      .toLowerCase()
      .replace(/\./g, (dot, at: number, all: string) => (/^\d{2}/.test(all.slice(at + 1)) ? dot : '')),
  )
  const half = found?.[3]
  const hour = Number(found?.[1])
  const minute = Number(found?.[2] ?? 0)
  const hours = half === undefined ? hour : (hour % 12) + (half === 'pm' ? 12 : 0)
  if (!found || minute > 59 || hours > 23 || (half !== undefined && (hour < 1 || hour > 12)))
    return refused(`“${text.trim()}” is no time of day. Write it like 17:30.`)
  return ok(`${String(hours).padStart(2, '0')}:${String(minute).padStart(2, '0')}`)
}
