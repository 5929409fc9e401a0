import type { Episode } from '../records'
import { descriptionAt, tagsAt, takesPart, titleAt } from '../release/at-outlet'
import { publicLinks } from '../release/description'
import type { Going } from '../release/moves'
import { episodeChapters, episodeDescription, titleOf } from '../release/parts'
import { inItsWords } from '../release/spin-parts'
import { thingName } from '../release/when'
import type { HandedThing } from './message'

/** The id under which an outlet knows a thing: the same however often it is handed over. */
export function lineId({ code }: Pick<Episode, 'code'>, key: string): string {
  return `${code}-${key.replace(/[^\w-]+/g, '-')}`
}

/** A thing as it is handed over to its outlet: only what that has a place for. */
export function thingToHand(going: Going, number: number | undefined, transcript?: string): HandedThing {
  const { outlet, key, at, spin } = going
  const card = spin ? inItsWords(going.card, spin) : going.card
  const { episode, show } = card
  // What has a title of its own needs no other name.
  const name = spin ? '' : thingName(going)
  const title = titleAt(outlet, episode, titleOf(episode)) ?? episode.title
  return {
    id: lineId(episode, key),
    show: show.title,
    kind: show.kind,
    ...(number === undefined ? {} : { number }),
    title: name === '' ? title : `${title} (${name.toLowerCase()})`,
    description: takesPart(outlet, 'description')
      ? descriptionAt(outlet, episode, episodeDescription(card))
      : '',
    tags: takesPart(outlet, 'tags') ? tagsAt(outlet, episode) : [],
    chapters: takesPart(outlet, 'chapters')
      ? episodeChapters(card).list.map((c) => ({ start: c.start, title: c.title }))
      : [],
    links: takesPart(outlet, 'links') ? publicLinks(episode).map(({ label, url }) => ({ label, url })) : [],
    guests: episode.guests,
    ...(episode.cut.length === undefined ? {} : { length: episode.cut.length }),
    ...(transcript === undefined ? {} : { transcript }),
    at: new Date(at).toISOString(),
  }
}
