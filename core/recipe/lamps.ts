import { sum } from 'd3-array'
import type { Day, Id, Part, Step } from '../records'
import { addDays, daysBetween } from '../rhythm/days'
import { releaseOf } from '../rhythm/slots'
import { isScheduled } from '../release/scheduled'
import { requiredParts, type PartState } from '../release/parts'
import { isSpinDone } from '../release/spin-offs'
import { bringing, partOrTick } from './bringing'
import { dated, earliestBefore, noticeFor } from './dated'
import { dueDates, isShort } from './due'
import { itemNamed, openItems, openLicences, openMaterials, openRead } from './lacks'
import {
  type StandingOf,
  type EpisodeProgress,
  type StepState,
  type StageState,
  type Lamp,
  type Missing,
  followDays,
  followDaysOnce,
} from './progress'

/**
 * Derives an episode's due dates, lamps, readiness and list of what is missing. Linear in steps, needs and
 * script.
 */
export function progressOf(given: StandingOf): EpisodeProgress {
  const of = inKnownStages(given)
  const { episode, show, recipe, outlets, today } = of
  const release = releaseOf(episode, show)
  const isOut = episode.phase.kind === 'released'
  const scheduled = isScheduled(episode, show)
  const required = requiredParts(outlets)
  const seen = new Map<Part, PartState>()
  const part = (p: Part): PartState => {
    let state = seen.get(p)
    if (!state) seen.set(p, (state = partOrTick(p, of, required)))
    return state
  }
  const brought = bringing(of, required, part)
  const sorted = [...of.steps, ...brought].sort((a, b) => a.order - b.order)
  const row = dated(sorted, recipe, episode)
  const notice = release && noticeFor(row, of, release.day)
  const due = release ? dueDates(row, release.day, of.works, notice) : new Map<Id, Day>()
  const done = new Map<Id, boolean>()
  for (const s of sorted)
    done.set(
      s.id,
      s.doneAt !== undefined ||
        (s.part !== undefined && part(s.part).state === 'there') ||
        (s.spin !== undefined && isSpinDone(episode, s)),
    )
  const early = earliestBefore(recipe.stages, episode.early)
  const unsettled = new Map(
    recipe.stages.map((s) => [s.id, (s.settled ?? []).map(part).filter((p) => p.state !== 'there')]),
  )
  const heldItems = openMaterials(of)
  // Filming is not begun without what it can't do without.
  const held = new Set(
    heldItems.length > 0 ? recipe.stages.flatMap((s) => (s.kind === 'film' ? [s.id] : [])) : [],
  )
  // What was not done before it went out is let be; what follows a release is asked for some months.
  const follows = new Set(recipe.stages.filter((s) => s.kind === 'after').map((s) => s.id))
  const patience = episode.phase.kind === 'released' && episode.phase.planned ? followDays : followDaysOnce
  const isLong = isOut && release !== undefined && daysBetween(release.day, today) > patience
  const letBe = (step: Step) => isOut && (isLong || !(follows.has(step.stage) || step.spin !== undefined))
  const moot = new Set(isOut ? sorted.filter(letBe).map((s) => s.id) : [])
  const steps = row.map(({ step, needs, agreed }): StepState => {
    const isDone = done.get(step.id) ?? false
    const before = early.get(step.stage)
    const bound =
      before === undefined || !release || step.lead.kind === 'after'
        ? undefined
        : addDays(release.day, -before)
    const earliest = bound !== undefined && bound > (step.earliest ?? '') ? bound : step.earliest
    const counted = due.get(step.id)
    // What cannot be begun earlier is not due earlier.
    const day =
      agreed === undefined && counted !== undefined && bound !== undefined && counted < bound
        ? bound
        : counted
    const left = !isDone && !letBe(step)
    const late = day !== undefined && left ? daysBetween(day, today) : 0
    const free =
      needs.every((n) => moot.has(n) || (done.get(n) ?? true)) &&
      (unsettled.get(step.stage) ?? []).length === 0 &&
      !held.has(step.stage)
    const minutesLeft = left ? Math.max(0, step.minutes - step.logged) : 0
    const state: StepState = { step, done: isDone, left, needs, free, minutesLeft }
    if (brought.includes(step)) state.derived = true
    if (day !== undefined) state.due = day
    if (late > 0) state.late = late
    if (agreed) state.agreed = agreed
    if (earliest !== undefined) state.earliest = earliest
    return state
  })
  const lit = new Map<Id, boolean>()
  const stages = recipe.stages.map((stage): StageState => {
    const mine = steps.filter((s) => s.step.stage === stage.id)
    const asked = stage.kind === 'release' ? [...new Set([...stage.parts, ...required])] : stage.parts
    const parts = asked.map(part)
    const open = unsettled.get(stage.id) ?? []
    const items = [
      ...openItems(of, stage.id),
      ...(stage.kind === 'film'
        ? heldItems
        : stage.kind === 'release'
          ? [...openLicences(of), ...openRead(of, release?.day)]
          : []),
    ]
    const begun = stage.after.every((id) => lit.get(id) ?? true) && open.length === 0
    const lamp =
      isOut && stage.kind !== 'after'
        ? { state: 'lit' as const, share: 1 }
        : stage.kind === 'after' && !begun
          ? { state: 'dark' as const, share: 0 }
          : lampOf(mine, parts, begun, items.length === 0)
    lit.set(stage.id, lamp.state === 'lit')
    return {
      stage,
      lamp,
      steps: mine.filter((s) => !s.derived),
      parts: stage.parts.map(part),
      items,
      unsettled: open,
    }
  })
  const before = stages.filter((s) => s.stage.kind !== 'after')
  const asked = required.map(part)
  const missing = missingOf(before, asked)
  const next = nextOf(steps.filter((s) => s.left))
  const where =
    stages.find((s) => s.stage.id === next?.step.stage) ?? stages.find((s) => s.lamp.state !== 'lit')
  const late = Math.max(0, ...before.flatMap((s) => s.lamp.late ?? 0))
  return {
    stages,
    steps,
    ready: before.every((s) => s.lamp.state === 'lit') && asked.every((p) => p.state === 'there'),
    scheduled,
    missing,
    live: early.size > 0,
    ...(release ? { release } : {}),
    ...(notice && isShort(notice) ? { notice } : {}),
    ...(next ? { next } : {}),
    ...(where ? { where } : {}),
    ...(late > 0 ? { late } : {}),
  }
}

/**
 * The step that is next: the one due first of those that the creator can begin now; else what others have; else the first
 * of all.
 */
function nextOf(undone: readonly StepState[]): StepState | undefined {
  const begun = undone.filter((s) => s.free && !s.step.waiting && s.step.owner === 'me')
  const dueFirst = (row: readonly StepState[]) =>
    row.reduce<StepState | undefined>(
      (first, s) => (first === undefined || (s.due ?? '') < (first.due ?? '') ? s : first),
      undefined,
    )
  return dueFirst(begun) ?? dueFirst(undone.filter((s) => s.free)) ?? undone[0]
}

/**
 * Steps of a stage that the recipe has no more (it went back to three steps) stand in the release's, or the
 * last: none is planned unseen.
 */
function inKnownStages(of: StandingOf): StandingOf {
  const known = new Set(of.recipe.stages.map((s) => s.id))
  if (of.steps.every((s) => known.has(s.stage))) return of
  const last = of.recipe.stages.filter((s) => s.kind !== 'after')
  const stage = last.find((s) => s.kind === 'release')?.id ?? last.at(-1)?.id ?? ''
  return { ...of, steps: of.steps.map((s) => (known.has(s.stage) ? s : { ...s, stage })) }
}

/**
 * One stage's lamp, from its steps, its parts, whether the stages it builds on are lit, and whether the required
 * items of its checklists are ticked.
 */
export function lampOf(
  steps: readonly StepState[],
  parts: readonly PartState[],
  begun: boolean,
  ticked = true,
): Lamp {
  const required = steps.filter((s) => s.step.required)
  const late = Math.max(0, ...required.map((s) => s.late ?? 0))
  const flag = late > 0 ? { late } : {}
  if (ticked && required.every((s) => s.done) && parts.every((p) => p.state === 'there'))
    return { state: 'lit', share: 1 }
  const next = steps.find((s) => !s.done && s.free) ?? steps.find((s) => !s.done)
  const share = shareOf(required, parts)
  if (next?.step.waiting) return { state: 'waiting', share, ...flag }
  if (share > 0) return { state: 'working', share, ...flag }
  const open = required.length > 0 ? required.some((s) => !s.done && s.free) : begun
  return { state: open ? 'open' : 'dark', share, ...flag }
}

/**
 * Share done: by minutes of the required steps, and for parts that no step of the stage carries, a part
 * counting as a step. Chapters don't count towards it: the program makes them by itself, so they say
 * nothing about work begun.
 */
function shareOf(steps: readonly StepState[], parts: readonly PartState[]): number {
  const carried = new Set(steps.map((s) => s.step.part))
  const loose = parts.filter((p) => !carried.has(p.part) && p.part !== 'chapters')
  const each = steps.length > 0 ? sum(steps, (s) => s.step.minutes) / steps.length || 1 : 1
  const whole = sum(steps, (s) => s.step.minutes || each) + loose.length * each
  const gone =
    steps.reduce(
      (sum, s) => sum + (s.done ? s.step.minutes || each : Math.min(s.step.logged, s.step.minutes * 0.95)),
      0,
    ) +
    loose.filter((p) => p.state === 'there').length * each
  return whole === 0 ? 0 : Math.min(gone / whole, 0.99)
}

function missingOf(before: readonly StageState[], required: readonly PartState[]): Missing[] {
  const parts = new Map<Part, PartState>()
  for (const p of [...before.flatMap((s) => s.parts), ...required])
    if (p.state !== 'there') parts.set(p.part, p)
  const list: Missing[] = []
  for (const { stage, steps } of before)
    for (const { step, done } of steps)
      if (!done && step.required && (step.part === undefined || !parts.has(step.part)))
        list.push({
          kind: 'step',
          step,
          name: step.name,
          sentence: step.waiting ? `waits on ${step.waiting.who}` : 'not done',
          stage: stage.id,
        })
  for (const { stage, items } of before)
    for (const { kind, id, text, list: name } of items)
      list.push({ name: text, sentence: name, stage: stage.id, ...itemNamed(kind, id) })
  for (const p of parts.values())
    list.push({ kind: 'part', part: p.part, name: p.name, sentence: p.sentence, mend: p.mend })
  return list
}
