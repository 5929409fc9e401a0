import type { Day, Episode, Weights } from '../records'
import { daysBetween, sayDay } from '../rhythm/days'
import { type TopicShare } from './balance'
import { opportunitiesIn, sayOpportunity } from './opportunity'
import { effortOf, sayMonth, sayWeeks } from './usable'
import { type RankFor } from './rank'

export type PartName = keyof Weights

/** One part of a score: its value 0 to 1 (0.5 where nothing is known), and the words for it. */
export interface ScorePart {
  name: PartName
  value: number
  weight: number
  known: boolean
  says: string
}

/** A part before its words are made. */
export interface Part extends Omit<ScorePart, 'says'> {
  says: () => string
}

const cut = (n: number) => Math.min(1, Math.max(0, n))

export const hours = (minutes: number) =>
  minutes < 60 ? `${Math.round(minutes)} min` : `${Math.round(minutes / 30) / 2} h`

export interface TopicFacts {
  need: number
  says: () => string
  past: number | undefined
  apart: number
}

export function needOf(t: TopicShare, today: Day): { need: number; says: () => string } {
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

export function partsOf(e: Episode, of: RankFor, topics: ReadonlyMap<string, TopicFacts>): Part[] {
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
      const opportunity = opportunitiesIn(of.keywords).get(id)
      return keyword && opportunity ? [{ keyword, opportunity }] : []
    })
    .sort((a, b) => b.opportunity.value - a.opportunity.value)[0]
  if (!best)
    return { name: 'demand', value: 0.5, weight, known: false, says: () => 'No keyword with figures' }
  const { value, times } = best.opportunity
  return {
    name: 'demand',
    // The rough figure rarely leaves 0 to 50: half of it is already a good keyword.
    value: cut(value / (times === undefined ? 50 : 100)),
    weight,
    known: true,
    says: () =>
      times === undefined
        ? `“${best.keyword.words}” has ${sayOpportunity(best.opportunity)}`
        : `“${best.keyword.words}” is ${sayOpportunity(best.opportunity)}`,
  }
}

function need(mine: readonly Mine[], weight: number): Part {
  const most = [...mine].sort((a, b) => b.need - a.need)[0]
  return most
    ? { name: 'need', value: most.need, weight, known: true, says: most.says }
    : { name: 'need', value: 0.5, weight, known: false, says: () => 'No topic yet' }
}

export function past(mine: readonly Mine[], weight: number): Part {
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
