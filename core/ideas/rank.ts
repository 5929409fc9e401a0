import { sum } from 'd3-array'
import type { Day, Episode, Id, Keyword, Recipe, Settings, Show, Weights } from '../records'
import { heldBy } from '../named'
import { median } from 'd3-array'
import { daysBetween, sayDay } from '../rhythm/days'
import { releaseOf } from '../rhythm/slots'
import { balanceOf, releasedAt, type TopicShare } from './balance'
import { opportunityOf } from './opportunity'
import { effortOf, filmDay, isResting, outOfWindow, sayMonth, sayWeeks } from './usable'

export type PartName = keyof Weights

/** One part of a score: its value 0 to 1 (0.5 where nothing is known), and the words for it. */
export interface ScorePart {
  name: PartName
  value: number
  weight: number
  known: boolean
  says: string
}

/**
 * An idea's score for a slot, 0 to 100, led by the part that speaks most for it. The words are made when
 * they are read: most ideas of a long list are never looked at.
 */
export interface Ranked {
  episode: Episode
  score: number
  readonly reason: string
  readonly parts: ScorePart[]
}

/** An idea that cannot go on the slot, and why. */
export interface Ruled {
  episode: Episode
  readonly why: string
}

/** A part before its words are made. */
interface Part extends Omit<ScorePart, 'says'> {
  says: () => string
}

/**
 * What ranking for one slot looks at. `free` are the minutes still free up to the release; `multiples` the
 * released episodes' results against the usual.
 */
export interface RankFor {
  show: Show
  recipe: Recipe | undefined
  day: Day
  today: Day
  episodes: readonly Episode[]
  multiples: ReadonlyMap<Id, number>
  keywords: ReadonlyMap<Id, Keyword>
  settings: Pick<Settings, 'weights' | 'away'>
  free: number
}

const cut = (n: number) => Math.min(1, Math.max(0, n))
const hours = (minutes: number) =>
  minutes < 60 ? `${Math.round(minutes)} min` : `${Math.round(minutes / 30) / 2} h`

/**
 * Ideas of a show for one slot (`engine` 7): a weighted sum of parts from 0 to 1, times 100, best first;
 * those that a hard filter rules out apart, with the reason. What a topic contributes is computed once per
 * topic: linear in the ideas.
 */
export function rankIdeas(of: RankFor): { ranked: Ranked[]; ruled: Ruled[] } {
  const ranked: Ranked[] = []
  const ruled: Ruled[] = []
  const topics = topicsOf(of)
  const filming = filmDay(of.day, of.recipe)
  const total = sum(Object.values(of.settings.weights), (w) => w)
  for (const episode of of.episodes) {
    if (episode.show !== of.show.id || episode.phase.kind !== 'idea') continue
    const why = ruledOut(episode, of, filming)
    if (why !== undefined) {
      ruled.push({
        episode,
        get why() {
          return why()
        },
      })
      continue
    }
    const parts = partsOf(episode, of, topics)
    const score = total === 0 ? 50 : (100 * sum(parts, (p) => p.weight * p.value)) / total
    ranked.push({
      episode,
      score,
      get reason() {
        return reasonOf(parts)
      },
      get parts() {
        return parts.map((p) => ({ ...p, says: p.says() }))
      },
    })
  }
  ranked.sort((a, b) => b.score - a.score || (a.episode.createdAt < b.episode.createdAt ? 1 : -1))
  return { ranked, ruled }
}

function reasonOf(parts: readonly Part[]): string {
  const best = parts
    .filter((p) => p.known && p.value > 0.5 && p.weight > 0)
    .sort((a, b) => leads(b) - leads(a))[0]
  return best?.says() ?? 'Nothing speaks against it'
}

/** How much a part speaks for an idea. That it can be made at all says little beside the others. */
function leads(p: Part): number {
  return p.weight * (p.value - 0.5) * (p.name === 'fit' ? 0.4 : 1)
}

/**
 * Why an idea cannot go on the slot that it is ranked for, in words; nothing where it can. The same for
 * choosing and for placing.
 */
export function whyNot(episode: Episode, of: Omit<RankFor, 'episodes'>): string | undefined {
  return ruledOut(episode, of, filmDay(of.day, of.recipe))?.()
}

function ruledOut(e: Episode, of: Omit<RankFor, 'episodes'>, filming: Day): (() => string) | undefined {
  if (isResting(e, of.today)) return () => `rests until ${sayDay(e.idea.restUntil ?? '')}`
  if (e.idea.standing === 'someday') return () => 'put off to some day'
  const window = outOfWindow(e.nature, of.day)
  if (window !== undefined) return () => window
  for (const guest of e.guests) {
    const away = (heldBy(of.settings.away, guest) ?? []).find((a) => a.from <= filming && filming <= a.to)
    if (away)
      return () =>
        `${guest} is not free from ${sayDay(away.from)} to ${sayDay(away.to)}; it would be filmed about ${sayDay(filming)}`
  }
  const effort = effortOf(e, of.recipe)
  if (effort > of.free) return () => `takes ${hours(effort)}; ${hours(of.free)} are free before it`
  return undefined
}

interface TopicFacts {
  need: number
  says: () => string
  past: number | undefined
  apart: number
}

function topicsOf(of: RankFor): Map<string, TopicFacts> {
  const balance = balanceOf(of.show, of.episodes, of.today)
  const mine = of.episodes.filter(
    (e) => e.show === of.show.id && (e.phase.kind === 'released' || e.phase.kind === 'work'),
  )
  // Only the releases next door matter for spacing: the last ones and those to come.
  const near = [
    ...mine
      .filter((e) => e.phase.kind === 'released')
      .sort((a, b) => (releasedAt(a) < releasedAt(b) ? 1 : -1))
      .slice(0, 30),
    ...mine.filter((e) => e.phase.kind === 'work'),
  ]
  const dated = near
    .flatMap((e) => {
      const release = releaseOf(e, of.show)
      return release ? [{ e, day: release.day }] : []
    })
    .sort((a, b) => (a.day < b.day ? -1 : 1))
  const here = dated.filter((d) => d.day < of.day).length
  const multiples = new Map<string, number[]>()
  for (const e of mine) {
    const m = of.multiples.get(e.id)
    if (m !== undefined) for (const t of e.topics) (multiples.get(t) ?? multiples.set(t, []).get(t))?.push(m)
  }
  return new Map(
    balance.topics.map((t) => {
      let apart = Infinity
      dated.forEach((d, i) => {
        if (d.e.topics.includes(t.topic)) apart = Math.min(apart, i < here ? here - i : i - here + 1)
      })
      return [t.topic, { ...needOf(t, of.today), past: median(multiples.get(t.topic) ?? []), apart }]
    }),
  )
}

function needOf(t: TopicShare, today: Day): { need: number; says: () => string } {
  const need = cut(0.5 + (0.5 * (t.target - t.share)) / Math.max(t.target, 0.08))
  const { last } = t
  return {
    need,
    says: () =>
      last === undefined
        ? `Nothing on ${t.topic} yet`
        : need > 0.5
          ? `${sayWeeks(last, today)} since ${t.topic}`
          : `${t.topic} has ${Math.round(t.share * 100)} % where ${Math.round(t.target * 100)} % are wished`,
  }
}

function partsOf(e: Episode, of: RankFor, topics: ReadonlyMap<string, TopicFacts>): Part[] {
  const w = of.settings.weights
  const mine = e.topics.flatMap((t) => {
    const facts = topics.get(t)
    return facts ? [{ topic: t, ...facts }] : []
  })
  return [
    demand(e, of, w.demand),
    need(mine, w.need),
    past(mine, w.past),
    fit(e, of, w.fit),
    rating(e, w.rating),
    spacing(mine, w.spacing),
    occasion(e, of, w.occasion),
  ]
}

type Mine = TopicFacts & { topic: string }

function demand(e: Episode, of: RankFor, weight: number): Part {
  const best = e.idea.keywords
    .flatMap((id) => {
      const keyword = of.keywords.get(id)
      const value = keyword && opportunityOf(keyword)
      return keyword && value !== undefined ? [{ keyword, value }] : []
    })
    .sort((a, b) => b.value - a.value)[0]
  if (!best)
    return { name: 'demand', value: 0.5, weight, known: false, says: () => 'No keyword with figures' }
  // Opportunity rarely leaves 0 to 50 by its formula: half of it is already a good keyword.
  return {
    name: 'demand',
    value: cut(best.value / 50),
    weight,
    known: true,
    says: () => `“${best.keyword.words}” has an opportunity of ${Math.round(best.value)}`,
  }
}

function need(mine: readonly Mine[], weight: number): Part {
  const most = [...mine].sort((a, b) => b.need - a.need)[0]
  return most
    ? { name: 'need', value: most.need, weight, known: true, says: most.says }
    : { name: 'need', value: 0.5, weight, known: false, says: () => 'No topic yet' }
}

function past(mine: readonly Mine[], weight: number): Part {
  const known = mine
    .flatMap((t) => (t.past === undefined ? [] : [{ topic: t.topic, past: t.past }]))
    .sort((a, b) => b.past - a.past)[0]
  if (!known)
    return { name: 'past', value: 0.5, weight, known: false, says: () => 'No results on its topic yet' }
  return {
    name: 'past',
    value: cut(0.5 + 0.5 * Math.log2(Math.max(0.01, known.past))),
    weight,
    known: true,
    says: () => `${known.topic} does ${known.past.toFixed(1)}× your usual`,
  }
}

function fit(e: Episode, of: RankFor, weight: number): Part {
  const effort = effortOf(e, of.recipe)
  const share = of.free === 0 ? 1 : effort / of.free
  return {
    name: 'fit',
    value: cut(1 - share * 0.75),
    weight,
    known: effort > 0,
    says: () => `Takes ${hours(effort)} of ${hours(of.free)} free`,
  }
}

function rating(e: Episode, weight: number): Part {
  const stars = e.idea.rating
  const { standing } = e.idea
  if (stars !== undefined)
    return {
      name: 'rating',
      value: (stars - 1) / 4,
      weight,
      known: true,
      says: () => `You gave it ${stars} of 5`,
    }
  if (standing === 'next')
    return { name: 'rating', value: 0.9, weight, known: true, says: () => 'You sorted it as next' }
  if (standing === 'promising')
    return { name: 'rating', value: 0.7, weight, known: true, says: () => 'You found it promising' }
  return { name: 'rating', value: 0.5, weight, known: false, says: () => 'Not rated' }
}

function spacing(mine: readonly Mine[], weight: number): Part {
  const near = [...mine].sort((a, b) => a.apart - b.apart)[0]
  if (!near) return { name: 'spacing', value: 0.5, weight, known: false, says: () => 'No topic yet' }
  if (near.apart >= 3)
    return { name: 'spacing', value: 1, weight, known: true, says: () => `No other ${near.topic} nearby` }
  return {
    name: 'spacing',
    value: near.apart === 1 ? 0 : 0.5,
    weight,
    known: true,
    says: () =>
      near.apart === 1 ? `${near.topic} is right next door` : `${near.topic} is two releases away`,
  }
}

function occasion(e: Episode, of: RankFor, weight: number): Part {
  const o = e.idea.occasion
  if (o) {
    const ahead = daysBetween(of.day, o.day)
    if (ahead < 0)
      return { name: 'occasion', value: 0.1, weight, known: true, says: () => `${o.name} is over by then` }
    if (ahead <= o.lead)
      return {
        name: 'occasion',
        value: 1,
        weight,
        known: true,
        says: () => (ahead === 0 ? `On the day of ${o.name}` : `${sayWeeks(of.day, o.day)} before ${o.name}`),
      }
    return {
      name: 'occasion',
      value: 0.25,
      weight,
      known: true,
      says: () => `${sayWeeks(of.day, o.day)} before ${o.name} is early`,
    }
  }
  const { meant } = e.idea
  if (meant !== undefined) {
    const met = meant === of.day.slice(0, 7)
    return {
      name: 'occasion',
      value: met ? 0.9 : 0.25,
      weight,
      known: true,
      says: () => `Meant for ${sayMonth(meant, of.today)}`,
    }
  }
  const stale = e.nature.kind === 'topical' ? e.nature.staleAfter : undefined
  if (stale !== undefined && daysBetween(of.day, stale) <= 21)
    return {
      name: 'occasion',
      value: 0.9,
      weight,
      known: true,
      says: () => `Goes stale after ${sayDay(stale)}`,
    }
  return { name: 'occasion', value: 0.5, weight, known: false, says: () => 'No date it is tied to' }
}

/** What each part of a score is called. */
export const partNames: Readonly<Record<PartName, string>> = {
  demand: 'Demand',
  need: 'Topic need',
  past: 'Past results',
  fit: 'Fit to your hours',
  rating: 'Your rating',
  spacing: 'Spacing',
  occasion: 'Occasion',
}
