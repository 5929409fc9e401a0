import type { ClockTime, Day } from '../records'
import { heldBy } from '../named'
import { addDays } from './days'
import { ok, refused, type Result } from '../result'
import type { RhythmWish } from './rule'

/** What was read from words: the wish, and the time of day where one was given. */
export interface ReadRhythm {
  wish: RhythmWish
  time: ClockTime | undefined
  /** The first day, where one was named. */
  from?: Day
}

const weekdays = ['monday', 'tuesday', 'wednesday', 'thursday', 'friday', 'saturday', 'sunday']
const counts: Readonly<Record<string, number>> = {
  one: 1,
  once: 1,
  two: 2,
  twice: 2,
  second: 2,
  other: 2,
  three: 3,
  third: 3,
  thrice: 3,
  four: 4,
  fourth: 4,
  five: 5,
  fifth: 5,
  six: 6,
  sixth: 6,
  seven: 7,
  seventh: 7,
  eight: 8,
  eighth: 8,
  ten: 10,
  twelve: 12,
}
const nths: Readonly<Record<string, number>> = {
  first: 1,
  '1st': 1,
  second: 2,
  '2nd': 2,
  third: 3,
  '3rd': 3,
  fourth: 4,
  '4th': 4,
  last: -1,
}

function weekdayOf(word: string): number {
  const bare = word.replace(/s$/, '')
  return weekdays.findIndex(
    (d) => d === bare || (bare.length >= 3 && d.startsWith(bare)) || (bare === 'tue' && d === 'tuesday'),
  )
}
const numberOf = (word: string | undefined): number | undefined =>
  word === undefined
    ? undefined
    : /^\d{1,2}$/.test(word)
      ? Number(word)
      : /^\d{1,2}(st|nd|rd|th)$/.test(word)
        ? parseInt(word, 10)
        : heldBy(counts, word)

function timeIn(text: string): { time: ClockTime | undefined; rest: string; fault: string | undefined } {
  const found =
    /(?:\bat\s+)?\b(?:(\d{1,2})[:.h](\d{2})\s*(am|pm)?|(\d{1,2})\s*(am|pm)|(noon)|(midnight))\b/.exec(text) ??
    /\bat\s+(\d{1,2})(?=$|[\s,;])/.exec(text)
  if (!found) return { time: undefined, rest: text, fault: undefined }
  const rest = `${text.slice(0, found.index)} ${text.slice(found.index + found[0].length)}`
  if (found[6] !== undefined) return { time: '12:00', rest, fault: undefined }
  if (found[7] !== undefined) return { time: '00:00', rest, fault: undefined }
  const half = found[3] ?? found[5]
  const hour = Number(found[1] ?? found[4])
  const minute = Number(found[2] ?? 0)
  const whole = half === 'pm' && hour < 12 ? hour + 12 : half === 'am' && hour === 12 ? 0 : hour
  if (whole > 23 || minute > 59 || (half !== undefined && (hour < 1 || hour > 12)))
    return {
      time: undefined,
      rest,
      fault: `“${found[0].trim()}” is not a time of day. Write it as 17:00 or 5 pm.`,
    }
  return {
    time: `${String(whole).padStart(2, '0')}:${String(minute).padStart(2, '0')}`,
    rest,
    fault: undefined,
  }
}

const months = ['jan', 'feb', 'mar', 'apr', 'may', 'jun', 'jul', 'aug', 'sep', 'oct', 'nov', 'dec']

const ordinal = String.raw`(\d{1,2})(?:st|nd|rd|th)?`
const monthWord = '([a-z]{3,9})'
/** Groups: an ISO date; day and month; month and day; a year. */
const startPattern = new RegExp(
  String.raw`,?\s*\b(?:from|starting|beginning)(?: on)?\s+` +
    String.raw`(?:(\d{4}-\d\d-\d\d)|${ordinal}(?: of)? ${monthWord}|${monthWord} ${ordinal})(?:,? (\d{4}))?`,
)

/**
 * The first day that is named in words: `from 9 apr`, `starting April 9`, `from 2027-04-09`; without a year the next such
 * day.
 */
function startIn(
  text: string,
  today: Day,
): { from: Day | undefined; rest: string; fault: string | undefined } {
  const found = startPattern.exec(text)
  if (!found) return { from: undefined, rest: text, fault: undefined }
  const rest = `${text.slice(0, found.index)} ${text.slice(found.index + found[0].length)}`
  const month = months.findIndex((m) => (found[3] ?? found[4])?.startsWith(m)) + 1
  const on = (year: number) =>
    found[1] ?? `${year}-${String(month).padStart(2, '0')}-${String(found[2] ?? found[5]).padStart(2, '0')}`
  const year = Number(found[6] ?? today.slice(0, 4))
  const from = found[6] === undefined && on(year) < today ? on(year + 1) : on(year)
  const isDay = !Number.isNaN(Date.parse(from)) && addDays(from, 0) === from
  return isDay
    ? { from, rest, fault: undefined }
    : { from: undefined, rest, fault: `“${found[0].trim()}” is not a date. Write it like “from 9 April”.` }
}

/**
 * Reads a rhythm from words as people say it: `every Thursday 17:00`, `every second Tuesday`, `first and
 * third Saturday`, `twice a week on Tuesday and Friday`,
 * `every other day`, `weekdays at 7 am`, `every Friday, seasons of 8`, `every Friday from 9 April`. What is not said is left
 * out; `today` tells which year a day without one is of. Refused with what was not understood and an example.
 */
export function readRhythm(words: string, today: Day): Result<ReadRhythm> {
  const begin = startIn(words.toLowerCase(), today)
  if (begin.fault !== undefined) return refused(begin.fault, 'rhythm.start')
  const read = readDays(begin.rest)
  return read.ok && begin.from !== undefined ? ok({ ...read.value, from: begin.from }) : read
}

function readDays(words: string): Result<ReadRhythm> {
  const { time, rest, fault } = timeIn(words)
  if (fault !== undefined) return refused(fault, 'rhythm.time')
  const season =
    /(?:,\s*)?(?:in\s+)?seasons? of (\w+)(?: episodes)?|(?:,\s*)?(\d+) (?:times|episodes)(?! (?:a|per|each|every) )/.exec(
      rest,
    )
  const many =
    numberOf(season?.[1] ?? season?.[2]) ?? (season?.[2] === undefined ? undefined : Number(season[2]))
  if (season && many === undefined)
    return refused(
      `“${season[1] ?? ''}” is no number of episodes. Write it like “seasons of 8”.`,
      'rhythm.season',
    )
  const text = season ? `${rest.slice(0, season.index)} ${rest.slice(season.index + season[0].length)}` : rest
  const ended = many === undefined ? {} : { season: many }
  if ((text.match(/\bevery\b/g) ?? []).length > 1)
    return refused(
      'These are two rhythms. Type the first one here, and add the other as a further rhythm of the show.',
      'rhythm',
    )
  const tokens = text
    .replace(/[,&+/]/g, ' and ')
    .split(/\s+/)
    .filter(
      (t) => t !== '' && !['on', 'the', 'of', 'at', 'a', 'an', 'in', 'each', 'and', 'every'].includes(t),
    )
  const days: number[] = []
  const found: number[] = []
  let every: number | undefined
  let unit: 'day' | 'week' | 'month' | undefined
  let perWeek: number | undefined
  const distance = { twice: false }
  const times = (n: number | undefined) => {
    if (every !== undefined && every !== n) distance.twice = true
    every = n
  }
  const unknown: string[] = []
  tokens.forEach((token, i) => {
    const next = tokens[i + 1] ?? ''
    const day = weekdayOf(token)
    if (day >= 0) days.push(day)
    else if (token === 'weekdays' || token === 'weekday') days.push(0, 1, 2, 3, 4)
    else if (token === 'weekends' || token === 'weekend') days.push(5, 6)
    else if (token === 'daily') unit = 'day'
    else if (token === 'weekly') unit = 'week'
    else if (token === 'fortnightly' || token === 'fortnight') {
      unit = 'week'
      times(2)
    } else if (token === 'monthly') unit = 'month'
    else if (/^(day|week|month)s?$/.test(token))
      unit = token.startsWith('d') ? 'day' : token.startsWith('w') ? 'week' : 'month'
    else if (
      (token === 'twice' || token === 'once' || token === 'thrice' || next === 'times') &&
      (tokens.includes('week') || tokens.includes('weekly'))
    )
      perWeek = numberOf(token)
    else if (token === 'times' && perWeek !== undefined) return
    else if (Object.hasOwn(nths, token) && token !== 'second') found.push(nths[token] ?? 1)
    else if (token === 'second') found.push(2)
    else if (token === 'fifth' || token === '5th') found.push(5)
    else if (
      numberOf(token) !== undefined &&
      (/^(day|week|month)s?$/.test(next) || (!/^\d+$/.test(token) && weekdayOf(next) >= 0))
    )
      times(numberOf(token))
    else unknown.push(token)
  })
  const example =
    'Write it like “every Thursday 17:00”, “every second Tuesday”, “first and third Saturday” or “every other day”.'
  if (unknown.length > 0) return refused(`“${unknown[0] ?? ''}” was not understood. ${example}`, 'rhythm')
  if (distance.twice) return refused(`Two different distances are named. ${example}`, 'rhythm.every')
  // “Tuesday and second Thursday”: the distance is said of one of them alone.
  const [nth] = tokens.flatMap((t, i) =>
    numberOf(t) !== undefined && weekdayOf(tokens[i + 1] ?? '') >= 0 ? [i] : [],
  )
  if (nth !== undefined && tokens.slice(0, nth).some((t) => weekdayOf(t) >= 0))
    return refused(
      `“${tokens[nth] ?? ''} ${tokens[nth + 1] ?? ''}” comes round less often than the day before it. ` +
        'Type one of them here, and add the other as a further rhythm of the show.',
      'rhythm',
    )
  const row = [...new Set(days)].sort((a, b) => a - b)
  if (unit === 'day' && row.length === 0)
    return ok({ wish: { kind: 'day', every: found[0] ?? every ?? 1, ...ended }, time })
  // “Every second Tuesday” is every other week; “first and third Saturday”, “last Friday” and “second
  // Tuesday of the month” are of a month.
  const said = /\bevery\b/.test(text) && !/\bmonth/.test(text)
  const ofMonth =
    found.length > 0 &&
    row.length > 0 &&
    !(said && found.length === 1 && found[0] !== 1 && found[0] !== -1) &&
    unit !== 'week'
  const weekly = /\bevery\b/.test(text) && found.length === 0 && every === undefined
  if (ofMonth || (unit === 'month' && row.length > 0 && !weekly)) {
    if (row.length > 1)
      return refused(
        'Of a month, one weekday can be chosen. For another, add a second rhythm to the show.',
        'rhythm.weekday',
      )
    if (found.length === 0)
      return refused(
        'Say which of the month: “first Saturday of the month”, “last Saturday”, or “every Saturday”.',
        'rhythm.nths',
      )
    if (found.includes(5))
      return refused(
        'Not every month has a fifth one. Write “last” for the last of the month, or first to fourth.',
        'rhythm.nths',
      )
    return ok({
      wish: {
        kind: 'month',
        every: every ?? 1,
        nths: [...new Set(found)],
        weekday: row[0] ?? 3,
        ...ended,
      },
      time,
    })
  }
  if (row.length === 0)
    return perWeek === undefined && unit === undefined
      ? refused(`No weekday was found. ${example}`, 'rhythm.weekdays')
      : refused(
          `Say on which ${perWeek !== undefined && perWeek > 1 ? `${perWeek} days` : 'day'}: for example “${perWeek === 2 ? 'twice a week on Tuesday and Friday' : 'every Thursday'}”.`,
          'rhythm.weekdays',
        )
  if (perWeek !== undefined && perWeek !== row.length)
    return refused(
      `${perWeek} times a week, but ${row.length} ${row.length === 1 ? 'day is' : 'days are'} named. Name as many as it goes out.`,
      'rhythm.weekdays',
    )
  return ok({ wish: { kind: 'week', every: found[0] ?? every ?? 1, weekdays: row, ...ended }, time })
}
