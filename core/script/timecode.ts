import { fine, refused, type Result } from '../result'

/** Seconds as `m:ss`, or `h:mm:ss` from an hour up; rounded to whole seconds. */
export function sayTime(seconds: number): string {
  const whole = Math.round(seconds)
  const h = Math.floor(whole / 3600)
  const m = Math.floor((whole % 3600) / 60)
  const s = String(whole % 60).padStart(2, '0')
  return h > 0 ? `${h}:${String(m).padStart(2, '0')}:${s}` : `${m}:${s}`
}

/** Minutes of work as people say them: `35 min`, `1 h`, `2 h 10`. */
export function sayMinutes(minutes: number): string {
  const h = Math.floor(minutes / 60)
  const m = Math.round(minutes % 60)
  if (h === 0) return `${m} min`
  return m === 0 ? `${h} h` : `${h} h ${String(m).padStart(2, '0')}`
}

/** Reads `m:ss`, `h:mm:ss`, `1m20`, `1h02m05s`, `9m` or plain seconds into seconds. Refused where it is no time, or seconds or minutes pass 59. */
export function readTime(text: string): Result<number> {
  const given = text.trim().toLowerCase()
  const help = `“${text.trim()}” is not a time. Write minutes and seconds, for example 9:51 or 1:02:05.`
  const colon = /^(?:(\d+):)?(\d{1,3}):(\d{2})$/.exec(given)
  if (colon) {
    const [, h, m, s] = colon
    if (Number(s) > 59 || (h !== undefined && Number(m) > 59)) return refused(help, 'time')
    return fine(Number(h ?? 0) * 3600 + Number(m) * 60 + Number(s))
  }
  const named = /^(?:(\d+)\s*h)?\s*(?:(\d+)\s*m(?:in)?)?\s*(?:(\d{1,2})\s*s?)?$/.exec(given)
  if (named && given !== '' && /[hm]/.test(given))
    return fine(Number(named[1] ?? 0) * 3600 + Number(named[2] ?? 0) * 60 + Number(named[3] ?? 0))
  const bare = /^(\d+)\s*s?$/.exec(given)
  return bare ? fine(Number(bare[1])) : refused(help, 'time')
}
