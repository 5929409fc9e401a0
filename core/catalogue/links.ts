import type { Episode, Id, PublicLink, Show } from '../records'
import { titleOf } from '../release/parts'
import { sayNumber } from '../rhythm/numbering'

/** A link from one episode to another of one's own. */
export interface Arc {
  from: Id
  to: Id
}

/** An address without what differs between copies of it. */
const plain = (url: string) =>
  url
    .trim()
    .replace(/^https?:\/\//i, '')
    .replace(/\/+$/, '')

/** Where every episode lives, by address. */
export function livesAt(episodes: Iterable<Episode>): Map<string, Id> {
  const found = new Map<string, Id>()
  for (const e of episodes)
    for (const address of Object.values(e.addresses ?? {})) found.set(plain(address), e.id)
  return found
}

/** The episode that a link leads to; nothing where it leads elsewhere. */
export function leadsTo(link: PublicLink, lives: ReadonlyMap<string, Id>): Id | undefined {
  return link.episode ?? lives.get(plain(link.url))
}

/** All links between episodes, each once. */
export function arcsOf(episodes: Iterable<Episode>, lives: ReadonlyMap<string, Id>): Arc[] {
  const arcs: Arc[] = []
  for (const e of episodes) {
    const to = new Set(e.links.flatMap((l) => leadsTo(l, lives) ?? []))
    to.delete(e.id)
    for (const id of to) arcs.push({ from: e.id, to: id })
  }
  return arcs
}

/** How many links each episode has, in it and to it; two that link to each other count as two. */
export function countLinks(arcs: readonly Arc[]): Map<Id, number> {
  const counts = new Map<Id, number>()
  for (const { from, to } of arcs) for (const id of [from, to]) counts.set(id, (counts.get(id) ?? 0) + 1)
  return counts
}

/** An episode as another one's link to it; nothing where it has no address yet. */
export function linkTo(episode: Episode, show: Show): Omit<PublicLink, 'id'> | undefined {
  const all = episode.addresses ?? {}
  const url = show.outlets.flatMap((o) => all[o] ?? [])[0] ?? Object.values(all)[0]
  if (url === undefined) return undefined
  const number = sayNumber(show, episode.number, episode.code)
  return { label: `${number} ${titleOf(episode)}`, url, episode: episode.id }
}

/** A link as a line of a description. */
export function lineOf({ label, url }: Pick<PublicLink, 'label' | 'url'>): string {
  return [label.trim(), url.trim()].filter(Boolean).join(': ')
}

/** Links to episodes of one's own that stand here and not yet in a description that is out. */
export function toPaste(episode: Episode): PublicLink[] {
  return episode.phase.kind === 'released'
    ? episode.links.filter(
        (l) =>
          l.episode !== undefined && l.pasted === undefined && (l.goes ?? 'description') === 'description',
      )
    : []
}
