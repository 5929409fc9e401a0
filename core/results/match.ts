import type { Episode, Id, Show } from '../records'
import { titleOf } from '../release/parts'
import { sayNumber } from '../rhythm/numbering'

/** All that released episodes are called by. */
export type EpisodeNames = ReadonlyMap<string, Id>

/** A name without what differs between programs: case, spaces, punctuation, accents. */
export function plainName(text: string): string {
  return text
    .normalize('NFKD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, ' ')
    .trim()
}

/** An address without what differs between copies of it. */
function address(text: string): string {
  return text
    .trim()
    .replace(/^(https?:\/\/)?(www\.)?/i, '')
    .replace(/[/#?]+$/, '')
}

/**
 * The names of episodes: code, number as shown, every title, and addresses. What two of them are called alike finds
 * neither.
 */
export function episodeNames(episodes: Iterable<Episode>, shows: ReadonlyMap<Id, Show>): Map<string, Id> {
  const names = new Map<string, Id>()
  const twice = new Set<string>()
  const put = (name: string, id: Id) => {
    if (name === '') return
    if (names.has(name) && names.get(name) !== id) twice.add(name)
    names.set(name, id)
  }
  for (const e of episodes) {
    const show = shows.get(e.show)
    put(e.code.toLowerCase(), e.id)
    if (show && e.number !== undefined) put(plainNumber(sayNumber(show, e.number, e.code)), e.id)
    for (const title of new Set([titleOf(e), e.title, ...e.titles.map((t) => t.text)]))
      put(plainName(title), e.id)
    for (const a of Object.values(e.addresses ?? {})) put(address(a), e.id)
  }
  for (const name of twice) names.delete(name)
  return names
}

/** A number as shown, apart from words: `#42` stays what it is and is not the title “42”. */
const plainNumber = (text: string) => text.replace(/\s+/g, '').toLowerCase()

/** The episode that something names; nothing where none, or several, are called so. */
export function matchEpisode(names: EpisodeNames, text: string): Id | undefined {
  const clean = text.trim()
  if (clean === '') return undefined
  return (
    names.get(plainNumber(clean)) ??
    names.get(plainName(clean)) ??
    names.get(address(clean)) ??
    names.get(clean.toLowerCase())
  )
}
