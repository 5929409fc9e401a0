import { max, sum } from 'd3-array'
import { rankOf } from '../ideas/usable'
import type { Day, WorkGroup } from '../records'
import { monthName, sayDay } from '../rhythm/days'
import { sayMinutes } from '../script/timecode'
import type { Card } from './card'
import { lampKinds, moversOf } from './slots'

/** Some of the work under one heading. */
export interface WorkRows {
  key: string
  name: string
  cards: Card[]
  /** Minutes of work left before their releases and after. */
  minutes: number
  /** When the last of them goes out; nothing where none has a date. */
  until: Day | undefined
}

/** The work left under a heading against the hours that are given for it; `given` in minutes. */
export function sayLeft({ minutes, until }: Pick<WorkRows, 'minutes' | 'until'>, given: number): string {
  if (minutes === 0) return ''
  const left = `${sayMinutes(minutes)} left`
  return until === undefined ? left : `${left}, ${sayMinutes(given)} given until ${sayDay(until)}`
}

/** What stages are called over all shows: those of films and of sound under one heading. */
const stageNames: Readonly<Record<(typeof lampKinds)[number], string>> = {
  brief: 'Brief',
  script: 'Script',
  film: 'Film, Record',
  edit: 'Edit',
  thumbnail: 'Thumbnail, Cover',
  release: 'Release',
}

/** The minutes of work that an episode has left. */
export function minutesLeft({ standing }: Card): number {
  return sum(standing.steps, (s) => (s.left ? s.minutesLeft : 0))
}

/** Under which headings an episode stands: one, but for topics and moves, of which it may have several. */
function headingsOf(
  card: Card,
  by: WorkGroup,
  formOf: (card: Card) => string | undefined,
): { key: string; name: string; place: string }[] {
  const one = (key: string, name = key, place = key) => [{ key, name, place }]
  switch (by) {
    case 'stage': {
      const { ready, where } = card.standing
      if (ready || !where) return one('ready', 'Ready', '98')
      const at = lampKinds.findIndex((k) => k === where.stage.kind)
      const kind = lampKinds[at]
      return kind
        ? one(kind, stageNames[kind], `${at}0`)
        : one(where.stage.id, where.stage.name, `${card.standing.stages.indexOf(where)}5`)
    }
    case 'show':
      return one(card.show.id, card.show.title, card.show.createdAt)
    case 'form': {
      const name = formOf(card)
      return name === undefined ? one('', 'Of no kind', '~') : one(name)
    }
    case 'topic':
      return card.episode.topics.length === 0
        ? one('', 'Of no topic', '~')
        : card.episode.topics.flatMap((t) => one(t))
    case 'month': {
      const month = card.standing.release?.day.slice(0, 7)
      return month === undefined ? one('', 'Without a date', '~') : one(month, monthName(`${month}-01`))
    }
    case 'move': {
      const who = moversOf(card)
      return who.length === 0
        ? one('', 'Nobody’s move', '~')
        : who.flatMap((w) => (w === 'me' ? one('me', 'My move', ' ') : one(w, `${w}’s move`)))
    }
  }
}

/**
 * Everything in work in rows under headings, in the order of the trade, of time, or of the alphabet. Within
 * a heading the soonest release comes first and what has no date last, or all is as it was put by hand.
 */
export function workRows(
  cards: readonly Card[],
  by: WorkGroup,
  byHand: boolean,
  formOf: (card: Card) => string | undefined,
): WorkRows[] {
  const groups = new Map<string, { name: string; place: string; cards: Card[] }>()
  for (const card of cards)
    for (const { key, name, place } of headingsOf(card, by, formOf)) {
      const group = groups.get(key) ?? { name, place, cards: [] }
      group.cards.push(card)
      groups.set(key, group)
    }
  const at = (c: Card) => c.standing.release?.at ?? Infinity
  const before = (a: Card, b: Card) =>
    byHand ? rankOf(a.episode) - rankOf(b.episode) : at(a) === at(b) ? 0 : at(a) - at(b)
  return [...groups]
    .sort(([, a], [, b]) => (a.place < b.place ? -1 : a.place > b.place ? 1 : 0))
    .map(([key, { name, cards: mine }]) => ({
      key,
      name,
      cards: mine.sort(before),
      minutes: sum(mine, minutesLeft),
      until: max(mine, (c) => c.standing.release?.day),
    }))
}

/** A row with one episode a place up or down; nothing where it stands at that end. */
export function nudged<T>(row: readonly T[], one: T, by: 1 | -1): T[] | undefined {
  const at = row.indexOf(one)
  const to = at + by
  if (at < 0 || to < 0 || to >= row.length) return undefined
  const next = row.filter((x) => x !== one)
  next.splice(to, 0, one)
  return next
}
