import Builder from 'fast-xml-builder'

/** One episode of a feed. */
export interface FeedItem {
  guid: string
  title: string
  description: string
  /** ms since 1970. */
  at: number
  season?: number
  number?: number
  /** Where its media file is, its type, and its bytes as far as they are known. */
  media: { url: string; type: string; bytes?: number }
  /** Where it can be looked at. */
  link?: string
  /** Seconds. */
  length?: number
  persons: readonly string[]
  chapters?: string
  transcript?: { url: string; type: string }
}

/** A show as a feed. */
export interface Feed {
  title: string
  description: string
  link: string
  language: string
  /** The feed's own address. */
  self: string
  image?: string
  items: readonly FeedItem[]
}

/** Characters that XML 1.0 has no place for. */
const unspeakable =
  /[\u0000-\u0008\u000b\u000c\u000e-\u001f\ufffe\uffff]|[\ud800-\udbff](?![\udc00-\udfff])|(?<![\ud800-\udbff])[\udc00-\udfff]/g
const plain = (text: string) => text.replace(unspeakable, '')

/** A moment as RSS writes it (RFC 822): `Thu, 26 Nov 2026 17:00:00 GMT`. */
export function feedMoment(at: number): string {
  return new Date(at).toUTCString()
}

/**
 * A podcast's feed: RSS 2.0 with the elements of the open podcast namespace (chapters, transcript, person, season,
 * episode), the latest first.
 */
export function podcastFeed(feed: Feed): string {
  const items = [...feed.items].sort((a, b) => b.at - a.at)
  const builder = new Builder({
    ignoreAttributes: false,
    attributeNamePrefix: '@',
    format: true,
    suppressEmptyNode: true,
  })
  return builder.build({
    '?xml': { '@version': '1.0', '@encoding': 'UTF-8' },
    rss: {
      '@version': '2.0',
      '@xmlns:atom': 'http://www.w3.org/2005/Atom',
      '@xmlns:podcast': 'https://podcastindex.org/namespace/1.0',
      channel: {
        title: plain(feed.title),
        link: plain(feed.link),
        description: plain(feed.description) || plain(feed.title),
        language: feed.language,
        'atom:link': { '@href': plain(feed.self), '@rel': 'self', '@type': 'application/rss+xml' },
        ...(items[0] ? { lastBuildDate: feedMoment(items[0].at) } : {}),
        ...(feed.image === undefined
          ? {}
          : { image: { url: plain(feed.image), title: plain(feed.title), link: plain(feed.link) } }),
        item: items.map(itemOf),
      },
    },
  })
}

function itemOf(item: FeedItem): Record<string, unknown> {
  return {
    title: plain(item.title),
    ...(item.link === undefined ? {} : { link: plain(item.link) }),
    description: plain(item.description) || plain(item.title),
    guid: { '@isPermaLink': 'false', '#text': plain(item.guid) },
    pubDate: feedMoment(item.at),
    enclosure: {
      '@url': plain(item.media.url),
      '@length': String(item.media.bytes ?? 0),
      '@type': item.media.type,
    },
    ...(item.season === undefined ? {} : { 'podcast:season': String(item.season) }),
    ...(item.number === undefined ? {} : { 'podcast:episode': String(item.number) }),
    ...(item.chapters === undefined
      ? {}
      : { 'podcast:chapters': { '@url': plain(item.chapters), '@type': 'application/json+chapters' } }),
    ...(item.transcript === undefined
      ? {}
      : { 'podcast:transcript': { '@url': plain(item.transcript.url), '@type': item.transcript.type } }),
    ...(item.persons.length === 0
      ? {}
      : { 'podcast:person': item.persons.map((p) => ({ '@role': 'guest', '#text': plain(p) })) }),
  }
}
