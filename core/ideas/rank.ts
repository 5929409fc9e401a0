import { sum } from 'd3-array'
import type { Day, Episode, Id, Keyword, Recipe, Settings, Show } from '../records'
import { heldBy } from '../named'
import { median } from 'd3-array'
import { sayDay } from '../rhythm/days'
import { releaseOf } from '../rhythm/slots'
import { balanceOf, releasedAt } from './balance'
import { effortOf, filmDay, isResting, outOfWindow } from './usable'
import { type ScorePart, partsOf, type Part, hours, type TopicFacts, needOf } from './rank-parts'

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
