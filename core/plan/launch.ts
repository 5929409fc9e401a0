import type { Day, Episode, Launch } from '../records'
import type { Outlook } from './outlook'
import { addDays, sayDay } from '../rhythm/days'

/** An episode as a launch looks at it. */
export interface Supporter {
  episode: Episode
  title: string
  number: string
  release: Day | undefined
  ready: boolean
  outlook: Outlook['is'] | undefined
  /** What its show calls this kind of episode: “tutorial”. */
  form?: string | undefined
}

/** How a launch stands: the dates of its run-up, and what is missing around it, the gravest first. */
export interface LaunchStanding {
  window: { from: Day; to: Day }
  support: number
  missing: string[]
}

/**
 * What is missing around a launch: kinds of episode that should stand before or after it; episodes not chosen yet, not placed, going out after its end or before
 * its run-up, not likely to be in time; and open slots within its run-up, by date. `open` are the open
 * slots' dates.
 */
export function launchStanding(
  launch: Launch,
  supporters: readonly Supporter[],
  open: readonly Day[],
  today: Day,
): LaunchStanding {
  const window = { from: addDays(launch.from, -launch.runUp), to: launch.to }
  const missing: string[] = []
  const mine = supporters.filter(
    (s) => launch.episodes.includes(s.episode.id) && s.episode.phase.kind !== 'dropped',
  )
  const inside = mine.filter(
    (s) => s.release !== undefined && s.release >= window.from && s.release <= window.to,
  )
  for (const s of mine) {
    if (s.release === undefined) missing.push(`${s.number} “${s.title}” has no date`)
    else if (s.release > window.to)
      missing.push(`${s.number} goes out ${sayDay(s.release)}, after it is over`)
    else if (s.release < window.from)
      missing.push(`${s.number} goes out ${sayDay(s.release)}, before its run-up`)
    else if (s.episode.phase.kind !== 'released' && isDoubtful(s.outlook))
      missing.push(`${s.number} is ${s.outlook}`)
  }
  if (mine.length < launch.wanted) missing.push(`${mine.length} of ${launch.wanted} episodes chosen`)
  const isKind = (s: Supporter, form: string) => s.form?.toLowerCase() === form.toLowerCase()
  for (const { form, side } of launch.around ?? []) {
    const stands = mine.some(
      (s) =>
        isKind(s, form) &&
        s.release !== undefined &&
        (side === 'before' ? s.release < launch.from : s.release >= launch.from),
    )
    if (!stands) missing.push(`no ${form} ${side === 'before' ? 'before it' : 'from its first day on'}`)
  }
  const gaps = open.filter((d) => d >= window.from && d <= window.to && d >= today)
  if (gaps.length > 0 && (mine.length < launch.wanted || mine.some((s) => s.release === undefined)))
    missing.push(
      `open in its run-up: ${gaps
        .slice(0, 4)
        .map((d) => sayDay(d))
        .join(', ')}`,
    )
  return { window, support: inside.length, missing }
}

function isDoubtful(outlook: Supporter['outlook']): outlook is 'tight' | 'unlikely' {
  return outlook === 'tight' || outlook === 'unlikely'
}
