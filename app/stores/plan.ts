import { proxy, wrap, type Remote } from 'comlink'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef, watch } from 'vue'
import { withChanges, type Change } from '@core/commands/change'
import { lostOf, pacesOf } from '@core/plan/accuracy'
import type { Outlook } from '@core/plan/outlook'
import type { ForecastFor } from '@core/plan/forecast'
import { layWork, planFor } from '@core/plan/load'
import { isBetter, Planner, type WorkBlock, type Plan, type PlanFor } from '@core/plan/planner'
import { forecastOf, stateOf, type State } from '@core/plan/state'
import { explain, readyDays, workUntil, type Shift } from '@core/plan/work'
import { isOf, type Day, type Id } from '@core/records'
import { daysBetween } from '@core/rhythm/days'
import type { PlanWork } from '@app/workers/plan.worker'
import { useCards } from './cards'
import { useMoment } from './moment'
import { useWorkload } from './workload'
import { useDesk } from './desk'
import { useLibrary } from './library'

/** The episode that a change is one of; '' where it is of none. */
function episodeOf(change: Change): Id {
  if (isOf(change, 'steps')) return (change.after ?? change.before)?.episode ?? ''
  return isOf(change, 'episodes') || isOf(change, 'scripts') ? change.id : ''
}

/**
 * A plan that is proposed: what it was asked for, how the one that stands scores, and how each release
 * would stand with it.
 */
export interface Proposal {
  plan: Plan
  of: PlanFor
  before: Plan['score']
  share: number
  done: boolean
  /** Better than what stands. */
  better: boolean
  /** Every release before and after it, once it is done. */
  shifts: readonly Shift[]
}

/**
 * The plan as it stands, what planning proposes, and how likely each release is to go out. All of it is
 * computed in a worker.
 */
export const usePlan = defineStore('plan', () => {
  const library = useLibrary()
  const cards = useCards()
  const moment = useMoment()
  const workload = useWorkload()
  const desk = useDesk()
  let worker: Remote<PlanWork> | undefined
  const at = (): Remote<PlanWork> =>
    (worker ??= wrap<PlanWork>(
      new Worker(new URL('../workers/plan.worker.ts', import.meta.url), { type: 'module' }),
    ))

  /** Steps to learn from: those at hand, and those of the last releases. */
  const steps = computed(() => library.tables.steps)
  const known = computed(() => {
    const all = new Map([...desk.past.values()].flat().map((s) => [s.id, s]))
    for (const s of steps.value.values()) all.set(s.id, s)
    return [...all.values()]
  })
  const paces = computed(() => pacesOf(known.value))
  /** Days that are lost, learnt from what was planned against what was done. */
  const lost = computed(() => lostOf(known.value, moment.settings, moment.today, moment.zone))

  const learnt = computed(() => ({ paces: paces.value, lost: lost.value.share }))

  function forecastNow(): ForecastFor {
    const { open, load } = workload
    return forecastOf({ open, load }, workload.hours, moment.today, learnt.value)
  }
  /** What would be derived after some changes; of episodes only those that are in work, and those that they change. */
  function stateAfter(changes: readonly Change[]): State {
    const after = withChanges(library.records, changes)
    const ids = new Set([...cards.withWork.map((c) => c.episode.id), ...changes.map(episodeOf)])
    const episodes = new Map(
      [...ids].flatMap((id) => {
        const episode = after.episodes.get(id)
        return episode ? [[id, episode] as const] : []
      }),
    )
    return stateOf({ ...after, episodes }, moment.now, cards.partMinutes)
  }
  /**
   * What would be after some changes to the records, for every release: all is derived anew from them, so
   * that it is what comes out.
   */
  async function afterwards(changes: readonly Change[]): Promise<Map<Id, Outlook>> {
    const state = stateAfter(changes)
    const of = forecastOf(state, state.hours, state.today, learnt.value)
    return new Map((await at().forecast(of)).map((o) => [o.episode, o]))
  }

  /** The day on which an episode's work before release would end after some changes; nothing where it finds no room. */
  function readyAfter(episode: Id, changes: readonly Change[]): Day | undefined {
    const state = stateAfter(changes)
    return readyDays(state.open.tasks, state.load).get(episode)
  }

  watch([() => library.world, () => library.state, () => library.readings], () => {
    // A plan that is proposed is one for the work that was there.
    if (proposal.value) forget()
    if (wanted.value && library.state === 'open') learn()
  })

  const outlooks = shallowRef<ReadonlyMap<Id, Outlook>>(new Map())
  const busy = ref(false)
  let request = 0
  async function refresh(): Promise<void> {
    const mine = ++request
    if (workload.open.tasks.length === 0) {
      outlooks.value = new Map()
      desk.outlooks = outlooks.value
      return
    }
    busy.value = true
    const found = await at().forecast(forecastNow())
    if (mine !== request) return
    outlooks.value = new Map(found.map((o) => [o.episode, o]))
    desk.outlooks = outlooks.value
    busy.value = false
  }
  let waits: ReturnType<typeof setTimeout> | undefined
  const wanted = ref(false)
  watch([() => workload.load, () => workload.hours, paces, lost, wanted], () => {
    if (!wanted.value) return
    clearTimeout(waits)
    waits = setTimeout(() => {
      void refresh()
    }, 350)
  })
  /** Forecasts from now on, by itself, a moment after each change. */
  function want(): void {
    if (wanted.value) return
    wanted.value = true
    learn()
  }
  let lesson = 0
  /** What the last releases took teaches the pace; in the other world, or after a restore, its own do. */
  function learn(): void {
    const mine = ++lesson
    void library.stepsOf(cards.released.slice(0, 60).map((e) => e.id)).then((steps) => {
      if (mine !== lesson) return
      const by = new Map<Id, typeof steps>()
      for (const s of steps) (by.get(s.episode) ?? by.set(s.episode, []).get(s.episode))?.push(s)
      desk.past = by
    })
  }

  const proposal = shallowRef<Proposal>()
  /**
   * Plans the open work for a few seconds; what it finds stands in `proposal` at once and gets better until
   * it is done or stopped. Pinned blocks stay, and of work that is not planned here all that lies in the
   * week. At the end it says how each release would stand.
   */
  async function propose(until: Day | undefined, ms = 2500): Promise<void> {
    const { tasks: all, laid } = workload.open
    const mine = until === undefined ? all : workUntil(all, until)
    const ids = new Set(mine.map((t) => t.id))
    const tasks = mine.map((t) => ({ ...t, needs: t.needs.filter((n) => ids.has(n)) }))
    const stays = laid.filter((b) => b.pinned || !ids.has(b.id))
    const others = workload.load.blocks
      .filter((b) => !b.fixed && !ids.has(b.id) && until !== undefined)
      .map((b) => ({ ...b, kind: cards.stepIn.get(b.id)?.state.step.kind }))
    const of = planFor(tasks, [...stays, ...others], workload.hours, moment.today)
    // The plan as it stands is measured the same way: with its own blocks where they are, the rest in order.
    const before = layWork({
      ...of,
      pinned: [...of.pinned, ...laid.filter((b) => !b.pinned && ids.has(b.id))],
    }).score
    const shown = (plan: Plan, share: number, done: boolean): Proposal => ({
      plan,
      of,
      before,
      share,
      done,
      better: isBetter(plan.score, before),
      shifts: proposal.value?.of === of ? proposal.value.shifts : [],
    })
    proposal.value = shown(new Planner(of).plan, 0, false)
    const told = proxy((plan: Plan, share: number) => {
      if (proposal.value?.of === of) proposal.value = shown(plan, share, false)
    })
    const plan = await at().plan(of, ms, told)
    // Another plan may have been asked for meanwhile, or this one let go of.
    const isWanted = () => proposal.value?.of === of
    if (!isWanted()) return
    const shifts = await shiftsOf(plan, of)
    if (isWanted()) proposal.value = { ...shown(plan, 1, true), shifts }
  }
  /** What a proposed plan changes for each release, by the same draws. */
  async function shiftsOf(plan: Plan, of: PlanFor): Promise<Shift[]> {
    const ids = new Set(of.tasks.map((t) => t.id))
    const kept = workload.open.laid.filter((b) => !ids.has(b.id) || b.pinned)
    const taken = plan.blocks.filter((b) => !b.fixed)
    const load = layWork(planFor(workload.open.tasks, [...kept, ...taken], workload.hours, moment.today))
    const found = await at().forecast(
      forecastOf({ open: workload.open, load }, workload.hours, moment.today, learnt.value),
    )
    const [was, is] = [readyDays(workload.open.tasks, workload.load), readyDays(workload.open.tasks, load)]
    const inHand = (day: Day | undefined, release: Day) =>
      day === undefined ? undefined : daysBetween(day, release)
    return found.flatMap((o): Shift[] => {
      const old = outlooks.value.get(o.episode)
      return old
        ? [
            {
              episode: o.episode,
              outlook: [old, o],
              inHand: [inHand(was.get(o.episode), o.release), inHand(is.get(o.episode), o.release)],
            },
          ]
        : []
    })
  }
  function stop(): void {
    void at().stop()
  }
  function forget(): void {
    stop()
    proposal.value = undefined
  }
  /** Why a proposed block stands where it does. */
  function reason(block: WorkBlock): string {
    const p = proposal.value
    return p
      ? explain(block, p.of, p.plan.blocks, {
          number: (id) => cards.card(id)?.number ?? '',
          step: (id) => cards.stepIn.get(id)?.state.step.name ?? '',
        })
      : ''
  }

  return {
    paces,
    lost,
    outlooks,
    busy,
    refresh,
    afterwards,
    readyAfter,
    want,
    proposal,
    propose,
    stop,
    forget,
    reason,
  }
})
