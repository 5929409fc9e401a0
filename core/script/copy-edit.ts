import type { Beat, Delivery, Id, Script } from '../records'
import { plainWords } from '../ideas/words'
import { hardRuns } from './hard-words'
import { spellings } from './spellings'
import { spokenIn } from './spoken'
import { countWords } from './timing'

/** Something that a machine can see in a script, about words of one beat. */
export interface Remark {
  kind: 'long' | 'opening' | 'spelling' | 'hard'
  /** What it is known by, so that it can be dismissed for good: it changes when the words do. */
  key: string
  beat: Id
  /** The words, as offsets into the beat's text. */
  from: number
  to: number
  /** What is remarked, in one sentence. */
  says: string
}

/** Words that one sentence to camera may have at the most (breath and memory); voice-over is read. */
export const longSentence = 30

/** One sentence of a beat. */
interface Sentence {
  beat: Id
  delivery: Delivery
  from: number
  to: number
  text: string
}

const sentencePattern = /[^.!?…\n]+(?:[.!?…]+["'”’)»]*|$|(?=\n))/gu

function sentencesOf(beat: Beat): Sentence[] {
  return [...beat.text.matchAll(sentencePattern)].flatMap((m) => {
    const text = m[0].trim()
    if (!/[\p{L}\p{N}]/u.test(text)) return []
    const from = m.index + m[0].indexOf(text)
    return [{ beat: beat.id, delivery: beat.delivery, from, to: from + text.length, text }]
  })
}

/** Remarks on one beat by itself; kept by beat, because all but one of a script are as they were at the last letter. */
const byBeat = new WeakMap<Beat, { sentences: Sentence[]; remarks: Remark[] }>()

function ofBeat(beat: Beat): { sentences: Sentence[]; remarks: Remark[] } {
  let found = byBeat.get(beat)
  if (!found) {
    const sentences = sentencesOf(beat)
    found = { sentences, remarks: [...longOnes(sentences), ...hardOnes(beat)] }
    byBeat.set(beat, found)
  }
  return found
}

function longOnes(sentences: readonly Sentence[]): Remark[] {
  return sentences.flatMap(({ beat, delivery, from, to, text }) => {
    const words = delivery === 'camera' ? countWords(text) : 0
    return words > longSentence
      ? [
          {
            kind: 'long',
            key: `long ${text}`,
            beat,
            from,
            to,
            says: `${words} words in one sentence to camera`,
          },
        ]
      : []
  })
}

function hardOnes(beat: Beat): Remark[] {
  return hardRuns(beat.text).map(({ from, to }) => {
    const words = beat.text.slice(from, to)
    return {
      kind: 'hard',
      key: `hard ${words.toLowerCase()}`,
      beat: beat.id,
      from,
      to,
      says: 'Hard to say in a row',
    }
  })
}

/** How many sentences in a row may begin with the same word. */
const sameOpenings = 2

function openings(sentences: readonly Sentence[]): Remark[] {
  const remarks: Remark[] = []
  let run: Sentence[] = []
  const close = () => {
    const [first, third] = [run[0], run[sameOpenings]]
    if (first && third) {
      const word = /[\p{L}\p{N}’']+/u.exec(third.text)?.[0] ?? ''
      remarks.push({
        kind: 'opening',
        key: `opening ${run.map((s) => s.text.slice(0, 24)).join('|')}`,
        beat: third.beat,
        from: third.from,
        to: third.from + third.text.indexOf(word) + word.length,
        says: `${run.length} sentences in a row begin with “${word}”`,
      })
    }
    run = []
  }
  let opening = ''
  for (const sentence of sentences) {
    const word = plainWords(sentence.text)[0] ?? ''
    if (word !== opening) close()
    opening = word
    run.push(sentence)
  }
  close()
  return remarks
}

/**
 * What a machine sees in a script that is spoken in full words: sentences to camera of more than 30 words, three
 * sentences in a row with the same opening, names spelled two ways, words hard to say in a row; without those that
 * were dismissed. In the order of the script. Linear in its text but for names, of which there are few.
 */
export function remarksOn(script: Script | undefined): Remark[] {
  const dismissed = new Set(script?.dismissed)
  const beats = (script?.sections ?? []).flatMap((s) => (spokenIn(script, s) === 'words' ? s.beats : []))
  const order = new Map(beats.map((b, i) => [b.id, i]))
  const each = beats.map(ofBeat)
  return [
    ...each.flatMap((b) => b.remarks),
    ...openings(each.flatMap((b) => b.sentences)),
    ...spellings(beats),
  ]
    .filter((r) => !dismissed.has(r.key))
    .sort((a, b) => (order.get(a.beat) ?? 0) - (order.get(b.beat) ?? 0) || a.from - b.from)
}

/** Whether a script says a keyword: its words one behind the other, in any case; and in which beat first. */
export function saysKeyword(script: Script | undefined, keyword: string): Id | undefined {
  const wanted = ` ${plainWords(keyword).join(' ')} `
  if (wanted.trim() === '') return undefined
  for (const section of script?.sections ?? [])
    for (const beat of section.beats)
      if (` ${plainWords(beat.text).join(' ')} `.includes(wanted)) return beat.id
  return undefined
}

/** A section against how it stood at a moment. */
export interface SectionChange {
  id: Id
  title: string
  kind: 'new' | 'changed' | 'moved' | 'removed'
}

/** A section's words, to hold them against later ones. */
export function sectionText(section: Pick<Script['sections'][number], 'beats'>): string {
  return section.beats.map((b) => b.text.trim()).join('\n')
}

/** What changed by section since a script went to copy-edit; nothing where it never did. */
export function changedSince(script: Script | undefined): SectionChange[] {
  const then = script?.then?.sections
  if (!script || !then) return []
  const was = new Map(then.map((s, i) => [s.id, { ...s, i }]))
  const stay = new Set(script.sections.map((s) => s.id))
  // What only shifted because others came or went before it did not move.
  const kept = then.filter((s) => stay.has(s.id)).map((s) => s.id)
  let place = 0
  const now = script.sections.flatMap((s): SectionChange[] => {
    const before = was.get(s.id)
    if (!before) return [{ id: s.id, title: s.title, kind: 'new' }]
    const isMoved = kept[place++] !== s.id
    if (before.text !== sectionText(s) || before.title !== s.title)
      return [{ id: s.id, title: s.title, kind: 'changed' }]
    return isMoved ? [{ id: s.id, title: s.title, kind: 'moved' }] : []
  })
  const gone = then.filter((s) => !stay.has(s.id))
  return [...now, ...gone.map(({ id, title }): SectionChange => ({ id, title, kind: 'removed' }))]
}
