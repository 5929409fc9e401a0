import type { Day, Episode, Nature, Recipe, Show } from '../records'
import { addDays, dayNumber, daysBetween, monthName, sayDay } from '../rhythm/days'
import { slotsOf } from '../rhythm/slots'

/** Whether an idea is put away on a date. */
export function isResting(episode: Episode, today: Day): boolean {
  return episode.idea.restUntil !== undefined && episode.idea.restUntil > today
}

/** Whether an idea waits to be sorted: never sorted, or back from its rest. */
export function isUnsorted(episode: Episode, today: Day): boolean {
  return (
    episode.phase.kind === 'idea' &&
    !isResting(episode, today) &&
    (episode.idea.standing === 'unsorted' || episode.idea.restUntil !== undefined)
  )
}

/** Why an episode of this nature may not go out on a date; nothing where it may. */
export function outOfWindow(nature: Nature, day: Day): string | undefined {
  if (nature.kind === 'evergreen') return undefined
  if (nature.notBefore !== undefined && day < nature.notBefore)
    return `not before ${sayDay(nature.notBefore)}`
  if (nature.staleAfter !== undefined && day > nature.staleAfter)
    return `stale after ${sayDay(nature.staleAfter)}`
  return undefined
}

/**
 * Minutes of work that an episode of a recipe takes, up to its release; its own estimate where the creator
 * made one.
 */
export function effortOf(episode: Pick<Episode, 'idea'>, recipe: Recipe | undefined): number {
  return (
    episode.idea.effort ??
    (recipe?.lines ?? []).reduce((sum, line) => sum + (line.lead.kind === 'after' ? 0 : line.minutes), 0)
  )
}

/** The order of ideas by hand: the creator's own place where one was given, else the newest first. */
export function rankOf(episode: Episode): number {
  return episode.idea.rank ?? -Date.parse(episode.createdAt)
}

/** A month in words: `March`, or `March 2027` when it is not of this year. */
export function sayMonth(month: string, today: Day): string {
  return month.slice(0, 4) === today.slice(0, 4)
    ? monthName(`${month}-01`)
    : `${monthName(`${month}-01`)} ${month.slice(0, 4)}`
}

/** How long a show's ideas last at its rhythm. */
export interface Backlog {
  ideas: number
  /** Weeks until an open slot finds no idea; nothing for a rhythm without slots in the next 26 weeks. */
  weeks: number | undefined
  thin: boolean
  /** The first slot for which there is no idea, within 26 weeks. */
  without?: Day
}

/** Under so many weeks the backlog is thin. */
export const thinWeeks = 6

/**
 * The ideas that could be placed (not put off to some day, not resting, not stale) against the slots that
 * are open.
 */
export function backlogOf(show: Show, episodes: Iterable<Episode>, today: Day): Backlog {
  let ideas = 0
  let filled = 0
  for (const e of episodes) {
    if (e.show !== show.id) continue
    if (
      e.phase.kind === 'idea' &&
      e.idea.standing !== 'someday' &&
      !isResting(e, today) &&
      !(e.nature.kind === 'topical' && e.nature.staleAfter !== undefined && e.nature.staleAfter < today)
    )
      ideas++
    if (e.phase.kind === 'work' && e.place.kind !== 'nothing') filled++
  }
  const slots = slotsOf(show, today, addDays(today, 26 * 7)).filter((s) => !s.skipped)
  if (slots.length === 0) return { ideas, weeks: undefined, thin: false }
  const without = slots[ideas + filled]?.day
  const weeks = without === undefined ? 26 : Math.floor(daysBetween(today, without) / 7)
  return { ideas, weeks, thin: weeks < thinWeeks, ...(without === undefined ? {} : { without }) }
}

/**
 * The date on which filming or recording is due, counted back from a release date by the recipe; a week
 * before without such a step.
 */
export function filmDay(release: Day, recipe: Recipe | undefined): Day {
  const line = recipe?.lines.find((l) => l.kind === 'film' || l.kind === 'record')
  const days = line?.lead.kind === 'before' ? line.lead.days : 7
  return addDays(release, -days)
}

/** Days from one date to another as weeks in words: `11 weeks`, or days under two weeks. */
export function sayWeeks(from: Day, to: Day): string {
  const days = Math.max(0, dayNumber(to) - dayNumber(from))
  return days < 14 ? `${days} ${days === 1 ? 'day' : 'days'}` : `${Math.round(days / 7)} weeks`
}
