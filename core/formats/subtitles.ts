import type { Caption } from '../records'
import { ok, refused, type Result } from '../result'
import type { LineFault } from '../edit/notes'

const two = (n: number) => String(n).padStart(2, '0')
function clock(seconds: number, mark: ',' | '.'): string {
  const ms = Math.round(seconds * 1000)
  const [h, m, s] = [Math.floor(ms / 3_600_000), Math.floor(ms / 60_000) % 60, Math.floor(ms / 1000) % 60]
  return `${two(h)}:${two(m)}:${two(s)}${mark}${String(ms % 1000).padStart(3, '0')}`
}
/** Lines without empty ones, which would end a caption. */
const lines = (text: string) =>
  text
    .split('\n')
    .map((l) => l.trim())
    .filter(Boolean)
    .join('\n')

/** Captions as SubRip. */
export function writeSrt(captions: readonly Caption[]): string {
  return captions
    .map((c, i) => `${i + 1}\n${clock(c.from, ',')} --> ${clock(c.to, ',')}\n${lines(c.text)}\n`)
    .join('\n')
}

/** Captions as WebVTT; what would be markup is escaped. */
export function writeVtt(captions: readonly Caption[]): string {
  const safe = (text: string) => text.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('>', '&gt;')
  const cues = captions.map((c) => `${clock(c.from, '.')} --> ${clock(c.to, '.')}\n${safe(lines(c.text))}\n`)
  return `WEBVTT\n\n${cues.join('\n')}`
}

/** Captions as plain text: a paragraph where somebody pauses. */
export function writeSpoken(captions: readonly Caption[]): string {
  const pause = 1.5
  const words = captions.map((c, i) => {
    const before = captions[i - 1]
    return `${before === undefined ? '' : c.from - before.to > pause ? '\n\n' : ' '}${lines(c.text).replaceAll('\n', ' ')}`
  })
  return `${words.join('')}\n`
}

const arrow = /^\s*((?:\d+:)?\d{1,2}:\d{2}[,.]\d{1,3})\s*-->\s*((?:\d+:)?\d{1,2}:\d{2}[,.]\d{1,3})(?:\s.*)?$/

function secondsOf(text: string): number {
  const [, h = '0', m = '0', s = '0', part = '0'] =
    /^(?:(\d+):)?(\d{1,2}):(\d{2})[,.](\d{1,3})$/.exec(text) ?? []
  return (Number(h) * 3_600_000 + Number(m) * 60_000 + Number(s) * 1000 + Number(part.padEnd(3, '0'))) / 1000
}

const entities: Readonly<Record<string, string>> = {
  '&amp;': '&',
  '&lt;': '<',
  '&gt;': '>',
  '&nbsp;': ' ',
  '&lrm;': '',
  '&rlm;': '',
}
/** The words of a line without tags of voice, colour or place. */
const plain = (line: string) =>
  line
    .replace(/<\/?[a-z0-9][^>]*>/gi, '')
    .replace(/\{\\[^}]*\}/g, '')
    .replace(/&(?:amp|lt|gt|nbsp|lrm|rlm);/g, (e) => entities[e] ?? e)
    .trim()

/**
 * Reads SubRip or WebVTT, told by what stands in it. Notes, styles and numbers are passed over; a line with an arrow
 * whose times cannot be read is said.
 */
export function readSubtitles(text: string): Result<{ captions: Caption[]; faults: LineFault[] }> {
  const all = text.replace(/^\uFEFF/, '').split(/\r\n|\r|\n/)
  const captions: Caption[] = []
  const faults: LineFault[] = []
  for (let i = 0; i < all.length; i++) {
    const line = all[i] ?? ''
    if (!line.includes('-->')) continue
    const [, from, to] = arrow.exec(line) ?? []
    if (from === undefined || to === undefined) {
      faults.push({
        line: i + 1,
        sentence: `“${line.trim()}” has no two times. Write 00:00:01,000 --> 00:00:03,500.`,
      })
      continue
    }
    const words: string[] = []
    while (i + 1 < all.length && (all[i + 1] ?? '').trim() !== '' && !(all[i + 1] ?? '').includes('-->')) {
      i++
      words.push(plain(all[i] ?? ''))
    }
    captions.push({ from: secondsOf(from), to: secondsOf(to), text: words.filter(Boolean).join('\n') })
  }
  if (captions.length === 0)
    return refused('There is no subtitle in it: SubRip (.srt) and WebVTT (.vtt) are read.', 'file')
  return ok({ captions: captions.toSorted((a, b) => a.from - b.from || a.to - b.to), faults })
}
