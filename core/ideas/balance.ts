import type { Day, Episode, Show } from '../records'
import { daysBetween, monthName } from '../rhythm/days'
import { releaseOf } from '../rhythm/slots'

/** How many releases back, and how many ahead, balance looks at. */
export const span = 12

/** One topic of a show: what went out of it, what is planned, and its target share of both. */
export interface TopicShare {
  topic: string
  target: number
  past: Episode[]
  next: Episode[]
  /**
   * Share of the episodes of the span that are on it, 0 to 1; an episode on two topics counts half for
   * each.
   */
  share: number
  last: Day | undefined
}

/**
 * A show's balance: its topics (with a target first), how many episodes were looked at, and what is plain
 * to say.
 */
export interface Balance {
  topics: TopicShare[]
  past: number
  next: number
  sentences: { topic: string; text: string; kind: 'starved' | 'crowded' }[]
}

/** Whether an episode is, or will be, made: placed, or in work. */
function isPlanned(e: Episode): boolean {
  return e.phase.kind === 'work'
}

/** The moment of a release as it is kept; blank for what is not out. */
export function releasedAt(e: Episode): string {
  return e.phase.kind === 'released' ? e.phase.at : ''
}

/**
 * The balance of a show's topics over its last twelve releases and its next twelve planned episodes, by
 * release; those without a slot come last.
 */
export function balanceOf(show: Show, episodes: Iterable<Episode>, today: Day): Balance {
  const mine = [...episodes].filter((e) => e.show === show.id)
  const released = mine
    .filter((e) => e.phase.kind === 'released')
    .sort((a, b) => (releasedAt(a) < releasedAt(b) ? 1 : -1))
  const past = released.slice(0, span)
  const next = mine
    .filter(isPlanned)
    .map((e) => ({ e, at: releaseOf(e, show)?.at ?? Infinity }))
    .sort((a, b) => a.at - b.at)
    .slice(0, span)
    .map((x) => x.e)
  const both = [...past, ...next]
  const names = [...new Set([...show.topics.map((t) => t.name), ...both.flatMap((e) => e.topics)])]
  const topics = names.map((topic): TopicShare => {
    const on = (e: Episode) => e.topics.includes(topic)
    const sum = both.filter(on).reduce((s, e) => s + 1 / e.topics.length, 0)
    const last = released.find(on)
    return {
      topic,
      target: show.topics.find((t) => t.name === topic)?.share ?? 0,
      past: past.filter(on),
      next: next.filter(on),
      share: both.length === 0 ? 0 : sum / both.length,
      last: last && releaseOf(last, show)?.day,
    }
  })
  return {
    topics,
    past: past.length,
    next: next.length,
    sentences: topics.flatMap((t) => said(t, both.length, today)),
  }
}

function said(t: TopicShare, looked: number, today: Day): Balance['sentences'] {
  if (t.target === 0 || looked < 4) return []
  const gap = t.share - t.target
  const since = t.last === undefined ? 'none yet' : `none since ${sayMonth(t.last, today)}`
  const coming = t.next.length === 0 ? '' : `, ${t.next.length} planned`
  if (gap <= -Math.max(0.04, t.target * 0.4))
    return [
      {
        topic: t.topic,
        kind: 'starved',
        text: `${t.topic} ${plural(t.topic)} starved: ${t.past.length === 0 ? since : `${t.past.length} of the last ${span}`}${coming}.`,
      },
    ]
  if (gap >= Math.max(0.08, t.target * 0.6))
    return [
      {
        topic: t.topic,
        kind: 'crowded',
        text: `${t.topic} ${plural(t.topic)} crowded: ${t.past.length + t.next.length} of ${looked}, where ${Math.max(1, Math.round(t.target * looked))} would do.`,
      },
    ]
  return []
}

function plural(topic: string): string {
  return /s$/.test(topic) && !/ss$/.test(topic) ? 'are' : 'is'
}

function sayMonth(day: Day, today: Day): string {
  return daysBetween(day, today) > 300 ? `${monthName(day)} ${day.slice(0, 4)}` : monthName(day)
}

/**
 * Wishes as whole percents that make a hundred, each in proportion to what was typed; the largest remainders are
 * rounded up. All nothing stays nothing.
 */
export function wholeShares(typed: readonly number[]): number[] {
  const whole = typed.reduce((a, b) => a + Math.max(0, b), 0)
  if (whole === 0) return typed.map(() => 0)
  const exact = typed.map((t) => (Math.max(0, t) * 100) / whole)
  const floors = exact.map(Math.floor)
  const rest = 100 - floors.reduce((a, b) => a + b, 0)
  const up = new Set(
    exact
      .map((x, i) => ({ i, left: x - Math.floor(x) }))
      .sort((a, b) => b.left - a.left || a.i - b.i)
      .slice(0, rest)
      .map(({ i }) => i),
  )
  return floors.map((f, i) => f + (up.has(i) ? 1 : 0))
}
