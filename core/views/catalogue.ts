import { ascending, sum } from 'd3-array'
import { isOutdated } from '../catalogue/facts'
import { toPaste, type Arc } from '../catalogue/links'
import type { ChartCell } from '../formats/chart-csv'
import { madeFrom } from '../release/spin-offs'
import type { Made } from '../learnt/made'
import type { Day, Episode, Id, Show } from '../records'
import { titleOf } from '../release/parts'
import { countedAt } from '../results/at-age'
import { lateBy } from '../results/on-time'
import type { AgainstUsual } from '../results/usual'
import { dayIn } from '../rhythm/creator'
import { sayNumber } from '../rhythm/numbering'

/** The age at which episodes are compared in the list, days. */
export const listAge = 7

/** One released episode as the catalogue lists it. */
export interface CatalogueRow {
  episode: Episode
  show: Show
  number: string
  title: string
  day: Day
  late: number | undefined
  /** Minutes of work, as far as they were logged. */
  minutes: number | undefined
  /** Views after seven days, and how they are against the usual. */
  views: number | undefined
  times: number | undefined
  links: number
  /** Excerpts that were taken from it. */
  made: number
  /** How often it says what was asked for; nothing where nothing was. */
  said: number | undefined
}

/** What of a row is the episode's own, and seldom another. */
export type BareRow = Pick<CatalogueRow, 'episode' | 'show' | 'number' | 'title' | 'day' | 'late' | 'views'>

/** Rows of what is out without what others say of it. */
export function bareRows(episodes: readonly Episode[], shows: ReadonlyMap<Id, Show>): BareRow[] {
  return episodes.flatMap((episode): BareRow[] => {
    const show = shows.get(episode.show)
    if (!show || episode.phase.kind !== 'released') return []
    return [
      {
        ...{ episode, show, number: sayNumber(show, episode.number, episode.code), title: titleOf(episode) },
        day: dayIn(episode.phase.at, show.zone),
        late: lateBy(episode, show.zone),
        views: countedAt(episode, listAge),
      },
    ]
  })
}

/** What the rows are made from, by episode. */
export interface CatalogueSources {
  made: ReadonlyMap<Id, Made>
  usual: ReadonlyMap<Id, AgainstUsual>
  links: ReadonlyMap<Id, number>
  said: ReadonlyMap<Id, number> | undefined
}

/** The rows of some released episodes. */
export function catalogueRows(bare: readonly BareRow[], of: CatalogueSources): CatalogueRow[] {
  return bare.map((row): CatalogueRow => {
    const { id } = row.episode
    const { spinOffs, passages } = madeFrom(row.episode)
    const minutes = of.made.get(id)?.minutes
    return {
      ...row,
      minutes: minutes === 0 ? undefined : minutes,
      times: of.usual.get(id)?.times,
      links: of.links.get(id) ?? 0,
      made: spinOffs.length + passages.length,
      said: of.said && (of.said.get(id) ?? 0),
    }
  })
}

/** The sums below the list. */
export interface CatalogueSums {
  said: number
  minutes: number
  views: number
  links: number
  made: number
}

/** What the rows come to, each rounded as it is listed, so that the sum is that of what one sees. */
export function sumsOf(rows: readonly CatalogueRow[]): CatalogueSums {
  return {
    said: sum(rows, (r) => r.said ?? 0),
    minutes: sum(rows, (r) => r.minutes ?? 0),
    views: sum(rows, (r) => Math.round(r.views ?? 0)),
    links: sum(rows, (r) => r.links),
    made: sum(rows, (r) => r.made),
  }
}

/** The rows as a table to be saved: columns, and a line each. */
export function catalogueTable(rows: readonly CatalogueRow[]): {
  columns: string[]
  rows: ChartCell[][]
} {
  return {
    columns: [
      'Number',
      'Title',
      'Show',
      'Released',
      'Said',
      'Minutes',
      `Views ${listAge} d`,
      'Usual',
      'Links',
      'Made',
    ],
    rows: rows.map((r) => [
      ...[r.number, r.title, r.show.title, r.day, r.said, r.minutes],
      ...[r.views === undefined ? undefined : Math.round(r.views), r.times, r.links, r.made],
    ]),
  }
}

/** What may be asked of the catalogue by one press. */
export type CatalogueFilter = 'all' | 'unlinked' | 'again' | 'paste'

/** Which episodes each of these leaves. */
export function passes(filter: CatalogueFilter, row: CatalogueRow, today: Day): boolean {
  switch (filter) {
    case 'all':
      return true
    case 'unlinked':
      return row.links === 0
    case 'again':
      return isOutdated(row.episode, today)
    case 'paste':
      return toPaste(row.episode).length > 0
  }
}

/** What the answer to a question says: who was made of it, and how many more speak of it. */
export function answerOf(asked: string, headed: readonly CatalogueRow[], spoken: number): string {
  const word = asked.trim()
  const name = word.charAt(0).toUpperCase() + word.slice(1)
  const more = spoken === 0 ? '' : `; spoken of in ${spoken} more`
  if (headed.length === 0)
    return spoken === 0 ? `${name}: never made, never spoken of` : `${name}: not made yet${more}`
  const numbers = headed
    .slice(0, 3)
    .map((r) => r.number)
    .join(', ')
  return headed.length === 1
    ? `${name}: made once, ${numbers}${more}`
    : `${name}: made ${headed.length} times, ${numbers}${headed.length > 3 ? ' …' : ''}${more}`
}

/** The arcs at an episode, the other ends of them once each, in the order of release. */
export function neighbours(
  id: Id,
  arcs: readonly Arc[],
  rows: ReadonlyMap<Id, CatalogueRow>,
): CatalogueRow[] {
  const others = new Set(
    arcs.flatMap((a) => (a.from === id ? [a.to] : a.to === id ? [a.from] : [])).filter((o) => o !== id),
  )
  return [...others].flatMap((o) => rows.get(o) ?? []).sort((a, b) => ascending(a.day, b.day))
}
