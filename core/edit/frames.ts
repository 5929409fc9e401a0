import { FrameRate } from '../records'
import { ok, refused, type Result } from '../result'
import { readTime } from '../script/timecode'

/** Pictures a second as a fraction, how many numbers a second counts, and how many each minute leaves out (SMPTE ST 12). */
const rates: Readonly<Record<FrameRate, { over: number; under: number; count: number; drop: number }>> = {
  '23.976': { over: 24_000, under: 1001, count: 24, drop: 0 },
  '24': { over: 24, under: 1, count: 24, drop: 0 },
  '25': { over: 25, under: 1, count: 25, drop: 0 },
  '29.97': { over: 30_000, under: 1001, count: 30, drop: 0 },
  '29.97 drop': { over: 30_000, under: 1001, count: 30, drop: 2 },
  '30': { over: 30, under: 1, count: 30, drop: 0 },
  '50': { over: 50, under: 1, count: 50, drop: 0 },
  '59.94': { over: 60_000, under: 1001, count: 60, drop: 0 },
}

/** What a show counts in where nothing is said. */
export const usualRate: FrameRate = '25'

/** How they are called, with what is counted. */
export const frameRates = FrameRate.options

/** The moment at which a frame begins, seconds. */
export function secondsAt(frame: number, rate: FrameRate): number {
  const { over, under } = rates[rate]
  return (frame * under) / over
}

/** The frame that is seen at a moment; a moment within a ten-thousandth before its begin counts as its begin. */
export function frameAt(seconds: number, rate: FrameRate): number {
  const { over, under } = rates[rate]
  return Math.floor((seconds * over) / under + 1e-4)
}

const two = (n: number) => String(n).padStart(2, '0')

/** A frame's number as `hh:mm:ss:ff`; with drop-frame counting `hh:mm:ss;ff`. */
export function timecode(frame: number, rate: FrameRate): string {
  const { count, drop } = rates[rate]
  const inTen = count * 600 - drop * 9
  const inOne = count * 60 - drop
  const rest = frame % inTen
  // Each minute leaves numbers out but every tenth.
  const minutes = rest < count * 60 ? 0 : Math.floor((rest - count * 60) / inOne) + 1
  const number = frame + drop * (9 * Math.floor(frame / inTen) + minutes)
  const whole = Math.floor(number / count)
  const clock = [Math.floor(whole / 3600), Math.floor(whole / 60) % 60, whole % 60].map(two).join(':')
  return `${clock}${drop > 0 ? ';' : ':'}${two(number % count)}`
}

/**
 * The frame of a timecode `hh:mm:ss:ff`, with `;` or `.` before the frames too.
 *
 * Refused where it is no timecode, where a figure is past its most, or where drop-frame counting leaves its number out.
 */
export function frameOf(text: string, rate: FrameRate): Result<number> {
  const { count, drop } = rates[rate]
  const found = /^(\d{1,3}):(\d{2}):(\d{2})[:;.](\d{2})$/.exec(text.trim())
  if (!found) return refused(`“${text.trim()}” is not a timecode. Write 00:02:14:08.`, 'time')
  const [h = 0, m = 0, s = 0, f = 0] = found.slice(1).map(Number)
  if (m > 59 || s > 59 || f >= count)
    return refused(
      `“${text.trim()}” cannot be: minutes and seconds go to 59, frames to ${count - 1} at ${rate}.`,
      'time',
    )
  if (s === 0 && f < drop && m % 10 !== 0)
    return refused(`“${text.trim()}” is a number that drop-frame counting leaves out.`, 'time')
  const minutes = h * 60 + m
  return ok((minutes * 60 + s) * count + f - drop * (minutes - Math.floor(minutes / 10)))
}

/** Reads a moment of a cut into seconds: a timecode with frames, or a time as people write it (`2:14`, `1m20`). */
export function readMoment(text: string, rate: FrameRate): Result<number> {
  if (!/^\s*\d+:\d+:\d+[:;.]\d/.test(text)) return readTime(text)
  const frame = frameOf(text, rate)
  return frame.ok ? ok(secondsAt(frame.value, rate)) : frame
}
