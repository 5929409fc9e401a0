import { bookGuest } from '../commands/people/visit'
import { type Command, type Context, withChanges } from '../commands/change'
import { closeRound } from '../commands/cuts/close-round'
import { withFollowOns } from '../commands/follow'
import { giveJob } from '../commands/jobs/give-job'
import { takeHelperLetters } from '../commands/jobs/take-helper-letters'
import { markReleased } from '../commands/release/mark-released'
import { placeOnSlot } from '../commands/schedule/place-on-slot'
import { pushEpisode } from '../commands/schedule/push-episode'
import { moreOnDays, setDays } from '../commands/week/set-days'
import { takePlan } from '../commands/week/take-plan'
import { endStep } from '../commands/work/end-step'
import { startStep, stopStep } from '../commands/work/timer'
import { drawsOf } from '../plan/chance'
import { planFor } from '../plan/load'
import { Planner } from '../plan/planner'
import { cutsOf } from '../edit/rounds'
import { jobOf } from '../helpers/jobs'
import type { Day, Records } from '../records'
import { addDays } from '../rhythm/days'
import { slotsOf } from '../rhythm/slots'
import { momentAt } from '../rhythm/zone'
import { recordsFor, type Creator } from './creators'
import { todayIn, type TodayIn } from './today-in'

/** What a life was like when something was done: before and after it, and when. */
export interface Moment {
  before: Records
  records: Records
  /** What was done, by name: `loses days`. */
  deed: string
  sentence: string
  now: number
  /** What Today says after it. */
  seen: TodayIn
}

/** The first day of every life. */
const begins: Day = '2026-11-23'

/**
 * Lives some weeks of a creator by a seed: placing ideas, working as Today says, losing days and getting hours, giving
 * cuts to a helper and looking at what comes back, agreeing on times with guests, releasing. `look` is told after each
 * deed. Test support.
 */
export class Life {
  records: Records
  now: number
  private ids = 0
  private readonly draw: () => number

  constructor(
    private readonly creator: Creator,
    seed: number,
    private readonly look: (moment: Moment) => void,
  ) {
    this.records = recordsFor(creator)
    this.draw = drawsOf(seed)
    this.now = momentAt(begins, '09:00', creator.zone)
  }

  /** Lives so many days, each from nine in the morning to late in the evening. */
  live(days: number): void {
    for (let n = 0; n < days; n++) {
      const day = addDays(begins, n)
      this.now = momentAt(day, '09:00', this.creator.zone)
      this.begin()
      this.happen(day)
      this.now = momentAt(day, '18:30', this.creator.zone)
      this.release()
      this.work()
    }
  }

  private chance(share: number): boolean {
    return this.draw() < share
  }
  private pick<T>(row: readonly T[]): T | undefined {
    return row[Math.floor(this.draw() * row.length)]
  }
  private context(): Context {
    return { now: this.now, id: () => `new${++this.ids}` }
  }
  private today(): TodayIn {
    return todayIn(this.records, this.now)
  }

  /** Does something, as the write path does; tells of it unless it was refused. */
  private does<W>(deed: string, command: Command<W>, wish: W): boolean {
    const context = this.context()
    const result = command(this.records, wish, context)
    if (!result.ok) return false
    const before = this.records
    const outcome = withFollowOns(before, result.value, context)
    this.records = withChanges(before, outcome.changes)
    const { sentence } = outcome
    this.look({ before, records: this.records, deed, sentence, now: this.now, seen: this.today() })
    this.now += 60_000
    return true
  }

  /** Keeps three or four episodes on the way in each show, each on its next open slot. */
  private begin(): void {
    for (const { id: show } of this.creator.shows) {
      const mine = [...this.records.episodes.values()].filter((e) => e.show === show)
      if (mine.filter((e) => e.phase.kind === 'work').length >= 3) continue
      const idea = mine.find((e) => e.phase.kind === 'idea')
      const of = this.records.shows.get(show)
      if (!idea || !of) continue
      const from = addDays(this.today().state.today, 4)
      const taken = new Set(mine.map((e) => (e.place.kind === 'slot' ? e.place.day : '')))
      const open = slotsOf(of, from, addDays(from, 60)).find((s) => !s.skipped && !taken.has(s.original))
      if (open) this.does('places', placeOnSlot, { episode: idea.id, day: open.original })
    }
  }

  private happen(today: Day): void {
    const soon = Array.from({ length: 1 + Math.floor(this.draw() * 3) }, (_, n) => addDays(today, n))
    if (this.chance(0.06)) this.does('loses days', setDays, { days: soon, minutes: 0 })
    if (this.chance(0.05)) this.does('loses days', setDays, { days: [addDays(today, 2)], minutes: 0 })
    if (this.chance(0.05)) this.does('gets hours', moreOnDays, { days: [today], minutes: 90 })
    const work = [...this.records.episodes.values()].filter((e) => e.phase.kind === 'work')
    const one = this.pick(work)
    if (one && this.chance(0.04)) this.does('pushes', pushEpisode, { episode: one.id })
    const guest = one?.guests[0]
    if (one && guest !== undefined && this.chance(0.3))
      this.does('agrees', bookGuest, {
        ...{ episode: one.id, guest, day: addDays(today, 2 + Math.floor(this.draw() * 5)) },
        ...{ at: '18:00', minutes: 60 },
      })
    if (this.chance(0.1)) this.takesPlan()
    this.helps()
  }

  private takesPlan(): void {
    const { open, hours, today } = this.today().state
    const planner = new Planner(
      planFor(
        open.tasks,
        open.laid.filter((b) => b.pinned),
        hours,
        today,
      ),
    )
    planner.improve(20)
    this.does('plans', takePlan, { blocks: planner.plan.blocks.filter((b) => !b.fixed) })
  }

  /** Gives a filmed episode to the helper, takes what comes back, and looks at it. */
  private helps(): void {
    const { helper } = this.creator
    if (helper === undefined) return
    for (const { episode, standing } of this.today().state.working) {
      const job = jobOf(this.records.jobs.values(), episode.id, 'cut')
      const isFilmed = standing.stages.some((s) => s.stage.kind === 'film' && s.lamp.state === 'lit')
      if (!job && isFilmed && this.chance(0.4))
        this.does('gives', giveJob, {
          ...{ id: `job${++this.ids}`, episode: episode.id, kind: 'cut', who: helper },
          ...{ parts: ['notes'], shelf: [] },
        })
      else if (job && job.back === undefined && this.chance(0.4))
        this.does('comes back', takeHelperLetters, {
          letters: [
            {
              ...{
                kind: 'helper',
                id: `letter-${String(++this.ids).padStart(4, '0')}`,
                job: job.id,
                n: this.ids,
              },
              at: new Date(this.now).toISOString(),
              deed: { kind: 'back', where: 'cut.mp4', says: '' },
            },
          ],
        })
      else if (job?.back !== undefined && this.chance(0.5)) {
        const cut = cutsOf(this.records, episode.id).at(-1)
        if (cut && !cut.closed)
          this.does('looks', closeRound, { cut: cut.id, as: this.chance(0.5) ? 'approved' : 'another' })
      }
    }
  }

  private release(): void {
    for (const { episode, standing } of this.today().state.working)
      if (standing.release && standing.release.at <= this.now && this.chance(0.7))
        this.does('releases', markReleased, { episode: episode.id })
  }

  /** Works what Today says first, part by part, until its hours are gone or one has had enough. */
  private work(): void {
    for (let n = 0; n < 6 && this.chance(0.85); n++) {
      const { day, figures } = this.today()
      const first = day.first
      if (!first || (figures.left <= 0 && this.chance(0.8))) return
      const step = first.state.step.id
      const part = first.whole ? undefined : first.minutes
      if (this.chance(0.25)) {
        this.does('starts', startStep, { step })
        this.now += 1000 * 60 * Math.floor(this.draw() * 40)
        if (this.chance(0.3)) this.does('stops', stopStep, {})
      }
      const took = this.pick(['shorter', 'as planned', 'longer'] as const) ?? 'as planned'
      this.does('ends', endStep, { step, took, part })
      this.now += 60_000
    }
  }
}
