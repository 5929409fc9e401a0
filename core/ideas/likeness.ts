import type { Id } from '../records'
import { countsOf, sharedWords, termsOf } from './words'

/**
 * What likeness knows of an episode: its head (title, keywords, topics, tags) and its body (premise, notes,
 * script).
 */
export interface Text {
  id: Id
  head: string
  body: string
}

/** An earlier episode that is like a text: the cosine of their vectors, 0 to 1, and the words they share. */
export interface Like {
  id: Id
  likeness: number
  words: string[]
}

/** From here on it is said: you may have made this already (`engine` 8). */
export const likelySame = 0.55

/** Share of a vector's length (squared) that its head has; the rest is its body's. */
const headShare = 0.72

interface Kept {
  head: string
  headCounts: Map<string, number>
  bodyCounts: Map<string, number>
}

/**
 * Likeness of episodes by term vectors with cosine (Salton's vector space model; weights are tf-idf, term
 * counts damped by a logarithm). A vector is a head and a body of fixed shares, so that title and keywords
 * weigh more than a long script. Queries go over the postings of the query's terms alone: linear in the
 * documents that share a term with it. Weights are laid when first asked after a change; a change of one
 * document replaces its own alone.
 */
export class Likeness {
  private readonly texts = new Map<Id, Kept>()
  private readonly places = new Map<Id, number>()
  private readonly ids: Id[] = []
  private readonly postings = new Map<string, Map<number, number>>()
  private readonly frequency = new Map<string, number>()
  private weighed = 0

  get size(): number {
    return this.texts.size
  }

  /** Adds or replaces a text. */
  put(text: Text): void {
    this.remove(text.id)
    const kept: Kept = { head: text.head, headCounts: countsOf(text.head), bodyCounts: countsOf(text.body) }
    this.texts.set(text.id, kept)
    for (const term of termsIn(kept)) this.frequency.set(term, (this.frequency.get(term) ?? 0) + 1)
    if (this.weighed > 0) this.lay(text.id, kept)
  }

  /** Takes a text out. */
  remove(id: Id): void {
    const kept = this.texts.get(id)
    if (!kept) return
    this.texts.delete(id)
    const place = this.places.get(id)
    for (const term of termsIn(kept)) {
      this.frequency.set(term, (this.frequency.get(term) ?? 1) - 1)
      if (place !== undefined) this.postings.get(term)?.delete(place)
    }
  }

  /** The texts most like a head and a body, best first; `without` leaves some out. */
  like(
    query: { head: string; body?: string },
    count = 5,
    without: (id: Id) => boolean = () => false,
  ): Like[] {
    // The rarity of terms drifts slowly: weights are laid anew when the collection has grown by a fifth.
    if (this.weighed === 0 || this.texts.size > this.weighed * 1.2) this.layAll()
    const kept: Kept = {
      head: query.head,
      headCounts: countsOf(query.head),
      bodyCounts: countsOf(query.body ?? ''),
    }
    const vector = this.vectorOf(kept)
    const scores = new Float64Array(this.ids.length)
    for (const [term, weight] of vector)
      for (const [place, theirs] of this.postings.get(term) ?? [])
        scores[place] = (scores[place] ?? 0) + weight * theirs
    const best: Like[] = []
    for (const [place, score] of scores.entries()) {
      const id = this.ids[place]
      if (
        score <= 0.02 ||
        id === undefined ||
        !this.texts.has(id) ||
        (best.length >= count && score <= (best.at(-1)?.likeness ?? 0)) ||
        without(id)
      )
        continue
      best.push({ id, likeness: Math.min(1, score), words: [] })
      best.sort((a, b) => b.likeness - a.likeness)
      best.length = Math.min(best.length, count)
    }
    const asked = new Set([...termsOf(query.head), ...kept.bodyCounts.keys()])
    return best.map((like) => {
      const theirs = this.texts.get(like.id)
      const both = new Set([...asked].filter((t) => theirs?.headCounts.has(t) || theirs?.bodyCounts.has(t)))
      const words = sharedWords(`${theirs?.head ?? ''} ${query.head} ${query.body ?? ''}`, both)
      return { ...like, words: words.slice(0, 6) }
    })
  }

  /**
   * Lays all weights anew, as `like` does by itself when the collection has grown; worth calling once after
   * filling it.
   */
  layAll(): void {
    this.postings.clear()
    this.places.clear()
    this.ids.length = 0
    this.weighed = Math.max(1, this.texts.size)
    for (const [id, kept] of this.texts) this.lay(id, kept)
  }

  private lay(id: Id, kept: Kept): void {
    const place = this.ids.push(id) - 1
    this.places.set(id, place)
    for (const [term, weight] of this.vectorOf(kept)) {
      let row = this.postings.get(term)
      if (!row) this.postings.set(term, (row = new Map<number, number>()))
      row.set(place, weight)
    }
  }

  /** A unit vector: head and body each of length one, joined in their shares. */
  private vectorOf(kept: Kept): Map<string, number> {
    const vector = new Map<string, number>()
    const bodies = kept.bodyCounts.size > 0
    this.addTo(vector, kept.headCounts, bodies ? Math.sqrt(headShare) : 1)
    if (bodies) this.addTo(vector, kept.bodyCounts, kept.headCounts.size > 0 ? Math.sqrt(1 - headShare) : 1)
    const length = Math.hypot(...vector.values())
    if (length > 0) for (const [term, weight] of vector) vector.set(term, weight / length)
    return vector
  }

  private addTo(vector: Map<string, number>, counts: ReadonlyMap<string, number>, share: number): void {
    let sum = 0
    const weights: [string, number][] = []
    for (const [term, count] of counts) {
      const weight =
        (1 + Math.log(count)) * Math.log(1 + this.weighed / (1 + (this.frequency.get(term) ?? 0)))
      weights.push([term, weight])
      sum += weight * weight
    }
    const scale = sum > 0 ? share / Math.sqrt(sum) : 0
    for (const [term, weight] of weights) vector.set(term, (vector.get(term) ?? 0) + weight * scale)
  }
}

function termsIn(kept: Kept): Set<string> {
  return new Set([...kept.headCounts.keys(), ...kept.bodyCounts.keys()])
}
