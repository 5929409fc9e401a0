import type { Day, Id, PlannedBlock, Records, Step } from '../records'
import { titleOf } from '../release/parts'
import { fine, refused, type Result } from '../result'
import { addDays, dayNumber, sayDay, weekday } from '../rhythm/days'
import { needsByStages } from '../recipe/needs'
import { hoursOn, minutesOn, type HoursOf } from '../plan/load'
import { Planner } from '../plan/planner'
import { recipeFor, stepsOf } from './schedule'
import { stepOf, todayOf } from './step-of'
import { momentOf, putting, type Change, type Command, type Context, type Done } from './change'
import { freshSettings } from './settings'

function written(
  records: Records,
  step: Step,
  blocks: PlannedBlock[],
  context: Context,
  sentence: string,
): Result<Done> {
  const sorted = blocks.filter((b) => b.minutes > 0).sort((a, b) => (a.day < b.day ? -1 : 1))
  return fine({
    changes: [putting(records, 'steps', { ...step, blocks: sorted, updatedAt: momentOf(context) })],
    sentence,
    about: [step.episode],
  })
}

/** Adds minutes to the block of a day, or makes one. */
function withBlock(
  blocks: readonly PlannedBlock[],
  day: Day,
  minutes: number,
  pinned: boolean,
): PlannedBlock[] {
  const there = blocks.find((b) => b.day === day)
  return there
    ? blocks.map((b) =>
        b === there ? { ...b, minutes: b.minutes + minutes, pinned: b.pinned || pinned } : b,
      )
    : [...blocks, { day, minutes, pinned }]
}

/**
 * A step that another needs and that lies in the week after a day, near or far down the needs; the latest
 * of them.
 */
function laidAfter(
  records: Records,
  step: Step,
  day: Day,
  today: Day,
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
    if (!need || need.doneAt !== undefined) continue
    for (const b of need.blocks)
      if (b.day >= today && b.day > (latest?.day ?? day)) latest = { name: need.name, day: b.day }
  }
  return latest
}

/**
 * Lays a step's minutes on a day, pinned there; minutes laid on `from` are moved, otherwise those not laid
 * yet. Refused for a day that has passed, for nothing to lay, and for a day before one on which something
 * that it needs lies.
 */
export const layOnDay: Command<{
  step: Id
  day: Day
  from?: Day | undefined
  minutes: number
  today: Day
}> = (records, { step: id, day, from, minutes, today }, context) => {
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
  const moved = from === undefined ? step.blocks : step.blocks.filter((b) => b.day !== from)
  return written(
    records,
    step,
    withBlock(moved, day, minutes, true),
    context,
    `${step.name} laid on ${sayDay(day)}`,
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

/** Pins a block to its day, or lets planning move it again. */
export const pinBlock: Command<{ step: Id; day: Day; pinned: boolean }> = (
  records,
  { step: id, day, pinned },
  context,
) => {
  const read = stepOf(records, id, context)
  return read.ok
    ? written(
        records,
        read.value,
        read.value.blocks.map((b) => (b.day === day ? { ...b, pinned } : b)),
        context,
        `${read.value.name} ${pinned ? 'pinned to' : 'free to move from'} ${sayDay(day)}`,
      )
    : read
}

/**
 * Splits a block in two, the second half going to another day, where it joins what is there. Refused under
 * an hour.
 */
export const splitBlock: Command<{ step: Id; day: Day; minutes: number; to: Day }> = (
  records,
  { step: id, day, minutes, to },
  context,
) => {
  const read = stepOf(records, id, context)
  if (!read.ok) return read
  if (minutes < 60) return refused('Under an hour it is not worth splitting.', 'steps.blocks')
  const first = Math.round(minutes / 2 / 15) * 15
  const rest = read.value.blocks.filter((b) => b.day !== day)
  return written(
    records,
    read.value,
    withBlock([...rest, { day, minutes: first, pinned: true }], to, minutes - first, true),
    context,
    `${read.value.name} split between ${sayDay(day)} and ${sayDay(to)}`,
  )
}

/**
 * Gathers all that is laid of a step from a day on into one block on it; it stays split nowhere. Refused
 * where it is in one piece.
 */
export const joinBlocks: Command<{ step: Id; day: Day; today: Day }> = (
  records,
  { step: id, day, today },
  context,
) => {
  const read = stepOf(records, id, context)
  if (!read.ok) return read
  const mine = read.value.blocks.filter((b) => b.day >= today)
  if (mine.length < 2) return refused('It is in one piece already.', 'steps.blocks')
  const minutes = mine.reduce((sum, b) => sum + b.minutes, 0)
  const at = mine.find((b) => b.day === day)?.at
  return written(
    records,
    read.value,
    [
      ...read.value.blocks.filter((b) => b.day < today),
      { day, minutes, pinned: true, ...(at === undefined ? {} : { at }) },
    ],
    context,
    `${read.value.name} in one piece on ${sayDay(day)}`,
  )
}

/**
 * Gives a block a clock time on its day (a guest at 15:00), or none. It is pinned by it; what was not laid
 * yet is laid.
 */
export const timeBlock: Command<{ step: Id; day: Day; minutes: number; at: string | undefined }> = (
  records,
  { step: id, day, minutes, at },
  context,
) => {
  const read = stepOf(records, id, context)
  if (!read.ok) return read
  const { blocks } = read.value
  const there = blocks.find((b) => b.day === day) ?? { day, minutes, pinned: true }
  return written(
    records,
    read.value,
    [...blocks.filter((b) => b.day !== day), { ...there, pinned: true, at }],
    context,
    at === undefined
      ? `${read.value.name} at no particular time`
      : `${read.value.name} on ${sayDay(day)} at ${at}`,
  )
}

/**
 * Lays the blocks of a day in an order. What was only the plan's is laid there by it; what has a clock time
 * is shown by that.
 */
export const orderDay: Command<{ day: Day; row: { step: Id; minutes: number }[] }> = (
  records,
  { day, row },
  context,
) => {
  const changes = row.flatMap(({ step: id, minutes }, i): Change[] => {
    const read = stepOf(records, id, context)
    if (!read.ok) return []
    const step = read.value
    const there = step.blocks.find((b) => b.day === day) ?? { day, minutes, pinned: false }
    return there.place === i && step.blocks.includes(there)
      ? []
      : [
          putting(records, 'steps', {
            ...step,
            blocks: [...step.blocks.filter((b) => b.day !== day), { ...there, place: i }].sort((a, b) =>
              a.day < b.day ? -1 : 1,
            ),
            updatedAt: momentOf(context),
          }),
        ]
  })
  return changes.length === 0
    ? refused('They are in this order already.', 'steps.blocks')
    : fine({ changes, sentence: `Changed the order of ${sayDay(day)}`, about: [] })
}

/**
 * Lays an episode's open work of one's own on the days of a week, pinned, in the room that other laid work
 * leaves, needs first. Says how much found none; refused where nothing fits.
 */
export const layEpisode: Command<{ episode: Id; monday: Day; today: Day; hours: HoursOf }> = (
  records,
  { episode: id, monday, today, hours },
  context,
) => {
  const episode = records.episodes.get(id)
  if (!episode) return refused('This episode is no longer there.', 'episodes')
  const first = monday > today ? monday : today
  const last = addDays(monday, 6)
  if (last < today) return refused('This week has passed. Choose one that is still to come.', 'steps.blocks')
  const open = stepsOf(records, id).filter(
    (s) => s.doneAt === undefined && s.owner === 'me' && !s.waiting && s.lead.by !== 'after',
  )
  const others = [...records.steps.values()].filter((s) => s.episode !== id && s.doneAt === undefined)
  const minutes = Array.from({ length: dayNumber(last) - dayNumber(first) + 1 }, (_, n) => {
    const day = addDays(first, n)
    return Math.max(
      0,
      minutesOn(hours, day) -
        others.reduce(
          (sum, s) => sum + s.blocks.filter((b) => b.day === day).reduce((a, b) => a + b.minutes, 0),
          0,
        ),
    )
  })
  const ids = new Set(open.map((s) => s.id))
  const row = [...open].sort((a, b) => a.order - b.order)
  const tasks = row.map((s, i) => ({
    id: s.id,
    episode: id,
    kind: s.kind,
    minutes: Math.max(0, s.minutes - s.logged),
    due: addDays(last, i),
    needs: s.needs.filter((n) => ids.has(n)),
    earliest: s.earliest,
    split: s.kind !== 'film' && s.kind !== 'record',
    weight: 1,
  }))
  const settings = records.settings.get('settings') ?? freshSettings(momentOf(context))
  const { plan } = new Planner({
    tasks,
    pinned: [],
    first,
    minutes,
    setup: settings.setup,
    preferred: settings.preferred,
  })
  const whole = new Set(tasks.map((t) => t.id).filter((t) => !plan.unplaced.includes(t)))
  const changes = row
    .filter((s) => whole.has(s.id))
    .flatMap((s): Change[] => {
      const blocks = plan.blocks
        .filter((b) => b.id === s.id)
        .reduce<PlannedBlock[]>((all, b) => withBlock(all, b.day, b.minutes, true), [])
      return blocks.length === 0
        ? []
        : [
            putting(records, 'steps', {
              ...s,
              blocks: [...s.blocks.filter((b) => b.day < today), ...blocks].sort((a, b) =>
                a.day < b.day ? -1 : 1,
              ),
              updatedAt: momentOf(context),
            }),
          ]
    })
  if (changes.length === 0)
    return refused(
      `Nothing of “${titleOf(episode)}” fits into the week of ${sayDay(monday)}. Free some hours, or choose another week.`,
      'steps.blocks',
    )
  const rest = tasks.length - whole.size
  return fine({
    changes,
    sentence: `Laid “${titleOf(episode)}” on the week of ${sayDay(addDays(monday, -weekday(monday)))}${rest > 0 ? `; ${rest} ${rest === 1 ? 'step finds' : 'steps find'} no room in it` : ''}`,
    about: [id],
  })
}

/**
 * Takes a proposed plan, whole or in part: the blocks of these steps in place of those that lie loose from
 * today on; pinned ones stay and what is added to their day joins them, past ones stay as what was planned.
 * One step of undo. Refused when none of the steps is there any more.
 */
export const takePlan: Command<{ blocks: { id: Id; day: Day; minutes: number }[] }> = (
  records,
  { blocks },
  context,
) => {
  const today = todayOf(records, context)
  const by = new Map<Id, { day: Day; minutes: number }[]>()
  for (const b of blocks) by.set(b.id, [...(by.get(b.id) ?? []), b])
  const changes: Change[] = []
  for (const [id, mine] of by) {
    const read = stepOf(records, id, context)
    if (!read.ok) continue
    const step = read.value
    const kept = step.blocks.filter((b) => b.pinned || b.day < today)
    changes.push(
      putting(records, 'steps', {
        ...step,
        blocks: mine
          .reduce<PlannedBlock[]>((all, b) => withBlock(all, b.day, b.minutes, false), kept)
          .sort((a, b) => (a.day < b.day ? -1 : 1)),
        updatedAt: momentOf(context),
      }),
    )
  }
  return changes.length === 0
    ? refused('Nothing of this plan can be taken any more; plan anew.', 'steps')
    : fine({
        changes,
        sentence: `Took the plan for ${changes.length} ${changes.length === 1 ? 'step' : 'steps'}`,
        about: [],
      })
}

/** Brings what was laid on past days and not done onto today, in one move. */
export const leftToToday: Command<{ steps: Id[]; today: Day }> = (records, { steps, today }, context) => {
  const changes = steps.flatMap((id): Change[] => {
    const step = records.steps.get(id)
    const past = step?.blocks.filter((b) => b.day < today && !b.missed) ?? []
    if (!step || past.length === 0) return []
    // Not more on today than is left to do, with what lies there already.
    const left = Math.max(15, step.minutes - step.logged)
    const lies = step.blocks.find((b) => b.day === today)?.minutes ?? 0
    const minutes = Math.max(
      0,
      Math.min(
        past.reduce((sum, b) => sum + b.minutes, 0),
        left - lies,
      ),
    )
    return [
      putting(records, 'steps', {
        ...step,
        blocks: withBlock(
          step.blocks.map((b) => (b.day < today ? { ...b, missed: true } : b)),
          today,
          minutes,
          true,
        ).sort((a, b) => (a.day < b.day ? -1 : 1)),
        updatedAt: momentOf(context),
      }),
    ]
  })
  return changes.length === 0
    ? refused('Nothing is left over.', 'steps.blocks')
    : fine({
        changes,
        sentence: `Brought ${changes.length === 1 ? 'one step' : `${changes.length} steps`} onto today`,
        about: [],
      })
}

/**
 * Gives several days other hours at once: none when they are lost (what was laid there is free for other
 * days), more when an evening comes free; `undefined` takes their weekday's again.
 */
export const setDays: Command<{ days: Day[]; minutes: number | undefined }> = (
  records,
  { days, minutes },
  context,
) => {
  if (days.length === 0) return refused('Choose a day first.', 'settings.exceptions')
  const at = momentOf(context)
  const today = todayOf(records, context)
  // What has passed stays as what was planned: from it is learnt how many days are lost.
  const free = (b: PlannedBlock) => b.day >= today && days.includes(b.day)
  const settings = records.settings.get('settings') ?? freshSettings(at)
  const others = Object.fromEntries(
    Object.entries(settings.exceptions).filter(([day]) => !days.includes(day)),
  )
  const exceptions =
    minutes === undefined ? others : { ...others, ...Object.fromEntries(days.map((day) => [day, minutes])) }
  const said = days.length === 1 ? sayDay(days[0] ?? '') : `${days.length} days`
  const freed =
    minutes !== 0
      ? []
      : [...records.steps.values()]
          .filter((s) => s.doneAt === undefined && s.blocks.some(free))
          .map((s) =>
            putting(records, 'steps', {
              ...s,
              blocks: s.blocks.filter((b) => !free(b)),
              updatedAt: at,
            }),
          )
  return fine({
    changes: [putting(records, 'settings', { ...settings, exceptions, updatedAt: at }), ...freed],
    sentence:
      minutes === undefined
        ? `${said} with the usual hours again`
        : minutes === 0
          ? `${said} lost`
          : `${said} with ${minutes} min`,
    about: [],
  })
}

/** Gives several days so many minutes more than they have, each; at most the whole day. One step of undo. */
export const moreOnDays: Command<{ days: Day[]; minutes: number }> = (
  records,
  { days, minutes },
  context,
) => {
  if (days.length === 0) return refused('Choose a day first.', 'settings.exceptions')
  const at = momentOf(context)
  const settings = records.settings.get('settings') ?? freshSettings(at)
  const exceptions = {
    ...settings.exceptions,
    ...Object.fromEntries(
      days.map((day) => [day, Math.max(0, Math.min(1440, hoursOn(settings, day) + Math.round(minutes)))]),
    ),
  }
  return fine({
    changes: [putting(records, 'settings', { ...settings, exceptions, updatedAt: at })],
    sentence: `${minutes} min more on ${days.map((d) => sayDay(d)).join(', ')}`,
    about: [],
  })
}
