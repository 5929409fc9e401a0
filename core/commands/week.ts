import type { Day, Id, PlannedBlock, Records, Step } from '../model'
import { fine, refused, type Result } from '../result'
import { sayDay } from '../rhythm/days'
import { momentOf, putting, type Change, type Command, type Context, type Done } from './change'
import { freshSettings } from './settings'

function found(records: Records, id: Id): Result<Step> {
  const step = records.steps.get(id)
  return step ? fine(step) : refused('This step is no longer there.', 'steps')
}

function written(records: Records, step: Step, blocks: PlannedBlock[], context: Context, sentence: string): Result<Done> {
  const sorted = blocks.filter((b) => b.minutes > 0).sort((a, b) => (a.day < b.day ? -1 : 1))
  return fine({ changes: [putting(records, 'steps', { ...step, blocks: sorted, updatedAt: momentOf(context) })], sentence, about: [step.episode] })
}

/** Adds minutes to the block of a day, or makes one. */
function withBlock(blocks: readonly PlannedBlock[], day: Day, minutes: number, pinned: boolean): PlannedBlock[] {
  const there = blocks.find((b) => b.day === day)
  return there ? blocks.map((b) => (b === there ? { ...b, minutes: b.minutes + minutes, pinned: b.pinned || pinned } : b)) : [...blocks, { day, minutes, pinned }]
}

/** Lays a step's minutes on a day, pinned there; minutes laid on `from` are moved, otherwise those not laid yet. Refused for a day that has passed. */
export const layOnDay: Command<{ step: Id; day: Day; from?: Day | undefined; minutes: number; today: Day }> = (records, { step: id, day, from, minutes, today }, context) => {
  const read = found(records, id)
  if (!read.ok) return read
  const step = read.value
  if (day < today) return refused(`${sayDay(day)} has passed. Choose today or a day to come.`, 'steps.blocks')
  if (minutes <= 0) return refused('Nothing of this step is left to lay.', 'steps.blocks')
  const moved = from === undefined ? step.blocks : step.blocks.filter((b) => b.day !== from)
  return written(records, step, withBlock(moved, day, minutes, true), context, `${step.name} laid on ${sayDay(day)}`)
}

/** Takes a step's block off its day, or all of its blocks; the plan lays it again. */
export const takeOffDay: Command<{ step: Id; day?: Day | undefined }> = (records, { step: id, day }, context) => {
  const read = found(records, id)
  return read.ok ? written(records, read.value, day === undefined ? [] : read.value.blocks.filter((b) => b.day !== day), context, `${read.value.name} taken off ${day === undefined ? 'the week' : sayDay(day)}`) : read
}

/** Pins a block to its day, or lets planning move it again. */
export const pinBlock: Command<{ step: Id; day: Day; pinned: boolean }> = (records, { step: id, day, pinned }, context) => {
  const read = found(records, id)
  return read.ok ? written(records, read.value, read.value.blocks.map((b) => (b.day === day ? { ...b, pinned } : b)), context, `${read.value.name} ${pinned ? 'pinned to' : 'free to move from'} ${sayDay(day)}`) : read
}

/** Splits a block in two, the second half going to another day, where it joins what is there. Refused under an hour. */
export const splitBlock: Command<{ step: Id; day: Day; minutes: number; to: Day }> = (records, { step: id, day, minutes, to }, context) => {
  const read = found(records, id)
  if (!read.ok) return read
  if (minutes < 60) return refused('Under an hour it is not worth splitting.', 'steps.blocks')
  const first = Math.round(minutes / 2 / 15) * 15
  const rest = read.value.blocks.filter((b) => b.day !== day)
  return written(records, read.value, withBlock([...rest, { day, minutes: first, pinned: true }], to, minutes - first, true), context, `${read.value.name} split between ${sayDay(day)} and ${sayDay(to)}`)
}

/** Takes a proposed plan, whole or in part: the blocks of these steps in place of theirs; pinned ones stay. One step of undo. */
export const takePlan: Command<{ blocks: { id: Id; day: Day; minutes: number }[] }> = (records, { blocks }, context) => {
  const by = new Map<Id, PlannedBlock[]>()
  for (const b of blocks) by.set(b.id, withBlock(by.get(b.id) ?? [], b.day, b.minutes, false))
  const changes: Change[] = []
  for (const [id, mine] of by) {
    const step = records.steps.get(id)
    if (!step) continue
    const pinned = step.blocks.filter((b) => b.pinned)
    const free = mine.filter((b) => !pinned.some((p) => p.day === b.day))
    changes.push(putting(records, 'steps', { ...step, blocks: [...pinned, ...free].sort((a, b) => (a.day < b.day ? -1 : 1)), updatedAt: momentOf(context) }))
  }
  return changes.length === 0 ? refused('Nothing of this plan can be taken any more; plan anew.', 'steps') : fine({ changes, sentence: `Took the plan for ${changes.length} ${changes.length === 1 ? 'step' : 'steps'}`, about: [] })
}

/** Brings what was laid on past days and not done onto today, in one move. */
export const leftToToday: Command<{ steps: Id[]; today: Day }> = (records, { steps, today }, context) => {
  const changes = steps.flatMap((id): Change[] => {
    const step = records.steps.get(id)
    const past = step?.blocks.filter((b) => b.day < today) ?? []
    if (!step || past.length === 0) return []
    const minutes = Math.min(past.reduce((sum, b) => sum + b.minutes, 0), Math.max(15, step.minutes - step.logged))
    return [putting(records, 'steps', { ...step, blocks: withBlock(step.blocks.filter((b) => b.day >= today), today, minutes, true), updatedAt: momentOf(context) })]
  })
  return changes.length === 0 ? refused('Nothing is left over.', 'steps.blocks') : fine({ changes, sentence: `Brought ${changes.length === 1 ? 'one step' : `${changes.length} steps`} onto today`, about: [] })
}

/** Gives several days other hours at once: none when they are lost (what was laid there is free for other days), more when an evening comes free; `undefined` takes their weekday's again. */
export const setDays: Command<{ days: Day[]; minutes: number | undefined }> = (records, { days, minutes }, context) => {
  if (days.length === 0) return refused('Choose a day first.', 'settings.exceptions')
  const at = momentOf(context)
  const settings = records.settings.get('settings') ?? freshSettings(at)
  const others = Object.fromEntries(Object.entries(settings.exceptions).filter(([day]) => !days.includes(day)))
  const exceptions = minutes === undefined ? others : { ...others, ...Object.fromEntries(days.map((day) => [day, minutes])) }
  const said = days.length === 1 ? sayDay(days[0] ?? '') : `${days.length} days`
  const freed = minutes !== 0 ? [] : [...records.steps.values()].filter((s) => s.doneAt === undefined && s.blocks.some((b) => days.includes(b.day))).map((s) => putting(records, 'steps', { ...s, blocks: s.blocks.filter((b) => !days.includes(b.day)), updatedAt: at }))
  return fine({ changes: [putting(records, 'settings', { ...settings, exceptions, updatedAt: at }), ...freed], sentence: minutes === undefined ? `${said} with the usual hours again` : minutes === 0 ? `${said} lost` : `${said} with ${minutes} min`, about: [] })
}

/** Longest stretch that a timer logs by itself; what ran longer was forgotten. */
const longest = 6 * 60

/** The minutes that the timer has run; at most six hours, since more was forgotten. */
export function ranFor(since: string, now: number): number {
  return Math.max(0, Math.min(longest, Math.round((now - Date.parse(since)) / 60_000)))
}

/** Starts a step's timer; the one that runs is stopped first and its minutes logged: one runs at a time. */
export const startStep: Command<{ step: Id }> = (records, { step: id }, context) => {
  const read = found(records, id)
  if (!read.ok) return read
  const at = momentOf(context)
  const settings = records.settings.get('settings') ?? freshSettings(at)
  const stopped = settings.running && settings.running.step !== id ? logged(records, settings.running, context) : []
  return fine({ changes: [...stopped, putting(records, 'settings', { ...settings, running: { step: id, since: at }, updatedAt: at })], sentence: `Started: ${read.value.name}`, about: [read.value.episode] })
}

function logged(records: Records, running: { step: Id; since: string }, context: Context): Change[] {
  const step = records.steps.get(running.step)
  const minutes = ranFor(running.since, context.now)
  return step && minutes > 0 ? [putting(records, 'steps', { ...step, logged: Math.min(6000, step.logged + minutes), updatedAt: momentOf(context) })] : []
}

/** Stops the timer and logs its minutes. */
export const stopStep: Command<object> = (records, _wish, context) => {
  const settings = records.settings.get('settings')
  if (!settings?.running) return refused('No step is running.', 'settings.running')
  const step = records.steps.get(settings.running.step)
  return fine({ changes: [...logged(records, settings.running, context), putting(records, 'settings', { ...settings, running: undefined, updatedAt: momentOf(context) })], sentence: `Stopped: ${step?.name ?? 'a step'}, ${ranFor(settings.running.since, context.now)} min`, about: step ? [step.episode] : [] })
}

/** Ends a step: it took shorter, as planned, or longer (logged so unless a timer logged already), now or at a moment set back. A timer on it stops. */
export const endStep: Command<{ step: Id; took: 'shorter' | 'as planned' | 'longer'; at?: string | undefined }> = (records, { step: id, took, at }, context) => {
  const read = found(records, id)
  if (!read.ok) return read
  const step = read.value
  const settings = records.settings.get('settings')
  const runs = settings?.running?.step === id ? ranFor(settings.running.since, context.now) : 0
  const known = step.logged + runs
  const factor = took === 'shorter' ? 0.7 : took === 'longer' ? 1.4 : 1
  const minutes = took === 'as planned' && known > 0 ? known : Math.max(1, Math.round(step.minutes * factor))
  const changes: Change[] = [putting(records, 'steps', { ...step, logged: Math.min(6000, minutes), doneAt: at ?? momentOf(context), waiting: undefined, updatedAt: momentOf(context) })]
  if (settings?.running?.step === id) changes.push(putting(records, 'settings', { ...settings, running: undefined, updatedAt: momentOf(context) }))
  return fine({ changes, sentence: `Done: ${step.name}, ${took}`, about: [step.episode] })
}

/** Corrects by hand what was logged on a step. */
export const correctLog: Command<{ step: Id; minutes: number }> = (records, { step: id, minutes }, context) => {
  const read = found(records, id)
  if (!read.ok) return read
  return fine({ changes: [putting(records, 'steps', { ...read.value, logged: minutes, updatedAt: momentOf(context) })], sentence: `${read.value.name}: ${minutes} min worked`, about: [read.value.episode], merge: `log ${id}` })
}

/** Hands a step to someone, or takes it back. */
export const handStep: Command<{ step: Id; owner: string }> = (records, { step: id, owner }, context) => {
  const read = found(records, id)
  if (!read.ok) return read
  const name = owner.trim() || 'me'
  return fine({ changes: [putting(records, 'steps', { ...read.value, owner: name, updatedAt: momentOf(context) })], sentence: name === 'me' ? `${read.value.name} is yours again` : `Handed ${read.value.name} to ${name}`, about: [read.value.episode] })
}
