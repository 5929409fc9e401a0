import type { Episode, Launch } from '../records'

/** How important an episode is: as nothing was said, important, or before everything else. */
export type ImportanceLevel = 0 | 1 | 2

/** What each level is called. */
export const importanceNames: Readonly<Record<ImportanceLevel, string>> = {
  0: 'ordinary',
  1: 'important',
  2: 'before all others',
}

/** How important an episode is, and what makes it so by itself. */
export interface Importance {
  level: ImportanceLevel
  /** Why it rises by itself: “sponsored by Kelpline Rope”, “leads up to Drawings”. */
  raised: string[]
  /** What missing its release weighs to the planner, 1 for an ordinary one. */
  weight: number
}

/**
 * How important an episode is: what its maker said, one level more where it is sponsored or leads up to a launch.
 * A sponsored release weighs as much as three ordinary ones, one that leads up to a launch as much as two, each
 * level said by hand one more.
 */
export function importanceOf(episode: Episode, launches: Iterable<Launch>): Importance {
  const led = [...launches].filter((l) => l.episodes.includes(episode.id))
  const raised = [
    ...(episode.sponsor === undefined ? [] : [`sponsored by ${episode.sponsor}`]),
    ...led.map((l) => `leads up to ${l.name}`),
  ]
  return {
    level: levelIn(Math.min(2, episode.priority) + (raised.length > 0 ? 1 : 0)),
    raised,
    weight: 1 + episode.priority + (episode.sponsor === undefined ? 0 : 2) + (led.length > 0 ? 1 : 0),
  }
}

/** What the mark says next by hand: a level more, and from the highest back to nothing said. */
export function nextPriority(episode: Episode, { raised }: Importance): number {
  const most = raised.length > 0 ? 1 : 2
  return episode.priority >= most ? 0 : episode.priority + 1
}

function levelIn(n: number): ImportanceLevel {
  return n >= 2 ? 2 : n === 1 ? 1 : 0
}
