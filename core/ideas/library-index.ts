import MiniSearch, { type SearchResult } from 'minisearch'
import type { Episode, Id, Keyword, Script, Transcript } from '../records'
import { Guesser, type Guess } from './guess'
import { Likeness, type Like } from './likeness'
import { plainWords } from './words'

/**
 * A text that a search found, with the words in it that matched; `script` when only the script has some of
 * them.
 */
export interface Found {
  id: Id
  words: string[]
  script: boolean
}

/** What is said in a script, as one text. */
export function textOfScript(script: Script | undefined): string {
  return (script?.sections ?? []).flatMap((s) => [s.title, ...s.beats.map((b) => b.text)]).join('\n')
}

/** What is said in an episode: its script, and what was heard where that was read in (made of the script, it is the same). */
export function textOfSpoken(script: Script | undefined, transcript: Transcript | undefined): string {
  const heard = transcript?.made === 'read' ? transcript.captions.map((c) => c.text).join(' ') : ''
  return [textOfScript(script), heard].filter(Boolean).join('\n')
}

const searching = {
  processTerm: (term: string) => plainWords(term).join('') || null,
  tokenize: (text: string) => text.split(/[^\p{L}\p{N}\p{M}’']+/u),
}

/**
 * Everything that is looked up by words over all episodes: full-text search (titles and notes at once,
 * scripts as they are read), likeness, and guesses of show and topics. Built in a worker; one change
 * replaces one text.
 */
export class LibraryIndex {
  private readonly heads = new MiniSearch<{ id: string; title: string; notes: string }>({
    fields: ['title', 'notes'],
    ...searching,
    searchOptions: { prefix: true, combineWith: 'AND', boost: { title: 3 } },
  })
  private readonly scripts = new MiniSearch<{ id: string; text: string }>({
    fields: ['text'],
    ...searching,
    searchOptions: { prefix: true, combineWith: 'AND' },
  })
  private readonly likeness = new Likeness()
  private guesser = new Guesser()
  private readonly left = new Set<Id>()

  get size(): number {
    return this.likeness.size
  }

  /** Adds or replaces an episode; its script and what was heard in it where they are there. */
  put(episode: Episode, keywords: ReadonlyMap<Id, Keyword>, script?: Script, transcript?: Transcript): void {
    const { id, idea } = episode
    const words = idea.keywords.flatMap((k) => keywords.get(k)?.words ?? [])
    const head = {
      id,
      title: episode.title,
      notes: [
        episode.note,
        idea.premise,
        idea.why,
        idea.series,
        ...episode.topics,
        ...episode.tags,
        ...words,
        ...episode.guests,
        ...episode.titles.map((t) => t.text),
        ...idea.asked.map((a) => a.wish),
        ...idea.sources.map((s) => s.text),
      ].join('\n'),
    }
    if (this.heads.has(id)) this.heads.replace(head)
    else this.heads.add(head)
    const text = textOfSpoken(script, transcript)
    if (this.scripts.has(id)) this.scripts.discard(id)
    if (text.trim() !== '') this.scripts.add({ id, text })
    this.likeness.put({
      id,
      head: [episode.title, ...words, ...episode.topics, ...episode.tags].join(' '),
      body: [episode.note, idea.premise, text].join('\n'),
    })
    if (episode.phase.kind === 'dropped') this.left.add(id)
    else this.left.delete(id)
    this.guesser.learn({
      show: episode.show,
      topics: episode.topics,
      text: `${episode.title} ${words.join(' ')} ${episode.tags.join(' ')}`,
    })
  }

  remove(id: Id): void {
    if (this.heads.has(id)) this.heads.discard(id)
    if (this.scripts.has(id)) this.scripts.discard(id)
    this.likeness.remove(id)
    this.left.delete(id)
  }

  /** Lays what can be laid ahead, once all are in. */
  ready(): void {
    this.likeness.layAll()
  }

  /**
   * Episodes with all the words (the last one may be a beginning), best first. Words may be spread over
   * title, notes and script.
   */
  search(asked: string): Found[] {
    const words = plainWords(asked)
    if (words.length === 0) return []
    const found = new Map<Id, Found>()
    for (const hit of this.heads.search(asked))
      found.set(idOf(hit), { id: idOf(hit), words: hit.terms, script: false })
    const spread = words.map((word) => ({
      heads: new Map(this.heads.search(word).map((h) => [idOf(h), h.terms])),
      scripts: new Map(this.scripts.search(word).map((h) => [idOf(h), h.terms])),
    }))
    const candidates = new Set(spread.flatMap((s) => [...s.scripts.keys()]))
    for (const id of candidates) {
      if (found.has(id) || !spread.every((s) => s.heads.has(id) || s.scripts.has(id))) continue
      found.set(id, {
        id,
        words: [
          ...new Set(spread.flatMap((s) => [...(s.heads.get(id) ?? []), ...(s.scripts.get(id) ?? [])])),
        ],
        script: true,
      })
    }
    return [...found.values()]
  }

  /** The episodes most like a text, those let go left out. */
  like(head: string, body = '', count = 5, without: ReadonlySet<Id> = new Set()): Like[] {
    return this.likeness.like({ head, body }, count, (id) => without.has(id) || this.left.has(id))
  }

  guess(line: string): Guess {
    return this.guesser.guess(line)
  }
}

function idOf(hit: SearchResult): Id {
  return String(hit.id)
}

/** A passage of a text round the first of some words, about 90 characters long. */
export function passageOf(text: string, words: readonly string[]): string {
  const lower = text.toLowerCase()
  const at = Math.min(...words.map((w) => lower.indexOf(w.toLowerCase())).filter((i) => i >= 0), text.length)
  if (at >= text.length) return ''
  const from = Math.max(0, text.lastIndexOf(' ', Math.max(0, at - 30)))
  return `${from > 0 ? '…' : ''}${text
    .slice(from, from + 90)
    .replace(/\s+/g, ' ')
    .trim()}…`
}

/** How often a text says some words, or words that begin with them. */
export function timesSaid(text: string, words: readonly string[]): number {
  return markedPieces(text, words).filter((p) => p.match).length
}

/** A text cut at some words (and words that begin with them), for marking: every second piece is a match. */
export function markedPieces(text: string, words: readonly string[]): { text: string; match: boolean }[] {
  const wanted = words.filter((w) => w !== '').map((w) => w.replace(/[.*+?^${}()|[\]\\]/g, '\\$&'))
  if (wanted.length === 0) return [{ text, match: false }]
  const pieces = text.split(new RegExp(`((?<![\\p{L}\\p{N}])(?:${wanted.join('|')}))`, 'giu'))
  return pieces.map((piece, i) => ({ text: piece, match: i % 2 === 1 })).filter((p) => p.text !== '')
}
