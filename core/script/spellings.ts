import type { Beat } from '../records'
import type { Remark } from './copy-edit'

/** One way a name is spelled: how often, and where first. */
interface Spelling {
  text: string
  count: number
  beat: Beat
  at: number
}

/** Words of one beat that may be names: capitals inside a sentence, and words with a hyphen. */
const named = /(?<=[\p{L}\p{N},;:’'”"—–-]\s+)\p{Lu}[\p{L}’'-]{3,}|\p{L}{3,}-\p{L}{3,}/gu

const byBeat = new WeakMap<Beat, { text: string; at: number }[]>()

function namesIn(beat: Beat): { text: string; at: number }[] {
  let found = byBeat.get(beat)
  if (!found) {
    found = [...beat.text.matchAll(named)].map((m) => ({ text: m[0].replace(/[’']s$/u, ''), at: m.index }))
    byBeat.set(beat, found)
  }
  return found
}

/** Whether two words differ by one letter: another, one more, one less, or two turned round. */
export function isOneOff(a: string, b: string): boolean {
  if (a === b || Math.abs(a.length - b.length) > 1) return false
  let start = 0
  while (start < a.length && a[start] === b[start]) start++
  let end = 0
  while (end < Math.min(a.length, b.length) - start && a.at(-1 - end) === b.at(-1 - end)) end++
  const [left, right] = [a.slice(start, a.length - end), b.slice(start, b.length - end)]
  return (
    (left.length <= 1 && right.length <= 1) ||
    (left.length === 2 && right.length === 2 && left === [...right].reverse().join(''))
  )
}

/** Letters of a name alone: “draw-knife” and “drawknife” have the same. */
const lettersOf = (name: string) => name.toLowerCase().replace(/[^\p{L}]/gu, '')
/** A plural or a genitive is no other spelling. */
const isInflected = (a: string, b: string) => a === `${b}s` || b === `${a}s`

/**
 * Names spelled two ways in a script: a hyphen more or less, or one letter off in words of five letters and more. The
 * rarer spelling is remarked, where it stands first.
 */
export function spellings(beats: readonly Beat[]): Remark[] {
  const all = new Map<string, Spelling>()
  for (const beat of beats)
    for (const { text, at } of namesIn(beat)) {
      const known = all.get(text)
      if (known) known.count++
      else all.set(text, { text, count: 1, beat, at })
    }
  const list = [...all.values()].sort((a, b) => b.count - a.count)
  const remarked = new Set<string>()
  return list.flatMap((often, i) =>
    list.slice(i + 1).flatMap((rare): Remark[] => {
      const [a, b] = [lettersOf(often.text), lettersOf(rare.text)]
      const isSame = a === b && often.text.toLowerCase() !== rare.text.toLowerCase()
      const isClose = a !== b && Math.min(a.length, b.length) >= 5 && isOneOff(a, b) && !isInflected(a, b)
      if (remarked.has(rare.text) || (!isSame && !isClose)) return []
      remarked.add(rare.text)
      return [
        {
          kind: 'spelling',
          key: `spelling ${often.text} ${rare.text}`,
          beat: rare.beat.id,
          from: rare.at,
          to: rare.at + rare.text.length,
          says: `“${rare.text}” here, “${often.text}” elsewhere`,
        },
      ]
    }),
  )
}
