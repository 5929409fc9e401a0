import { RRule, type Weekday } from 'rrule'
import { ruleFault, rhythmStarts, type Day, type Rhythm } from '../records'
import { ok, refused, type Result } from '../result'
import { dateOf, dayNumber, dayOf, weekdayName } from './days'

/** A rhythm as people choose it. Weekdays are 0 for Monday to 6 for Sunday. */
export type RhythmWish = (
  | { kind: 'week'; every: number; weekdays: number[] }
  | { kind: 'day'; every: number }
  | { kind: 'month'; every: number; nths: number[]; weekday: number }
) & {
  /** So many releases make a season; then the rhythm ends. */
  season?: number
}

const codes = ['MO', 'TU', 'WE', 'TH', 'FR', 'SA', 'SU']

/** The RFC 5545 rule for a wish. Refused without a weekday, or with an interval outside 1 to 52. */
export function ruleOf(wish: RhythmWish): Result<string> {
  if (!Number.isInteger(wish.every) || wish.every < 1 || wish.every > 52)
    return refused(
      'A rhythm repeats after 1 to 52 weeks or days. Type a whole number in that range.',
      'rhythm.every',
    )
  if (wish.season !== undefined && (!Number.isInteger(wish.season) || wish.season < 1 || wish.season > 1000))
    return refused(
      'A season has 1 to 1,000 episodes. Type a whole number, or leave it empty.',
      'rhythm.season',
    )
  const season = wish.season === undefined ? '' : `;COUNT=${wish.season}`
  if (wish.kind === 'day') return ok(`FREQ=DAILY;INTERVAL=${wish.every}${season}`)
  if (wish.kind === 'month') {
    const nths = [...new Set(wish.nths)]
      .filter((n) => n === -1 || (n >= 1 && n <= 4))
      .sort((a, b) => (a === -1 ? 9 : a) - (b === -1 ? 9 : b))
    if (nths.length === 0)
      return refused(
        'Choose which of the month: the first, the second, the third, the fourth or the last.',
        'rhythm.nths',
      )
    return ok(
      `FREQ=MONTHLY;INTERVAL=${wish.every};BYDAY=${nths.map((n) => `${n}${codes[wish.weekday] ?? 'TH'}`).join(',')}${season}`,
    )
  }
  const days = [...new Set(wish.weekdays)].filter((d) => d >= 0 && d < 7).sort((a, b) => a - b)
  if (days.length === 0)
    return refused('Choose at least one weekday on which it goes out.', 'rhythm.weekdays')
  return ok(`FREQ=WEEKLY;INTERVAL=${wish.every};BYDAY=${days.map((d) => codes[d]).join(',')}${season}`)
}

/** The wish behind a rule, or nothing where the rule says more than a wish can. */
export function wishOf(rule: string): RhythmWish | undefined {
  const fields = new Map(
    rule.split(';').map((f) => [f.slice(0, f.indexOf('=')), f.slice(f.indexOf('=') + 1)]),
  )
  const every = Number(fields.get('INTERVAL') ?? 1)
  const known = new Set(['FREQ', 'INTERVAL', 'BYDAY', 'COUNT'])
  if ([...fields.keys()].some((k) => !known.has(k))) return undefined
  const count = fields.get('COUNT')
  const season = count === undefined ? {} : { season: Number(count) }
  if (fields.get('FREQ') === 'DAILY') return { kind: 'day', every, ...season }
  if (fields.get('FREQ') === 'MONTHLY') {
    const days = (fields.get('BYDAY') ?? '').split(',').map((c) => /^(-?\d)([A-Z]{2})$/.exec(c))
    const weekday = codes.indexOf(days[0]?.[2] ?? '')
    return weekday < 0 || days.some((d) => d?.[2] !== codes[weekday])
      ? undefined
      : { kind: 'month', every, nths: days.map((d) => Number(d?.[1])), weekday, ...season }
  }
  if (fields.get('FREQ') !== 'WEEKLY') return undefined
  const weekdays = (fields.get('BYDAY') ?? '').split(',').map((c) => codes.indexOf(c))
  return weekdays.includes(-1) ? undefined : { kind: 'week', every, weekdays, ...season }
}

const ordinals = [
  '',
  'every',
  'every second',
  'every third',
  'every fourth',
  'every fifth',
  'every sixth',
  'every seventh',
  'every eighth',
]

const nthNames: Readonly<Record<number, string>> = {
  1: 'first',
  2: 'second',
  3: 'third',
  4: 'fourth',
  [-1]: 'last',
}

function listed(words: readonly string[]): string {
  return words.length > 1 ? `${words.slice(0, -1).join(', ')} and ${words.at(-1) ?? ''}` : (words[0] ?? '')
}

/** A rhythm in words: `every second Tuesday, 06:30`, with its season. */
export function sayRhythm(rhythm: Rhythm): string {
  const wish = wishOf(rhythm.rule)
  if (!wish) {
    const often = /FREQ=([A-Z]+)/.exec(rhythm.rule)?.[1]?.toLowerCase() ?? ''
    return `${often} by a rule of its own, ${rhythm.time}`.trimStart()
  }
  const season = wish.season === undefined ? '' : `, ${wish.season} times`
  return [
    `${saidWish(wish)}, ${rhythm.time}${season}`,
    ...(rhythm.also ?? []).map((b) => sayRhythm({ rule: b.rule, start: b.start, time: b.time })),
  ].join(', and ')
}

function saidWish(wish: RhythmWish): string {
  switch (wish.kind) {
    case 'day':
      return wish.every === 1
        ? 'every day'
        : wish.every === 2
          ? 'every other day'
          : `every ${wish.every} days`
    case 'month':
      return `${listed(wish.nths.map((n) => nthNames[n] ?? ''))} ${weekdayName(wish.weekday)} of ${wish.every === 1 ? 'the month' : `every ${wish.every} months`}`
    case 'week':
      return `${ordinals[wish.every] ?? `every ${wish.every} weeks on a`} ${listed(wish.weekdays.map(weekdayName))}`
  }
}

/**
 * The local dates that a rhythm yields from one date to another, both included, rising.
 * `rrule` runs in its floating mode: its UTC dates stand for local ones, so no clock change touches them.
 */
export function datesOf(rhythm: Rhythm, from: Day, to: Day): Day[] {
  const parts = partsOf(rhythm)
  const dates = parts.flatMap((part, i) => {
    const next = parts[i + 1]
    const last = next ? dayOf(dayNumber(next.start) - 1) : to
    return datesOfRule(part, from, last < to ? last : to)
  })
  const { pauses, also } = rhythm
  const all =
    also === undefined || also.length === 0
      ? dates
      : [...new Set([...dates, ...also.flatMap((beat) => datesOfRule(beat, from, to))])].sort()
  return pausedOut(all, pauses)
}

function pausedOut(dates: Day[], pauses: Rhythm['pauses']): Day[] {
  return pauses === undefined || pauses.length === 0
    ? dates
    : dates.filter((d) => !pauses.some((p) => p.from <= d && d <= p.to))
}

type Beat = Pick<Rhythm, 'rule' | 'start' | 'time'>

/** A rhythm's parts, one after another: what held earlier, then what holds now. */
function partsOf(rhythm: Rhythm): Beat[] {
  return [...(rhythm.earlier ?? []), rhythm].sort((a, b) => (a.start < b.start ? -1 : 1))
}

/**
 * The time of day at which a rhythm goes out on a date. Where two rhythms of a show meet on a date it is
 * one slot, at the first one's time.
 */
export function timeOn(rhythm: Rhythm, day: Day): string {
  return (
    extraRhythmOn(rhythm, day)?.time ?? partsOf(rhythm).findLast((p) => p.start <= day)?.time ?? rhythm.time
  )
}

/**
 * The further rhythm of a show that yields a date which the main one does not; nothing where the main one
 * does.
 */
export function extraRhythmOn(rhythm: Rhythm, day: Day): NonNullable<Rhythm['also']>[number] | undefined {
  if (rhythm.also === undefined || rhythm.also.length === 0) return undefined
  const known = beats.get(rhythm) ?? new Map<Day, NonNullable<Rhythm['also']>[number] | undefined>()
  if (!beats.has(rhythm)) beats.set(rhythm, known)
  if (!known.has(day)) {
    const main = datesOf({ ...rhythm, also: undefined, pauses: undefined }, day, day).length > 0
    known.set(day, main ? undefined : rhythm.also.find((b) => datesOfRule(b, day, day).length > 0))
  }
  return known.get(day)
}

/** Which beat yields which date, by rhythm record: a changed rhythm is another record. */
const beats = new WeakMap<Rhythm, Map<Day, NonNullable<Rhythm['also']>[number] | undefined>>()

function datesOfRule(rhythm: Beat, from: Day, to: Day): Day[] {
  // What is being typed may be no rule yet, or begin in the year 202.
  if (to < from || ruleFault(rhythm.rule) !== undefined) return []
  if (rhythm.start < rhythmStarts.first || rhythm.start > rhythmStarts.last) return []
  const options = RRule.parseString(rhythm.rule)
  const rule = new RRule({ ...options, dtstart: utc(rhythm.start), wkst: weekStart(options.wkst) })
  return rule.between(utc(from), utc(to), true).map(dateOf)
}

function utc(day: Day): Date {
  return new Date(dayNumber(day) * 86_400_000)
}

function weekStart(given: number | Weekday | string | null | undefined): number | Weekday {
  return typeof given === 'number' || (typeof given === 'object' && given !== null) ? given : RRule.MO
}
