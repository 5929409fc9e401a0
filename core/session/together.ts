import { sum } from 'd3-array'
import { minutesOn, type HoursOf } from '../plan/load'
import { isOthers } from '../plan/work'
import type { WorkBlock } from '../plan/task'
import { changeCosts } from '../plan/shots'
import { lateMaterials } from '../recipe/materials'
import type { Day, Id, Session, SessionKind, Settings, StepKind } from '../records'
import { addDays, daysBetween, weekday } from '../rhythm/days'
import type { Card, StepIn } from '../views/card'
import { sessionKinds, setUpKind } from './kinds'
import { shotsOf } from './items'

/** Work of one episode that could be done together with that of others. */
export interface Candidate {
  card: Card
  steps: StepIn[]
  minutes: number
  due: Day | undefined
  /** All that it needs is there by now. */
  ready: boolean
  /** The first day on which it could be done. */
  from: Day
  /** The day on which it lies as the work is planned. */
  laid: Day | undefined
  places: ReadonlySet<string>
}

/** Who could go together, when, and what that saves. */
export interface Together {
  kind: SessionKind
  day: Day
  candidates: Candidate[]
  /** Of the work alone, and of setting up once for all of it. */
  minutes: number
  setup: number
  /** Minutes saved against setting up for each by itself. */
  saves: number
  /** It falls on the day that is kept for this. */
  standing: boolean
  /** Minutes beyond what the day has, where no day has as many. */
  over: number
}

/** What proposals are made from. */
export interface TogetherOf {
  working: readonly Card[]
  sessions: Iterable<Session>
  hours: HoursOf
  /** The work as it lies: what is fixed takes room, what is not says when work could begin. */
  blocks: readonly (WorkBlock & { fixed: boolean })[]
  settings: Pick<Settings, 'setup' | 'preferred' | 'monthly'>
  today: Day
}

/** How far ahead a session is looked for, days. */
const ahead = 28
/** As many go together at most. */
const most = 4

/** Whether a date is one that is kept for a kind of work: its weekdays, each week or once a month. */
export function isKeptFor(
  kind: StepKind,
  day: Day,
  { preferred, monthly }: Pick<Settings, 'preferred' | 'monthly'>,
): boolean {
  if (!(preferred[kind] ?? []).includes(weekday(day))) return false
  const nth = monthly?.[kind]
  return nth === undefined || Math.ceil(Number(day.slice(8)) / 7) === nth
}

function firstDays({ blocks }: Pick<TogetherOf, 'blocks'>): ReadonlyMap<Id, Day> {
  const first = new Map<Id, Day>()
  for (const { id, day } of blocks) if (day < (first.get(id) ?? '9')) first.set(id, day)
  return first
}

/** The steps of an episode that could be done in one go: each needs nothing but what is done, or another of them. */
function stepsTogether(card: Card, kinds: readonly StepKind[], isTaken: (step: Id) => boolean): StepIn[] {
  return card.standing.steps
    .filter(
      (s) =>
        kinds.includes(s.step.kind) &&
        s.left &&
        s.derived !== true &&
        s.step.lead.kind !== 'after' &&
        s.minutesLeft > 0 &&
        !isOthers(s.step) &&
        !isTaken(s.step.id),
    )
    .map((state) => ({ card, state }))
}

/** All that could be done in a session of a kind, what is ready first and then what is due first. */
export function candidatesFor(kind: SessionKind, of: TogetherOf): Candidate[] {
  const taken = new Set<Id>()
  for (const s of of.sessions) if (s.run.kind !== 'struck') for (const id of s.steps) taken.add(id)
  const first = firstDays(of)
  const { steps: kinds, items } = sessionKinds[kind]
  const found = of.working.flatMap((card): Candidate[] => {
    if (card.episode.phase.kind !== 'work' || card.standing.scheduled) return []
    const steps = stepsTogether(card, kinds, (id) => taken.has(id))
    const mine = items === 'steps' ? steps.filter((s) => s.state.free).slice(0, 1) : steps
    const [head] = mine
    if (!head) return []
    const stage = card.standing.stages.find((s) => s.stage.id === head.state.step.stage)
    const ids = new Set(mine.map((s) => s.state.step.id))
    const ready =
      mine.every((s) => s.state.free || s.state.needs.every((n) => ids.has(n) || isDone(card, n))) &&
      (stage?.unsettled.length ?? 0) === 0
    const laid = mine.flatMap((s) => first.get(s.state.step.id) ?? []).sort()[0]
    const { nature } = card.episode
    const days = [
      of.today,
      ...(ready ? [] : [laid ?? '9999-12-31']),
      ...mine.flatMap((s) => s.state.earliest ?? []),
      ...(nature.kind === 'topical' && nature.notBefore !== undefined ? [nature.notBefore] : []),
    ]
    return [
      {
        card,
        steps: mine,
        minutes: sum(mine, (s) => s.state.minutesLeft),
        due: mine.flatMap((s) => s.state.due ?? []).sort()[0],
        ready,
        from: days.sort().at(-1) ?? of.today,
        laid,
        places: new Set(kind === 'film' ? shotsOf(card).flatMap((i) => i.plan.place ?? []) : []),
      },
    ]
  })
  return found.sort((a, b) => Number(b.ready) - Number(a.ready) || ((a.due ?? '9') < (b.due ?? '9') ? -1 : 1))
}

const isDone = (card: Card, step: Id) => card.standing.steps.some((s) => s.step.id === step && !s.left)

const canOn = (c: Candidate, day: Day) =>
  c.from <= day && !lateMaterials(c.card.episode, day, day).some((l) => l.material.required)

/** Days by which a session comes later than a candidate is due, or lies where that is past. */
function laterBy({ due, laid }: Candidate, day: Day): number {
  if (due === undefined) return 0
  const by = laid !== undefined && laid > due ? laid : due
  return Math.max(0, daysBetween(by, day))
}

/** Minutes free on a day beside what stays there. */
function roomOn(day: Day, of: TogetherOf, mine: ReadonlySet<Id>): number {
  const fixed = of.blocks.filter((b) => b.fixed && b.day === day && !mine.has(b.id))
  return minutesOn(of.hours, day) - sum(fixed, (b) => b.minutes)
}

/** Places that a candidate shares with those chosen. */
const sharedWith = (c: Candidate, chosen: readonly Candidate[]) =>
  [...c.places].filter((p) => chosen.some((x) => x.places.has(p))).length

/** As many as fit into some minutes: the first, then those that share its places, then as they come. */
function fitting(all: readonly Candidate[], room: number): Candidate[] {
  const chosen: Candidate[] = []
  let left = room
  const rest = [...all]
  while (chosen.length < most && rest.length > 0) {
    const fits = rest.filter((c) => c.minutes <= left)
    const [next] = fits.sort(
      (a, b) =>
        Number(b.ready) - Number(a.ready) ||
        sharedWith(b, chosen) - sharedWith(a, chosen) ||
        rest.indexOf(a) - rest.indexOf(b),
    )
    if (!next) break
    rest.splice(rest.indexOf(next), 1)
    chosen.push(next)
    left -= next.minutes
  }
  return chosen
}

/** What going together saves: setting up for each, and coming back to places that several have. */
export function savedBy(chosen: readonly Candidate[], setup: number): number {
  const places = chosen.map((c) => c.places.size).filter((n) => n > 0)
  const union = new Set(chosen.flatMap((c) => [...c.places])).size
  // Each by itself changes place once less than it has places.
  const apart = sum(places, (n) => n - 1)
  const joined = Math.max(0, union - 1)
  const { place } = changeCosts(chosen.map((c) => c.card.show))
  return setup * Math.max(0, chosen.length - 1) + Math.max(0, apart - joined) * place
}

/**
 * Who goes together in a session of a kind, and when: at least two, ready ones first, on a day with room for them and
 * for setting up once. First come the fewest days later than each is due or planned, then the day that is kept for it,
 * then as many together and as much saved as can be, then soon. Nothing topical before its day, nothing before what it
 * needs is here. Nothing where fewer than two could. Where no day has room for two, two of them on the day that lacks
 * least.
 */
export function togetherFor(kind: SessionKind, of: TogetherOf): Together | undefined {
  const all = candidatesFor(kind, of)
  if (all.length < 2) return undefined
  const work = setUpKind(kind)
  const setup = of.settings.setup[work] ?? 0
  const mine = new Set(all.flatMap((c) => c.steps.map((s) => s.state.step.id)))
  const options = Array.from({ length: ahead }, (_, n) => addDays(of.today, n)).flatMap((day) => {
    const may = all.filter((c) => canOn(c, day))
    const room = roomOn(day, of, mine) - setup
    if (may.length < 2 || room <= 0) return []
    const fits = fitting(may, room)
    const chosen = fits.length >= 2 ? fits : may.slice(0, 2)
    const minutes = sum(chosen, (c) => c.minutes)
    const late = sum(chosen, (c) => laterBy(c, day))
    const standing = isKeptFor(work, day, of.settings)
    const saves = savedBy(chosen, setup)
    return [
      {
        kind,
        day,
        candidates: chosen,
        minutes,
        setup,
        saves,
        standing,
        over: Math.max(0, minutes - room),
        late,
      },
    ]
  })
  const better = (a: (typeof options)[number], b: (typeof options)[number]) =>
    Number(a.over > 0) - Number(b.over > 0) ||
    a.late - b.late ||
    Number(b.standing) - Number(a.standing) ||
    b.candidates.length - a.candidates.length ||
    a.over - b.over ||
    b.saves - a.saves ||
    (a.day < b.day ? -1 : 1)
  const [best] = options.sort(better)
  if (!best) return undefined
  const { late: _late, ...together } = best
  return together
}
