import type { Episode, Id, Show } from '../records'
import { titleOf } from '../release/parts'
import { podcastFeed, type FeedItem } from './podcast-feed'

/** A show's own feed as a file, and what of it is left out. */
export interface OwnFeed {
  xml: string
  count: number
  /** Released episodes without a media address at the outlet: nothing can be played of them. */
  left: Episode[]
}

/** Types of media by the ending of an address; sound is taken where it says nothing. */
const types: readonly [RegExp, string][] = [
  [/\.m4a(\?|$)/i, 'audio/mp4'],
  [/\.(ogg|opus)(\?|$)/i, 'audio/ogg'],
  [/\.wav(\?|$)/i, 'audio/wav'],
  [/\.(mp4|m4v)(\?|$)/i, 'video/mp4'],
]

/**
 * The feed of a talk show from its released episodes, with their addresses at an outlet as those of their media; the
 * latest first.
 */
export function ownFeed(
  show: Show,
  outlet: Id,
  episodes: readonly Episode[],
  describe: (e: Episode) => string,
): OwnFeed {
  const out = episodes.filter((e) => e.show === show.id && e.phase.kind === 'released')
  const items = out.flatMap((e): FeedItem[] => {
    const url = e.addresses?.[outlet]
    return url === undefined || e.phase.kind !== 'released'
      ? []
      : [
          {
            guid: e.id,
            title: titleOf(e),
            description: describe(e),
            at: Date.parse(e.phase.at),
            media: { url, type: types.find(([ending]) => ending.test(url))?.[1] ?? 'audio/mpeg' },
            persons: e.guests,
            ...(e.number === undefined ? {} : { number: e.number }),
            ...(e.season === undefined ? {} : { season: e.season }),
          },
        ]
  })
  const first = items[0]?.media.url ?? 'https://example.org/'
  const xml = podcastFeed({
    title: show.title,
    description: show.notes.trim().split('\n')[0] ?? '',
    link: new URL('/', first).href,
    self: new URL('/feed.xml', first).href,
    language: 'en',
    items,
  })
  return { xml, count: items.length, left: out.filter((e) => e.addresses?.[outlet] === undefined) }
}
