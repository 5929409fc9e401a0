import type { Id } from '../records'
import { termsOf } from './words'

/** A text whose show and topics are known. */
export interface Placed {
  show: Id
  topics: readonly string[]
  text: string
}

/**
 * What fits a line: shows, and topics with their show, likeliest first; `sure` is the posterior share, 0 to
 * 1.
 */
export interface Guess {
  shows: { show: Id; sure: number }[]
  topics: { show: Id; topic: string; sure: number }[]
}

interface Tally {
  texts: number
  words: number
  counts: Map<string, number>
}

/**
 * Learns from the words used before which show and topic a line belongs to: multinomial naive Bayes with
 * add-one smoothing.
 */
export class Guesser {
  private readonly shows = new Map<Id, Tally>()
  private readonly topics = new Map<string, Tally>()
  private readonly vocabulary = new Set<string>()

  learn(placed: Placed): void {
    const terms = termsOf(placed.text)
    for (const term of terms) this.vocabulary.add(term)
    add(this.shows, placed.show, terms)
    for (const topic of placed.topics) add(this.topics, `${placed.show}\n${topic}`, terms)
  }

  /** Guesses for a line. Nothing of a line without a word that was ever used. */
  guess(line: string): Guess {
    const terms = termsOf(line).filter((t) => this.vocabulary.has(t))
    if (terms.length === 0) return { shows: [], topics: [] }
    const topics = [...this.topics].filter(([, tally]) => terms.some((t) => tally.counts.has(t)))
    return {
      shows: this.posterior([...this.shows], terms).map(([show, sure]) => ({ show, sure })),
      topics: this.posterior(topics, terms)
        .map(([key, sure]) => ({
          show: key.slice(0, key.indexOf('\n')),
          topic: key.slice(key.indexOf('\n') + 1),
          sure,
        }))
        .slice(0, 4),
    }
  }

  private posterior(tallies: [string, Tally][], terms: readonly string[]): [string, number][] {
    const logs = tallies.map(([key, tally]): [string, number] => {
      let log = Math.log(1 + tally.texts) * 0.5
      for (const t of terms)
        log += Math.log(((tally.counts.get(t) ?? 0) + 1) / (tally.words + this.vocabulary.size))
      return [key, log]
    })
    const top = Math.max(...logs.map(([, l]) => l))
    const sum = logs.reduce((s, [, l]) => s + Math.exp(l - top), 0)
    return logs
      .map(([key, l]): [string, number] => [key, Math.exp(l - top) / sum])
      .sort((a, b) => b[1] - a[1])
  }
}

function add(tallies: Map<string, Tally>, key: string, terms: readonly string[]): void {
  const tally = tallies.get(key) ?? { texts: 0, words: 0, counts: new Map<string, number>() }
  tally.texts++
  tally.words += terms.length
  for (const t of terms) tally.counts.set(t, (tally.counts.get(t) ?? 0) + 1)
  tallies.set(key, tally)
}
