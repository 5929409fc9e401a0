import { RRule, type Weekday } from 'rrule'
import type { Day, Rhythm } from '../model'
import { fine, refused, type Result } from '../result'
import { dayNumber, weekdayName } from './days'

/** A rhythm as people choose it. Weekdays are 0 for Monday to 6 for Sunday. */
export type RhythmWish = { each: 'week'; every: number; weekdays: number[] } | { each: 'day'; every: number }

const codes = ['MO', 'TU', 'WE', 'TH', 'FR', 'SA', 'SU']

/** The RFC 5545 rule for a wish. Refused without a weekday, or with an interval outside 1 to 52. */
export function ruleOf(wish: RhythmWish): Result<string> {
  if (!Number.isInteger(wish.every) || wish.every < 1 || wish.every > 52) return refused('A rhythm repeats after 1 to 52 weeks or days. Type a whole number in that range.', 'rhythm.every')
  if (wish.each === 'day') return fine(`FREQ=DAILY;INTERVAL=${wish.every}`)
  const days = [...new Set(wish.weekdays)].filter((d) => d >= 0 && d < 7).sort((a, b) => a - b)
  if (days.length === 0) return refused('Choose at least one weekday on which it goes out.', 'rhythm.weekdays')
  return fine(`FREQ=WEEKLY;INTERVAL=${wish.every};BYDAY=${days.map((d) => codes[d]).join(',')}`)
}

/** The wish behind a rule, or nothing where the rule says more than a wish can. */
export function wishOf(rule: string): RhythmWish | undefined {
  const fields = new Map(rule.split(';').map((f) => [f.slice(0, f.indexOf('=')), f.slice(f.indexOf('=') + 1)]))
  const every = Number(fields.get('INTERVAL') ?? 1)
  const known = new Set(['FREQ', 'INTERVAL', 'BYDAY'])
  if ([...fields.keys()].some((k) => !known.has(k))) return undefined
  if (fields.get('FREQ') === 'DAILY') return { each: 'day', every }
  if (fields.get('FREQ') !== 'WEEKLY') return undefined
  const weekdays = (fields.get('BYDAY') ?? '').split(',').map((c) => codes.indexOf(c))
  return weekdays.includes(-1) ? undefined : { each: 'week', every, weekdays }
}

const ordinals = ['', 'every', 'every second', 'every third', 'every fourth', 'every fifth', 'every sixth', 'every seventh', 'every eighth']

/** A rhythm in words: `every second Tuesday, 06:30`. */
export function sayRhythm(rhythm: Rhythm): string {
  const wish = wishOf(rhythm.rule)
  if (!wish) return `${new RRule(RRule.parseString(rhythm.rule)).toText()}, ${rhythm.time}`
  if (wish.each === 'day') return `${wish.every === 1 ? 'every day' : wish.every === 2 ? 'every other day' : `every ${wish.every} days`}, ${rhythm.time}`
  const days = wish.weekdays.map(weekdayName)
  const list = days.length > 1 ? `${days.slice(0, -1).join(', ')} and ${days.at(-1) ?? ''}` : (days[0] ?? '')
  return `${ordinals[wish.every] ?? `every ${wish.every} weeks on a`} ${list}, ${rhythm.time}`
}

/**
 * The local dates that a rhythm yields from one date to another, both included, rising.
 * `rrule` runs in its floating mode: its UTC dates stand for local ones, so no clock change touches them.
 */
export function datesOf(rhythm: Rhythm, from: Day, to: Day): Day[] {
  const options = RRule.parseString(rhythm.rule)
  const rule = new RRule({ ...options, dtstart: utc(rhythm.start), wkst: weekStart(options.wkst) })
  return rule.between(utc(from), utc(to), true).map((d) => d.toISOString().slice(0, 10))
}

function utc(day: Day): Date {
  return new Date(dayNumber(day) * 86_400_000)
}

function weekStart(given: number | Weekday | string | null | undefined): number | Weekday {
  return typeof given === 'number' || (typeof given === 'object' && given !== null) ? given : RRule.MO
}
