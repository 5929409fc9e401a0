import { max, min, sum } from 'd3-array'
import type { Day, Episode, Id, Recipe, StageKind, Step, StepKind, Zone } from '../records'
import { dayIn } from '../rhythm/creator'
import { daysBetween } from '../rhythm/days'
import { dayAt } from '../rhythm/zone'
import { workedOf, type Worked } from './time-sheet'

/** The days on which a stage was worked on. */
export interface StageSpan {
  stage: string
  kind: StageKind
  name: string
  first: Day
  last: Day
  /** Different days with work. */
  worked: number
  /** From its last work to the first on the stage that came next; 0 where that had begun. */
  still: number
}

/** A released episode, and how it was made. */
export interface Made {
  episode: Episode
  /** The local day on which it went out, and the moment in ms. */
  day: Day
  at: number
  /** Days between being ready and going out; nothing where no step says when. */
  lead: number | undefined
  /** Its stages in the order in which work on them began. */
  spans: StageSpan[]
  /** Minutes logged, and those of them by kind of step with what was planned. */
  minutes: number
  kinds: ReadonlyMap<StepKind, { planned: number; taken: number }>
  /** The day on which it was filmed or recorded; nothing where nothing was. */
  filmed: Day | undefined
  /** Whether each of its recipe's lines was done. */
  lines: ReadonlyMap<Id, boolean>
  /** How many days before its release each line was done; those that were not are left out. */
  ended: ReadonlyMap<Id, number>
  /** Its work by day. */
  worked: Worked[]
}

const isAfter = (s: Step) => s.lead.kind === 'after'

/** How a released episode was made, from its steps; nothing where it is not out. Days are those of `zone`. */
export function madeOf(
  episode: Episode,
  recipe: Pick<Recipe, 'stages'>,
  steps: readonly Step[],
  zone: Zone,
): Made | undefined {
  if (episode.phase.kind !== 'released') return undefined
  const at = Date.parse(episode.phase.at)
  const before = steps.filter((s) => !isAfter(s))
  const ended = before.flatMap((s) => (s.doneAt === undefined || !s.required ? [] : [Date.parse(s.doneAt)]))
  const ready = max(ended)
  return {
    episode,
    day: dayAt(at, zone),
    at,
    lead: ready === undefined ? undefined : (at - ready) / 86_400_000,
    spans: spansOf(recipe, before, zone),
    minutes: sum(steps, (s) => s.logged),
    kinds: kindsOf(steps),
    filmed: max(
      steps.flatMap((s) =>
        (s.kind === 'film' || s.kind === 'record') && s.doneAt !== undefined ? [dayIn(s.doneAt, zone)] : [],
      ),
    ),
    lines: new Map(steps.flatMap((s) => (s.line === undefined ? [] : [[s.line, s.doneAt !== undefined]]))),
    ended: new Map(
      before.flatMap((s) =>
        s.line === undefined || s.doneAt === undefined
          ? []
          : [[s.line, daysBetween(dayIn(s.doneAt, zone), dayAt(at, zone))]],
      ),
    ),
    worked: workedOf(steps, zone),
  }
}

/** Planned and taken minutes by kind, of steps that are done and were logged. */
function kindsOf(steps: readonly Step[]): Made['kinds'] {
  const by = new Map<StepKind, { planned: number; taken: number }>()
  for (const s of steps) {
    if (s.doneAt === undefined || s.logged <= 0 || s.minutes <= 0) continue
    const { planned, taken } = by.get(s.kind) ?? { planned: 0, taken: 0 }
    by.set(s.kind, { planned: planned + s.minutes, taken: taken + s.logged })
  }
  return by
}

function daysOf(step: Step, zone: Zone): Day[] {
  const worked = Object.entries(step.worked ?? {}).flatMap(([day, minutes]) => (minutes > 0 ? [day] : []))
  return step.doneAt === undefined ? worked : [...worked, dayIn(step.doneAt, zone)]
}

/** The stages of an episode in the order in which work on them began, with the waiting between them. */
function spansOf({ stages }: Pick<Recipe, 'stages'>, steps: readonly Step[], zone: Zone): StageSpan[] {
  const spans = stages.flatMap((stage): StageSpan[] => {
    const days = steps.filter((s) => s.stage === stage.id).flatMap((s) => daysOf(s, zone))
    const [first, last] = [min(days), max(days)]
    return first === undefined || last === undefined
      ? []
      : [
          {
            ...{ stage: stage.id, kind: stage.kind, name: stage.name, first, last, still: 0 },
            worked: new Set(days).size,
          },
        ]
  })
  const ordered = [...spans].sort((a, b) => (a.first < b.first ? -1 : a.first > b.first ? 1 : 0))
  return ordered.map((span, i) => {
    const next = ordered[i + 1]
    return { ...span, still: next ? Math.max(0, daysBetween(span.last, next.first)) : 0 }
  })
}
