import type { Day } from '../records'

const DAY = 86_400_000

/** Dates and their numbers that were asked for: a few hundred are, again and again. */
const numbers = new Map<Day, number>()
const days = new Map<number, Day>()
const most = 20_000

/** Days since 1970-01-01 of an ISO date; whole numbers that can be compared and subtracted. */
export function dayNumber(day: Day): number {
  let number = numbers.get(day)
  if (number === undefined) {
    number = numberOf(day)
    if (numbers.size > most) numbers.clear()
    numbers.set(day, number)
  }
  return number
}

function numberOf(day: Day): number {
  return Math.round(Date.UTC(+day.slice(0, 4), +day.slice(5, 7) - 1, +day.slice(8, 10)) / DAY)
}

/** The date that a `Date` shows in UTC: for dates that are kept as midnights in UTC, never for moments. */
export function dateOf(utc: Date): Day {
  // eslint-disable-next-line no-restricted-syntax
  return utc.toISOString().slice(0, 10)
}

/** The ISO date of a day number; the inverse of `dayNumber`. */
export function dayOf(number: number): Day {
  let day = days.get(number)
  if (day === undefined) {
    day = dateOf(new Date(number * DAY))
    if (days.size > most) days.clear()
    days.set(number, day)
  }
  return day
}

/** The date `days` later (earlier when negative). */
export function addDays(day: Day, days: number): Day {
  return dayOf(dayNumber(day) + days)
}

/** Calendar days from one date to another; negative when `to` is earlier. */
export function daysBetween(from: Day, to: Day): number {
  return dayNumber(to) - dayNumber(from)
}

/** The weekday of a date or of its day number, 0 for Monday to 6 for Sunday. */
export function weekday(day: Day | number): number {
  const n = typeof day === 'number' ? day : dayNumber(day)
  return (((n + 3) % 7) + 7) % 7
}

const names = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday']
const months = [
  'January',
  'February',
  'March',
  'April',
  'May',
  'June',
  'July',
  'August',
  'September',
  'October',
  'November',
  'December',
]

/** A weekday's name by its index, Monday first. */
export function weekdayName(index: number): string {
  return names[index] ?? ''
}

/** A date as people say it: `Thu 26 Nov`, with the year when `today` is over nine months away. */
export function sayDay(day: Day, today?: Day): string {
  const far = today !== undefined && Math.abs(daysBetween(today, day)) > 270
  return `${weekdayName(weekday(day)).slice(0, 3)} ${+day.slice(8, 10)} ${monthName(day).slice(0, 3)}${far ? ` ${day.slice(0, 4)}` : ''}`
}

/** A date in full: `Thursday 26 November`. */
export function sayDayLong(day: Day): string {
  return `${weekdayName(weekday(day))} ${+day.slice(8, 10)} ${monthName(day)}`
}

/** The month's name of a date. */
export function monthName(day: Day): string {
  return months[+day.slice(5, 7) - 1] ?? ''
}

/** How far a date is from today: `today`, `tomorrow`, `16 d`, `3 d ago`. */
export function sayAway(day: Day, today: Day): string {
  const days = daysBetween(today, day)
  if (days === 0) return 'today'
  if (days === 1) return 'tomorrow'
  if (days === -1) return 'yesterday'
  return days > 0 ? `${days} d` : `${-days} d ago`
}
