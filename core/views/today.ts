import { max } from 'd3-array'
import { isOthers } from '../plan/work'
import { ranFor } from '../commands/work/logged'
import type { Task, WorkBlock } from '../plan/task'
import { openJobs, waitsFor } from '../helpers/jobs'
import type { ClockTime, Cut, Day, Episode, Id, Job, Session } from '../records'
import { daysBetween } from '../rhythm/days'
import { filmingDay, lateMaterials, type LateMaterial } from '../recipe/materials'
import { scriptFigures, type ScriptFigures } from '../script/timing'
import type { Card, StepIn } from './card'
import { inDayOrder, joinedBlocks, type DayFigures } from './day'
import { notToday, type NotToday } from './not-today'

/** A step as today has it: how many of its minutes, and whether these are all that are left of it. */
export interface TodayStep extends StepIn {
  minutes: number
  whole: boolean
  /** Its clock time, where it has one. */
  at?: string | undefined
}

/** What Today is made from; released episodes latest first. */
export interface TodayOf {
  today: Day
  /** The clock in the zone of `today`, to a quarter of an hour or finer. */
  clock: ClockTime
  /** Everything with work in it, before its release or after. */
  working: readonly Card[]
  /** Of these, what has a date, and what is out. */
  dated: readonly Card[]
  unplaced: readonly Card[]
  released: readonly Episode[]
  episodes: ReadonlyMap<Id, Episode>
  stepIn: ReadonlyMap<Id, StepIn>
  blocks: readonly (WorkBlock & { fixed: boolean })[]
  /** All open work, which says what presses first. */
  tasks: readonly Task[]
  /** What today's hours are. */
  minutes: DayFigures
  sessions: readonly Session[]
  jobs: Iterable<Job>
  cuts: Iterable<Cut>
  /** The step whose clock runs, and since when. */
  running: { step: Id; since: string } | undefined
}

/** What Today shows. */
export interface Today {
  running: (StepIn & { since: string }) | undefined
  /** Sessions of today, and what is on its way; their steps are named nowhere else. */
  sessions: Session[]
  /** In the order of the day, what runs among them. */
  blocks: TodayStep[]
  /** The one thing to do now: laid on today, else due first, else undated; what runs stands above it. */
  first: TodayStep | undefined
  rest: TodayStep[]
  /** Due by today, or before something that is done today, and not on it. */
  notToday: NotToday[]
  undated: TodayStep[]
  /** What is next of what is out, where it is named nowhere else, the first due first. */
  following: StepIn[]
  /** What lies with helpers: how far they are, and what they asked that nobody answered. */
  jobs: { job: Job; card: Card; stage: Id; says: string; question: string }[]
  /** Steps that wait on others, but for what lies with helpers. */
  waiting: (StepIn & { waiting: NonNullable<StepIn['state']['step']['waiting']> })[]
  /** What is needed for filming and comes too late, the latest first. */
  lacking: { card: Card; late: LateMaterial }[]
  scripts: { card: Card; figures: ScriptFigures; due: Day | undefined }[]
  /** What follow-ons put here. */
  notes: { card: Card; followed: NonNullable<Episode['followed']>[number] }[]
  /** Released lately, with people who wanted to be told. */
  told: Episode[]
  /** Parked until after something that is out now. */
  takenUp: Episode[]
}

const nextOf = (card: Card): TodayStep[] =>
  card.standing.next
    ? [{ card, state: card.standing.next, minutes: card.standing.next.minutesLeft, whole: true }]
    : []

/** By clock time, then as the week has them, then as planned, nothing before what it needs. */
function blocksOf({ today, blocks, stepIn, tasks }: TodayOf): TodayStep[] {
  const laid = joinedBlocks(blocks.filter((b) => b.day === today))
  // What has had all its minutes and is not ended yet stands here until it is.
  const used = [...stepIn].flatMap(([id, { state }]) =>
    state.left && state.free && state.minutesLeft === 0 && state.step.logged > 0 && !isOthers(state.step)
      ? [{ id, day: today, minutes: 0, fixed: false }]
      : [],
  )
  const urgent = new Map(tasks.map((t) => [t.id, t]))
  const all = [...laid, ...used.filter((u) => !laid.some((b) => b.id === u.id))]
  return inDayOrder(
    all.flatMap((b) => {
      const found = stepIn.get(b.id)
      if (!found) return []
      const own = found.state.step.blocks.find((x) => x.day === b.day)
      return [
        {
          ...found,
          step: b.id,
          needs: found.state.needs,
          work: found.state.step.kind,
          episode: found.card.episode.id,
          minutes: b.minutes,
          whole: b.minutes === found.state.minutesLeft,
          at: own?.at,
          place: own?.place,
          urgent: urgent.get(b.id),
        },
      ]
    }),
  )
}

/** What comes too late for the day on which it is needed, by how the work lies. */
function lackingOf({ working, blocks, today }: TodayOf): Today['lacking'] {
  const first = new Map<Id, Day>()
  for (const { id, day } of blocks) if (day < (first.get(id) ?? '9')) first.set(id, day)
  return working
    .filter((c) => c.episode.phase.kind === 'work')
    .flatMap((card) =>
      lateMaterials(
        card.episode,
        filmingDay(card.standing, (s) => first.get(s)),
        today,
      ).map((late) => ({
        card,
        late,
      })),
    )
    .sort((a, b) => b.late.days - a.late.days)
}

const isWithHelper = (jobs: Today['jobs'], card: Card, waiting: StepIn['state']['step']['waiting']) =>
  jobs.some((j) => j.card === card && waitsFor(j.job, waiting))

/** What lies with helpers of what is in work. */
function jobsOf({ working, jobs, cuts }: TodayOf): Today['jobs'] {
  const all = [...cuts]
  return openJobs(jobs).flatMap((job) => {
    const card = working.find((c) => c.episode.id === job.episode)
    const question = job.asked.findLast((q) => (q.answer ?? '') === '')?.text ?? ''
    // What came back is work of one's own, and stands in the order of the day.
    if (!card || (job.kind === 'cut' && job.back !== undefined && question === '')) return []
    const cut = all.filter((c) => c.episode === job.episode).sort((a, b) => b.number - a.number)[0]
    const theirs = job.kind === 'cut' ? (cut?.notes.filter((n) => n.kind === 'to do' && !n.mine) ?? []) : []
    const done = theirs.filter((n) => n.done !== undefined).length
    return [
      {
        job,
        card,
        stage: card.standing.stages.find((s) => s.stage.kind === 'edit')?.stage.id ?? '',
        says: [
          job.opened === undefined && job.back === undefined ? 'not opened yet' : '',
          theirs.length > 0 ? `${done} of ${theirs.length} ticked` : '',
          job.back === undefined ? '' : job.kind === 'review' ? 'through' : 'handed back',
        ]
          .filter(Boolean)
          .join(', '),
        question,
      },
    ]
  })
}

/** Everything that Today shows, from what is in work and how it lies on days. */
export function todayOf(of: TodayOf): Today {
  const found = of.running && of.stepIn.get(of.running.step)
  const running = of.running && found ? { ...found, since: of.running.since } : undefined
  const blocks = blocksOf(of)
  const jobs = jobsOf(of)
  const undated = of.unplaced.flatMap(nextOf)
  const sessions = of.sessions.filter(({ run, day }) =>
    run.kind === 'planned' ? day === of.today : run.kind !== 'struck',
  )
  const together = new Set(sessions.flatMap((s) => s.steps))
  const upcoming = blocks.filter(
    ({ state: { step } }) => step.id !== running?.state.step.id && !together.has(step.id),
  )
  const soonest = of.dated
    .flatMap((card) => nextOf(card).filter((n) => !n.state.step.waiting && !together.has(n.state.step.id)))
    .sort((a, b) => ((a.state.due ?? '') < (b.state.due ?? '') ? -1 : 1))[0]
  // What was agreed for later today waits for its hour.
  const now = upcoming.find((b) => b.at === undefined || b.at <= of.clock) ?? upcoming[0]
  const first = now ?? (running ? undefined : (soonest ?? undated[0]))
  const rest = upcoming.filter((b) => b !== first)
  const named = new Set([...together, ...[running, first, ...rest].map((x) => x?.state.step.id)])
  const following = of.dated
    .filter((card) => card.episode.phase.kind === 'released')
    .flatMap((card) => (card.standing.next ? [{ card, state: card.standing.next }] : []))
    .filter(({ state }) => !state.step.waiting && !named.has(state.step.id))
    .sort((a, b) => ((a.state.due ?? '') < (b.state.due ?? '') ? -1 : 1))
  return {
    running,
    sessions,
    blocks,
    first,
    rest,
    undated: undated.filter((u) => !together.has(u.state.step.id)),
    following,
    notToday: notToday({
      today: of.today,
      dated: of.dated,
      on: new Set([...named, ...following.map((f) => f.state.step.id)]),
      latest: max([running, first, ...blocks], (r) => r?.state.due) ?? '',
      figures: of.minutes,
    }),
    jobs,
    waiting: of.working.flatMap((card) =>
      card.standing.steps.flatMap((state) =>
        state.step.waiting && state.left && !isWithHelper(jobs, card, state.step.waiting)
          ? [{ card, state, waiting: state.step.waiting }]
          : [],
      ),
    ),
    lacking: lackingOf(of),
    scripts: of.working
      .filter(
        (c) =>
          c.episode.phase.kind === 'work' &&
          c.standing.stages.some((s) => s.stage.kind === 'script' && s.lamp.state !== 'lit') &&
          !c.episode.spare,
      )
      .slice(0, 4)
      .map((card) => ({
        card,
        figures: scriptFigures(card.script, card.show.pace),
        due: card.standing.steps.find((s) => s.step.part === 'script')?.due,
      })),
    notes: of.working.flatMap((card) =>
      (card.episode.followed ?? [])
        .filter((f) => f.shows !== undefined)
        .map((followed) => ({ card, followed })),
    ),
    told: of.released
      .slice(0, 20)
      .filter((e) => e.idea.asked.some((a) => a.tell && a.mail !== '' && a.told === undefined)),
    takenUp: [...of.episodes.values()].filter(
      (e) =>
        e.phase.kind === 'parked' &&
        e.phase.after !== undefined &&
        of.episodes.get(e.phase.after)?.phase.kind === 'released',
    ),
  }
}

/** What a running step's lamp shows: its minutes so far of those planned, 0 to 1. */
export function shareOf({ state, since }: StepIn & { since: string }, now: number): number {
  return Math.min(1, (state.step.logged + ranFor(since, now)) / Math.max(1, state.step.minutes))
}

/** Waited for longer than was said, or than is usual: a nudge is due. Days. */
export function nudgeDue(
  waiting: { since: Day; nudge?: number | undefined },
  today: Day,
  usual: number | undefined,
): boolean {
  return daysBetween(waiting.since, today) >= (waiting.nudge ?? usual ?? 4)
}
