import type { Episode, Outlet, Part } from '../records'
import { tagLength } from './tags'

/** Whether an outlet has a place for a part: what it requires it takes, and all where nothing is said. */
export function takesPart(outlet: Outlet, part: Part): boolean {
  return outlet.takes === undefined || outlet.takes.includes(part) || outlet.required.includes(part)
}

/** The title at an outlet: what is said otherwise there, else the chosen one. Nothing where there is none. */
export function titleAt(outlet: Outlet, episode: Episode, chosen: string | undefined): string | undefined {
  const own = episode.otherwise?.[outlet.id]?.title?.trim()
  return own === undefined || own === '' ? chosen : own
}

/** Whether every outlet that requires a text has its own said otherwise, so that it needs none from everywhere. */
export function isSaidOtherwise(
  outlets: readonly Outlet[],
  episode: Episode,
  part: 'title' | 'description',
): boolean {
  const asking = outlets.filter((o) => o.required.includes(part))
  return asking.length > 0 && asking.every((o) => (episode.otherwise?.[o.id]?.[part] ?? '').trim() !== '')
}

/** Hashtags by tag: a show's few hundred tags are asked for again and again. */
const hashtags = new Map<string, string>()
const mostKept = 20_000

/** A tag as a hashtag: its words joined, each with a capital; signs left out. */
export function hashtag(tag: string): string {
  let joined = hashtags.get(tag)
  if (joined === undefined) {
    const words = tag.match(/[\p{L}\p{N}]+/gu) ?? []
    joined = words.map((w, i) => (i === 0 ? `#${w}` : w.slice(0, 1).toUpperCase() + w.slice(1))).join('')
    if (hashtags.size > mostKept) hashtags.clear()
    hashtags.set(tag, joined)
  }
  return joined
}

/**
 * The tags at an outlet in their order of priority: as many as it takes by count, standing ones first, as hashtags where
 * it wants those.
 */
export function tagsAt(outlet: Outlet, episode: Episode): string[] {
  const most = outlet.tagMost ?? Number.POSITIVE_INFINITY
  if (outlet.tagForm !== 'hashtags') return episode.tags.slice(0, most)
  const all = [...(outlet.standing?.hashtags ?? []), ...episode.tags].map(hashtag).filter(Boolean)
  const seen = new Set<string>()
  return all.filter((t) => !seen.has(t.toLowerCase()) && seen.add(t.toLowerCase())).slice(0, most)
}

/** Characters that the tags take at an outlet, as it counts them. */
export function tagsLengthAt(outlet: Outlet, episode: Episode): number {
  const tags = tagsAt(outlet, episode)
  return outlet.tagForm === 'hashtags' ? tags.join(' ').length : tagLength(tags)
}

/**
 * The description at an outlet: what is said otherwise there, else the episode's; below it the outlet's closing lines and,
 * where it wants them, its hashtags.
 */
export function descriptionAt(outlet: Outlet, episode: Episode, everywhere: string): string {
  const own = episode.otherwise?.[outlet.id]?.description?.trim()
  const tags =
    outlet.tagForm === 'hashtags' && takesPart(outlet, 'tags') ? tagsAt(outlet, episode).join(' ') : ''
  return [own === undefined || own === '' ? everywhere : own, outlet.standing?.closing?.trim() ?? '', tags]
    .filter(Boolean)
    .join('\n\n')
}
