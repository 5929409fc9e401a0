import { mean, sum } from 'd3-array'
import { changeBetween, changedParts, type ChangePart, type Shot } from '../plan/shots'
import type { ChangeMinutes, Id, Session } from '../records'
import { inHandFor } from './clock'

/** What a change comes to at most; what took longer was something else, or nobody pressed. */
const most = 240

/** One shot after another: what it took, what of that is filming, and what was changed for it. */
interface Went {
  minutes: number
  filming: number
  parts: ChangePart[]
  change: number
}

/**
 * Each shot that was filmed at one stretch right behind another one. One that was left at once, or ticked when it was
 * long got, says nothing; nor does what was come back to. What goes on after the last one was got is not counted.
 */
function wentFrom(
  session: Pick<Session, 'stretches'>,
  shots: ReadonlyMap<Id, Shot>,
  costs: ChangeMinutes,
): Went[] {
  const all = inHandFor(session)
  const stretches = all.filter(({ of }, i) => all[i - 1]?.of !== of)
  const often = new Set<Id>()
  const seen = new Set<Id>()
  for (const { of } of stretches) (seen.has(of) ? often : seen).add(of)
  const went: Went[] = []
  let last: Shot | undefined
  for (const { of, minutes } of stretches) {
    const shot = shots.get(of)
    const isTold = shot !== undefined && !often.has(of) && minutes >= shot.minutes / 2
    if (last && isTold)
      went.push({
        minutes,
        filming: shot.minutes,
        parts: changedParts(last, shot),
        change: changeBetween(last, shot, costs),
      })
    last = isTold ? shot : undefined
  }
  return went
}

/**
 * Minutes that each kind of change took in a session, of those that were made in it: what a shot took beyond filming,
 * as quick as where nothing was changed; where several were changed at once, by what they count till now.
 *
 * @param shots - those of the session, as they were to be filmed
 * @param costs - what changes count till now, minutes
 */
export function changesTook(
  session: Pick<Session, 'stretches'>,
  shots: ReadonlyMap<Id, Shot>,
  costs: ChangeMinutes,
): Partial<ChangeMinutes> {
  const went = wentFrom(session, shots, costs)
  const still = went.filter((w) => w.parts.length === 0)
  const given = sum(still, (w) => w.filming)
  const pace = given > 0 ? sum(still, (w) => w.minutes) / given : 1
  const took = new Map<ChangePart, number[]>()
  for (const { minutes, filming, parts, change } of went) {
    const beyond = Math.max(0, minutes - filming * pace)
    if (beyond > most) continue
    for (const part of parts) {
      const share = change > 0 ? costs[part] / change : 1 / parts.length
      took.set(part, [...(took.get(part) ?? []), beyond * share])
    }
  }
  return Object.fromEntries([...took].map(([part, minutes]) => [part, mean(minutes) ?? 0]))
}
