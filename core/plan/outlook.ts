import type { Day, Id } from '../records'

/** How one release stands. */
export interface Outlook {
  episode: Id
  release: Day
  /** Share of draws in which it is ready by its release; nothing where it lies beyond what is looked at. */
  chance: number
  is: 'on track' | 'tight' | 'unlikely' | 'too far ahead'
  /** The days by which half, and nine in ten, of the draws are ready: numbers of days since 1970. */
  p50: number
  p90: number
  /**
   * The step that most often decides: the one that ends last, or what it waited for until that same day; none that
   * is left of a few minutes. The reason.
   */
  last: Id | undefined
  /**
   * How many draws are ready so many days before (negative) or after the release; both ends cut at four
   * weeks.
   */
  spread: Map<number, number>
}

/** The words for a chance. */
export function outlookOf(chance: number): 'on track' | 'tight' | 'unlikely' {
  return chance >= 0.8 ? 'on track' : chance >= 0.5 ? 'tight' : 'unlikely'
}
