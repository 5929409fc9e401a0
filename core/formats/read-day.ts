import { Day } from '../records'

const months = ['jan', 'feb', 'mar', 'apr', 'may', 'jun', 'jul', 'aug', 'sep', 'oct', 'nov', 'dec']
const two = (n: number | string) => String(n).padStart(2, '0')

/**
 * A date as tables write it: `2026-11-24`, `2026-11-24T17:00:00Z`, `24.11.2026`, `24/11/2026`, `24 Nov 2026`,
 * `Nov 24, 2026`, or a mail's `Tue, 24 Nov 2026 17:00:00 GMT`. Day before month where both could be. Nothing for anything
 * else, and for days that no calendar has.
 */
export function readDay(text: string): string | undefined {
  const clean = text.trim()
  const whole = /^(\d{4})[-/.](\d{1,2})[-/.](\d{1,2})(?:[T ].*)?$/.exec(clean)
  if (whole) return dated(whole[1], whole[2], whole[3])
  const short = /^(\d{1,2})[./-](\d{1,2})[./-](\d{4})(?:[T ,].*)?$/.exec(clean)
  if (short) {
    const [, a = '', b = '', year] = short
    // Only one of them can be the month: 11/24 is none otherwise.
    return Number(b) > 12 ? dated(year, a, b) : dated(year, b, a)
  }
  const worded =
    /^(?:[a-z]{3,9},?\s+)?(\d{1,2})\.?\s+([a-z]{3})[a-z]*\.?,?\s+(\d{4})\b/i.exec(clean) ??
    /^(?:[a-z]{3,9},?\s+)?()([a-z]{3})[a-z]*\.?\s+(\d{1,2}),?\s+(\d{4})\b/i.exec(clean)
  if (!worded) return undefined
  const month = months.indexOf((worded[2] ?? '').toLowerCase()) + 1
  if (month === 0) return undefined
  return worded[1] === '' ? dated(worded[4], month, worded[3]) : dated(worded[3], month, worded[1])
}

function dated(
  year: string | undefined,
  month: string | number | undefined,
  day: string | undefined,
): string | undefined {
  const text = `${year ?? ''}-${two(month ?? '')}-${two(day ?? '')}`
  return Day.safeParse(text).success ? text : undefined
}
