import { partOrTick } from '../recipe/bringing'
import type { StandingOf } from '../recipe/progress'
import type { Id, Records, Step } from '../records'
import { requiredParts } from '../release/parts'
import { sayMinutes } from '../script/timecode'
import { type Change, type Context, type Outcome, merged, momentOf, putRecord, withChanges } from './change'
import { timed } from './work/logged'
import { slicedTo, sourcesOf } from './sources-of'

/** Whether a step that ends by itself has ended: its part is there. */
function isLit(step: Step, of: StandingOf): boolean {
  return step.part !== undefined && partOrTick(step.part, of, requiredParts(of.outlets)).state === 'there'
}

/** The steps of an episode that its parts end, and nobody ended by hand. */
const lightable = (of: StandingOf) => of.steps.filter((s) => s.part !== undefined && s.doneAt === undefined)

/**
 * What a command does, with the steps that end by it because their part is there: when they did is noted, so that
 * their minutes count (what was timed, else as planned), and a timer that runs on one stops. Where a part is gone again,
 * so is the note. `touched` are the episodes that the command wrote of.
 */
export function withLighting(
  records: Records,
  done: Outcome,
  touched: ReadonlySet<Id>,
  context: Context,
): Outcome {
  const asked = [...touched].filter((id) => {
    const before = records.episodes.get(id)
    return before?.phase.kind === 'work'
  })
  if (asked.length === 0) return done
  const before = slicedTo(records, new Set(asked))
  let after = withChanges(before, done.changes)
  let changes: Change[] = []
  const said: string[] = []
  for (const id of asked) {
    const [was, is] = [sourcesOf(before, id, context), sourcesOf(after, id, context)]
    if (!was || is?.episode.phase.kind !== 'work') continue
    for (const step of lightable(is)) {
      const old = before.steps.get(step.id)
      if (!old) continue
      const [lit, wasLit] = [isLit(step, is), isLit(old, was)]
      if (lit === wasLit || (!lit && step.litAt === undefined)) continue
      const more = lit ? litStep(after, step, context) : [withoutLight(after, step, context)]
      after = withChanges(after, more)
      changes = merged(changes, more)
      const now = after.steps.get(step.id)
      if (lit && now) said.push(sayLit(now))
    }
  }
  return changes.length === 0
    ? done
    : {
        ...done,
        changes: merged(done.changes, changes),
        ...(said.length > 0 ? { lit: said.join(' ') } : {}),
      }
}

function litStep(records: Records, old: Step, context: Context): Change[] {
  const { step, stopped } = timed(records, old, context)
  const at = momentOf(context)
  return [putRecord(records, 'steps', { ...step, litAt: at, waiting: undefined, updatedAt: at }), ...stopped]
}

function withoutLight(records: Records, step: Step, context: Context): Change {
  const { litAt: _gone, ...rest } = step
  return putRecord(records, 'steps', { ...rest, updatedAt: momentOf(context) })
}

function sayLit({ name, logged, minutes }: Step): string {
  return logged > 0
    ? `${name} is done: ${sayMinutes(logged)} worked.`
    : `${name} is done; ${sayMinutes(minutes)} counted, as planned.`
}
