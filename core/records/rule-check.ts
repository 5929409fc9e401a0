import { z } from 'zod/mini'
import { Day } from './basics'

const freqs = new Set(['DAILY', 'WEEKLY', 'MONTHLY', 'YEARLY'])
const weekday = /^([+-]?(?:[1-9]|[1-4]\d|5[0-3]))?(MO|TU|WE|TH|FR|SA|SU)$/

function inRange(low: number, high: number, signed = false): (value: string) => boolean {
  return (value) => {
    if (!/^[+-]?\d{1,4}$/.test(value)) return false
    const n = Math.abs(Number(value))
    return (signed || !/^[+-]/.test(value)) && n >= low && n <= high
  }
}
const each = (fits: (value: string) => boolean) => (list: string) =>
  list !== '' && list.split(',').every(fits)

/**
 * What each part of a rule may say (RFC 5545, 3.3.10); parts below a day are left out, since a release has
 * one time of day.
 */
const parts: ReadonlyMap<string, (value: string) => boolean> = new Map([
  ['FREQ', (v: string) => freqs.has(v)],
  ['INTERVAL', inRange(1, 520)],
  ['COUNT', inRange(1, 1000)],
  ['UNTIL', (v: string) => /^(19|20|21)\d\d(0[1-9]|1[0-2])(0[1-9]|[12]\d|3[01])(T\d{6}Z?)?$/.test(v)],
  ['BYDAY', each((v) => weekday.test(v))],
  ['BYMONTH', each(inRange(1, 12))],
  ['BYMONTHDAY', each(inRange(1, 31, true))],
  ['BYYEARDAY', each(inRange(1, 366, true))],
  ['BYWEEKNO', each(inRange(1, 53, true))],
  ['BYSETPOS', each(inRange(1, 366, true))],
  ['WKST', (v: string) => /^(MO|TU|WE|TH|FR|SA|SU)$/.test(v)],
])

/**
 * What is wrong with a recurrence rule, in words; nothing where it is valid RFC 5545 and within what a
 * rhythm may be: from daily to yearly, an interval up to 520.
 */
export function ruleFault(rule: string): string | undefined {
  const seen = new Set<string>()
  for (const part of rule.split(';')) {
    const at = part.indexOf('=')
    const [name, value] = [part.slice(0, at), part.slice(at + 1)]
    const fits = at < 0 ? undefined : parts.get(name)
    if (!fits) return `“${part.slice(0, 40)}” means nothing in a rhythm.`
    if (seen.has(name)) return `“${name}” is said twice in the rhythm.`
    seen.add(name)
    if (!fits(value)) return `“${part.slice(0, 40)}” cannot be in a rhythm.`
  }
  return seen.has('FREQ') ? undefined : 'A rhythm needs a recurrence rule that says FREQ=.'
}

/**
 * The first and last date at which a rhythm may begin, so that a date half typed (year 202) sets nothing
 * off.
 */
export const rhythmStarts = { first: '1990-01-01', last: '2199-12-31' } as const

/** A recurrence rule as records keep it. */
export const Rule = z.string().check(
  z.superRefine((rule, at) => {
    const fault = ruleFault(rule)
    if (fault !== undefined) at.addIssue({ code: 'custom', message: fault })
  }),
)

/** The date from which a rule counts. */
export const RhythmStart = Day.check(
  z.refine(
    (day) => day >= rhythmStarts.first && day <= rhythmStarts.last,
    'A rhythm begins between 1990 and 2199. Type the year in four digits.',
  ),
)
