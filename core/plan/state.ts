import type {
  Day,
  Deal,
  Episode,
  Id,
  Outlet,
  Part,
  Recipe,
  Records,
  Script,
  Session,
  Show,
  Step,
  StepKind,
} from '../records'
import { recipeFor } from '../commands/of-episode'
import { freshSettings } from '../commands/settings/fresh-settings'
import { dealFor } from '../partners/deal-of'
import { workingDays } from '../recipe/due'
import { progressOf } from '../recipe/lamps'
import { hasWork, type EpisodeProgress } from '../recipe/progress'
import { addDays } from '../rhythm/days'
import { ownMinutes } from '../session/kinds'
import { creatorZone } from '../rhythm/creator'
import { dayAt } from '../rhythm/zone'
import type { KindPace } from './accuracy'
import type { ForecastFor } from './forecast'
import { layWork, planFor, type HoursOf, type Load } from './load'
import { withReads } from './reads'
import { takenMinutes } from './standing'
import { daysOfOthers, inPlanOrder, openWork, type OpenWork } from './work'
import { workedSince } from './worked'

/** An episode in work with all that is derived of it. */
export interface Working {
  episode: Episode
  show: Show
  recipe: Recipe
  outlets: readonly Outlet[]
  script: Script | undefined
  steps: readonly Step[]
  /** What was agreed with its sponsor, if anything. */
  deal: Deal | undefined
  standing: EpisodeProgress
}

/**
 * The hours of days as planning sees them, from the records at a moment: the week's, less what standing
 * work and busy time take, less what was worked on a day already.
 */
export function hoursIn(
  records: Pick<Records, 'settings' | 'standing' | 'busy' | 'steps' | 'shows' | 'sessions'>,
  today: Day,
): HoursOf {
  const settings = records.settings.get('settings') ?? freshSettings('')
  const worked = workedSince(records.steps.values(), creatorZone(records.shows.values()), addDays(today, -14))
  return {
    hours: settings.hours,
    daysOff: settings.daysOff,
    exceptions: settings.exceptions,
    setup: settings.setup,
    preferred: settings.preferred,
    worked: worked.minutes,
    begun: worked.kinds.get(today) ?? new Set<StepKind>(),
    taken: withSessions(
      records.standing.size + records.busy.size === 0
        ? new Map<Day, number>()
        : takenMinutes(
            records.standing.values(),
            records.busy.values(),
            addDays(today, -14),
            addDays(today, 200),
          ),
      records.sessions.values(),
    ),
  }
}

/** Minutes taken of days with those of sessions that have no steps: planning, stock footage. */
function withSessions(
  taken: ReadonlyMap<Day, number>,
  sessions: Iterable<Session>,
): ReadonlyMap<Day, number> {
  const all = new Map(taken)
  for (const session of sessions) {
    const minutes = ownMinutes(session)
    if (minutes > 0) all.set(session.day, (all.get(session.day) ?? 0) + minutes)
  }
  return all
}

/** The day's work as it stands: what is open, and how it lies on days. */
export interface Plan {
  open: OpenWork
  load: Load
}

/** All open work laid on days round what lies in the week already. `now` is in ms since 1970. */
export function planOf(
  work: readonly Pick<Working, 'episode' | 'standing'>[],
  hours: HoursOf,
  today: Day,
  now: number,
  { launches, jobs }: Pick<Records, 'launches' | 'jobs'>,
): Plan {
  const open = openWork(work, today, now, launches, daysOfOthers(jobs.values()))
  return { open, load: layWork(planFor(open.tasks, open.laid, hours, today)) }
}

/** What was learnt, which forecasts go by. */
export interface Learnt {
  paces: ReadonlyMap<StepKind, KindPace>
  /** Share of days that are lost. */
  lost: number
}

/** How many draws a forecast takes. */
export const draws = 2000

/** What a forecast of the work as it stands looks at. */
export function forecastOf({ open, load }: Plan, hours: HoursOf, today: Day, learnt: Learnt): ForecastFor {
  const { minutes, setup, begun } = planFor([], [], hours, today)
  return {
    tasks: withReads(inPlanOrder(open.tasks, load), open.reads),
    waits: open.waits,
    laid: load.blocks.filter((b) => b.fixed),
    first: today,
    minutes,
    paces: learnt.paces,
    lost: learnt.lost,
    setup,
    begun,
    draws,
    seed: 'lamp-reel',
  }
}

/**
 * Everything that screens derive from the records at a moment, without a memory: for looking ahead, and for
 * holding screens against.
 */
export interface State extends Plan {
  today: Day
  hours: HoursOf
  working: Working[]
  /** Out, with work left that follows the release. */
  following: Working[]
}

/**
 * Derives all episodes in work and their plan anew. Linear in their steps and scripts, beside laying the
 * work.
 */
export function stateOf(
  records: Records,
  now: number,
  partMinutes: ReadonlyMap<Id, Partial<Record<Part, number>>> = new Map(),
): State {
  const today = dayAt(now, creatorZone(records.shows.values()))
  const works = workingDays(records.settings.get('settings') ?? freshSettings(''))
  const bySteps = new Map<Id, Step[]>()
  for (const s of records.steps.values()) {
    const row = bySteps.get(s.episode)
    if (row) row.push(s)
    else bySteps.set(s.episode, [s])
  }
  const all = [...records.episodes.values()].flatMap((episode): Working[] => {
    const show = records.shows.get(episode.show)
    const recipe = recipeFor(records, episode)
    const { kind } = episode.phase
    if ((kind !== 'work' && kind !== 'released') || !show || !recipe) return []
    const outlets = show.outlets.flatMap((id) => records.outlets.get(id) ?? [])
    const script = records.scripts.get(episode.id)
    const steps = bySteps.get(episode.id) ?? []
    const deal = dealFor(records.deals, episode, show)
    const of = { episode, show, recipe, outlets, script, steps, deal }
    return [{ ...of, standing: progressOf({ ...of, today, works, partMinutes: partMinutes.get(show.id) }) }]
  })
  const working = all.filter((w) => w.episode.phase.kind === 'work')
  const following = all.filter((w) => w.episode.phase.kind === 'released' && hasWork(w.standing))
  const hours = hoursIn(records, today)
  return {
    today,
    hours,
    working,
    following,
    ...planOf([...working, ...following], hours, today, now, records),
  }
}
