import { ok, refused, type Result } from '../result'

/** Seconds as `m:ss`, or `h:mm:ss` from an hour up; rounded to whole seconds. */
export function sayTime(seconds: number): string {
  const whole = Math.round(seconds)
  const h = Math.floor(whole / 3600)
  const m = Math.floor((whole % 3600) / 60)
  const s = String(whole % 60).padStart(2, '0')
  return h > 0 ? `${h}:${String(m).padStart(2, '0')}:${s}` : `${m}:${s}`
}

/** Minutes of work as people say them: `35 min`, `1 h`, `2 h 05`. */
export function sayMinutes(minutes: number): string {
  const whole = Math.round(minutes)
  const h = Math.floor(whole / 60)
  const m = whole % 60
  if (h === 0) return `${m} min`
  return m === 0 ? `${h} h` : `${h} h ${String(m).padStart(2, '0')}`
}

/**
 * Reads a time into seconds: `m:ss`, `h:mm:ss`, `1m20`, `9 min`, `1h02m05s`, `1h30` and `2 h 10` (hours and
 * minutes), or plain seconds. All that the program writes it reads. Refused where it is no time, or seconds
 * or minutes pass 59 behind something larger.
 */
export function readTime(text: string): Result<number> {
  const given = text.trim().toLowerCase()
  const help = `“${text.trim()}” is not a time. Write minutes and seconds, for example 9:51 or 1:02:05.`
  const sum = (h: string | undefined, m: string | undefined, s: string | undefined): Result<number> => {
    const [hours, minutes, seconds] = [Number(h ?? 0), Number(m ?? 0), Number(s ?? 0)]
    const over = (h !== undefined && minutes > 59) || ((h ?? m) !== undefined && seconds > 59)
    return over ? refused(help, 'time') : ok(hours * 3600 + minutes * 60 + seconds)
  }
  const colon = /^(?:(\d+):)?(\d{1,3}):(\d{2})$/.exec(given)
  if (colon) return sum(colon[1], colon[2], colon[3])
  const minutes = /^(\d+)\s*h\s*(\d{1,2})(?:\s*m(?:in)?)?$/.exec(given)
  if (minutes) return sum(minutes[1], minutes[2], undefined)
  const named = /^(?:(\d+)\s*h)?\s*(?:(\d+)\s*m(?:in)?)?\s*(?:(\d{1,2})\s*s?)?$/.exec(given)
  if (named && given !== '' && /[hm]/.test(given)) return sum(named[1], named[2], named[3])
  const bare = /^(\d+)\s*s?$/.exec(given)
  return bare ? ok(Number(bare[1])) : refused(help, 'time')
}
