import { needsByStages } from '../../recipe/needs'
import type { Day, Id, Records, Step } from '../../records'
import { refused } from '../../result'
import { sayDay } from '../../rhythm/days'
import type { Command } from '../change'
import { recipeFor, stepsOf } from '../of-episode'
import { stepOf, todayOf } from '../step-of'
import { withBlock, written } from './blocks'

/**
 * A step that another needs and that lies in the week after a day, near or far down the needs; the latest
 * of them.
 */
export function laidAfter(
  records: Records,
  step: Step,
  day: Day,
  today: Day,
  /** Steps that come to the same day. */
  along: readonly Id[] = [],
): { name: string; day: Day } | undefined {
  const episode = records.episodes.get(step.episode)
  const recipe = episode && recipeFor(records, episode)
  const steps = stepsOf(records, step.episode)
  const needs = needsByStages(steps, recipe?.stages ?? [])
  const seen = new Set<Id>([step.id])
  const row = [...(needs.get(step.id) ?? step.needs)]
  let latest: { name: string; day: Day } | undefined
  for (let id = row.pop(); id !== undefined; id = row.pop()) {
    if (seen.has(id)) continue
    seen.add(id)
    row.push(...(needs.get(id) ?? []))
    const need = records.steps.get(id)
    if (!need || need.doneAt !== undefined || along.includes(id)) continue
    for (const b of need.blocks)
      if (b.day >= today && b.day > (latest?.day ?? day)) latest = { name: need.name, day: b.day }
  }
  return latest
}

/** Open steps of the same episode that need a step, near or far, and lie before a day: there they cannot stay. */
function heldBack(records: Records, step: Step, day: Day, today: Day): Step[] {
  const episode = records.episodes.get(step.episode)
  const recipe = episode && recipeFor(records, episode)
  const steps = stepsOf(records, step.episode)
  const needs = needsByStages(steps, recipe?.stages ?? [])
  const behind = new Set<Id>([step.id])
  for (let grown = 0; grown !== behind.size;) {
    grown = behind.size
    for (const s of steps) if ((needs.get(s.id) ?? s.needs).some((n) => behind.has(n))) behind.add(s.id)
  }
  return steps.filter(
    (s) =>
      s.id !== step.id &&
      behind.has(s.id) &&
      s.doneAt === undefined &&
      s.blocks.some((b) => b.day >= today && b.day < day),
  )
}

/**
 * Lays a step's minutes on a day, pinned there; minutes laid on `from` are moved, otherwise those not laid
 * yet. Refused for a day that has passed, for nothing to lay, and for a day before one on which something
 * that it needs lies. What needs it and lies earlier is planned behind it; the sentence says so.
 *
 * Refused:
 * - “… has passed. Choose today or a day to come.”
 * - “Nothing of this step is left to lay.”
 * - “… needs …, which lies on …. Lay it then or later, or move … first.”
 * - and what `stepOf` refuses
 */
export const layOnDay: Command<{
  step: Id
  day: Day
  from?: Day | undefined
  minutes: number
}> = (records, { step: id, day, from, minutes }, context) => {
  const today = todayOf(records, context)
  const read = stepOf(records, id, context)
  if (!read.ok) return read
  const step = read.value
  if (day < today) return refused(`${sayDay(day)} has passed. Choose today or a day to come.`, 'steps.blocks')
  if (minutes <= 0) return refused('Nothing of this step is left to lay.', 'steps.blocks')
  const before = laidAfter(records, step, day, today)
  if (before)
    return refused(
      `${step.name} needs ${before.name}, which lies on ${sayDay(before.day)}. Lay it then or later, or move ${before.name} first.`,
      'steps.blocks',
    )
  const held = heldBack(records, step, day, today).map((s) => s.name)
  const then =
    held.length === 0
      ? ''
      : `; ${held.join(', ')} ${held.length === 1 ? 'needs' : 'need'} it and ${held.length === 1 ? 'is' : 'are'} planned after it`
  const moved = from === undefined ? step.blocks : step.blocks.filter((b) => b.day !== from)
  return written(
    records,
    step,
    withBlock(moved, day, minutes, true),
    context,
    `${step.name} laid on ${sayDay(day)}${then}`,
  )
}

/** Takes a step's block off its day, or all of its blocks; the plan lays it again. */
export const takeOffDay: Command<{ step: Id; day?: Day | undefined }> = (
  records,
  { step: id, day },
  context,
) => {
  const read = stepOf(records, id, context)
  return read.ok
    ? written(
        records,
        read.value,
        day === undefined ? [] : read.value.blocks.filter((b) => b.day !== day),
        context,
        `${read.value.name} taken off ${day === undefined ? 'the week' : sayDay(day)}`,
      )
    : read
}
