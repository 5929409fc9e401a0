import type { PictureWords, Proof, Show } from '../records'
import type { Frame } from './frame'
import type { Measured } from './measure'
import { lettersAt, saidTwice, underStamp } from './words'

/**
 * What is pointed out where a show says nothing else. Two pictures that have nothing to do with each other are alike by
 * about a half: half of their differences fall together by chance.
 */
export const usualProof: Proof = { letters: 9, contrast: 4.5, fresh: 0.5, edges: 0.35, like: 0.8 }

/** From when on a show wants things pointed out. */
export function proofOf(show: Pick<Show, 'proof'>): Proof {
  return show.proof ?? usualProof
}

export type Measure = 'letters' | 'contrast' | 'stamp' | 'fresh' | 'edges' | 'like' | 'file'

/** One measure of a picture. */
export interface Finding {
  measure: Measure
  /** `unknown` where the picture's words are not known yet. */
  state: 'passes' | 'fails' | 'unknown'
  /** Its value, a few letters: `8.4:1`. */
  value: string
  /** What is wrong with it, in a few words after the picture's letter, and how to mend it. */
  fault?: { says: string; mend: string }
}

/** All that a picture is judged by. */
export interface Judged {
  frame: Frame
  measured: Measured
  /** The words in it; nothing where they are not known. */
  words: readonly PictureWords[] | undefined
  title: string
  /** The earlier picture that it is most like, by its episode's number; nothing where there is none. */
  like: { number: string; share: number } | undefined
  /** Bytes of its file, and the most that an outlet takes. */
  size: number
  most: number
}

const percent = (share: number) => `${Math.round(share * 100)}%`

/** Every measure of a picture against its limit, in the order in which they are shown. */
export function findingsOf(of: Judged, proof: Proof): Finding[] {
  const { words, frame } = of
  const findings = [
    ...(words === undefined ? wordsUnknown(frame) : wordsMeasured({ ...of, words }, proof)),
    edges(of, proof),
    likeness(of, proof),
    file(of),
  ]
  return findings
}

function wordsUnknown({ stamp }: Frame): Finding[] {
  const rows: Measure[] = ['letters', 'contrast', ...(stamp ? ['stamp' as const] : []), 'fresh']
  return rows.map((measure) => ({ measure, state: 'unknown', value: '?' }))
}

function wordsMeasured(of: Judged & { words: readonly PictureWords[] }, proof: Proof): Finding[] {
  const { words, frame, measured, title } = of
  const height = lettersAt(words, frame)
  if (height === undefined)
    return wordsUnknown(frame).map(({ measure }) => ({ measure, state: 'passes', value: 'no words' }))
  const least = Math.min(...measured.contrasts.map((c) => c ?? 1))
  const under = underStamp(words, frame)
  const { all, repeated } = saidTwice(words, title)
  const found: Finding[] = [
    finding('letters', height >= proof.letters - 0.05, String(Math.round(height)), {
      says: `unreadable ${frame.list.what}`,
      mend: `Make the smallest line ${Math.ceil((proof.letters / height - 1) * 100)} % larger, or say it in fewer words.`,
    }),
    finding('contrast', least >= proof.contrast, `${least.toFixed(1)}:1`, {
      says: 'pale words',
      mend: `Lay “${faintest(words, measured)}” in a lighter or darker colour, or give it an outline.`,
    }),
  ]
  if (frame.stamp)
    found.push(
      finding('stamp', under.length === 0, under.length === 0 ? 'clear' : sayLines(under.length), {
        says: 'words under its length',
        mend: `Move “${under[0]?.text ?? ''}” out of the lower right corner.`,
      }),
    )
  found.push(
    finding(
      'fresh',
      all === 0 || (all - repeated.length) / all >= proof.fresh,
      `${all - repeated.length} of ${all}`,
      {
        says: 'says what the title says',
        mend: `The title has ${repeated.map((w) => `“${w}”`).join(', ')} already: say what it does not.`,
      },
    ),
  )
  return found
}

function finding(
  measure: Measure,
  passes: boolean,
  value: string,
  fault: NonNullable<Finding['fault']>,
): Finding {
  return passes ? { measure, state: 'passes', value } : { measure, state: 'fails', value, fault }
}

function faintest(words: readonly PictureWords[], { contrasts }: Measured): string {
  const least = Math.min(...contrasts.map((c) => c ?? 1))
  return words[contrasts.findIndex((c) => (c ?? 1) === least)]?.text ?? ''
}

const sayLines = (count: number) => `${count} ${count === 1 ? 'line' : 'lines'}`

function edges({ measured }: Judged, proof: Proof): Finding {
  return finding('edges', measured.edges >= proof.edges, percent(measured.edges), {
    says: 'lost when small',
    mend: 'Show one thing, larger: crop closer, or take a calmer ground.',
  })
}

function likeness({ like }: Judged, proof: Proof): Finding {
  return like === undefined
    ? { measure: 'like', state: 'passes', value: 'none yet' }
    : finding('like', like.share < proof.like, `${percent(like.share)} ${like.number}`, {
        says: `looks like ${like.number}`,
        mend: `Change its ground, its colour or where the words stand, so that nobody takes it for ${like.number}.`,
      })
}

function file({ size, most }: Judged): Finding {
  return finding('file', size <= most, sayBytes(size), {
    says: 'too heavy',
    mend: `An outlet takes ${sayBytes(most)}: make it lighter.`,
  })
}

/** A file's size in words: `298 kB`, `2.3 MB`. */
export function sayBytes(bytes: number): string {
  return bytes < 999_500
    ? `${Math.max(1, Math.round(bytes / 1000))} kB`
    : `${(bytes / 1e6).toFixed(bytes < 9.95e6 ? 1 : 0)} MB`
}

/** What a measure is called. */
export function measureName(measure: Measure, frame: Frame, most: number): string {
  switch (measure) {
    case 'letters':
      return `Letters ${frame.list.what}, px`
    case 'contrast':
      return 'Contrast of the words'
    case 'stamp':
      return 'Under the length stamp'
    case 'fresh':
      return 'Words not in the title'
    case 'edges':
      return `Edges left at ${frame.sizes.at(-1)?.w ?? 53} px`
    case 'like':
      return 'Like your last twelve'
    case 'file':
      return `File, of ${sayBytes(most)}`
  }
}
