import { proxy, wrap, type Remote } from 'comlink'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef, watch } from 'vue'
import { lostOf, pacesOf } from '@core/plan/accuracy'
import type { ForecastFor, Outlook } from '@core/plan/forecast'
import { Planner, type Block, type Plan, type PlanFor } from '@core/plan/planner'
import { explain, inPlanOrder, minutesAhead, planFor, tasksOf } from '@core/plan/work'
import type { Day, Id } from '@core/model'
import { addDays } from '@core/rhythm/days'
import type { PlanWork } from '@app/workers/plan.worker'
import { useBoard } from './board'
import { useDesk } from './desk'
import { useLibrary } from './library'

/** What a "what if" changes of the work and the hours. */
export interface WhatIf {
  /** More (or fewer) minutes on dates. */
  hours?: Record<Day, number>
  /** Steps left out. */
  without?: Id[]
  /** Steps' minutes, changed. */
  minutes?: Record<Id, number>
  /** Steps handed to someone. */
  handed?: Id[]
  /** Episodes that go out on another date. */
  moved?: Record<Id, Day>
  /** Episodes that leave the schedule: skipped, or a spare in their place. */
  off?: Id[]
}

/** The plan as it stands, what planning proposes, and how likely each release is to go out. All of it is computed in a worker. */
export const usePlan = defineStore('plan', () => {
  const library = useLibrary()
  const board = useBoard()
  const desk = useDesk()
  let worker: Remote<PlanWork> | undefined
  const at = (): Remote<PlanWork> =>
    (worker ??= wrap<PlanWork>(
      new Worker(new URL('../workers/plan.worker.ts', import.meta.url), { type: 'module' }),
    ))

  const work = computed(() =>
    tasksOf(board.placed.filter((c) => (c.standing.release?.at ?? 0) > board.minute)),
  )
  const stored = computed<Block[]>(() =>
    board.placed.flatMap((c) =>
      c.steps.flatMap((s) =>
        s.doneAt === undefined
          ? s.blocks
              .filter((b) => b.day >= board.today)
              .map((b) => ({ id: s.id, day: b.day, minutes: b.minutes }))
          : [],
      ),
    ),
  )
  const pinned = computed<Block[]>(() =>
    board.placed.flatMap((c) =>
      c.steps.flatMap((s) =>
        s.doneAt === undefined
          ? s.blocks
              .filter((b) => b.pinned && b.day >= board.today)
              .map((b) => ({ id: s.id, day: b.day, minutes: b.minutes }))
          : [],
      ),
    ),
  )
  /** Steps to learn from: those at hand, and those of the last releases. */
  const steps = computed(() => library.records.steps)
  const known = computed(() => {
    const all = new Map([...desk.past.values()].flat().map((s) => [s.id, s]))
    for (const s of steps.value.values()) all.set(s.id, s)
    return [...all.values()]
  })
  const paces = computed(() => pacesOf(known.value))
  /** Days that are lost, learnt from what was planned against what was done. */
  const lost = computed(() => lostOf(known.value, board.settings, board.today))

  function forecastFor(what: WhatIf = {}): ForecastFor {
    const { tasks, waits } = work.value
    const minutes = minutesAhead(board.hours, board.today)
    for (const [day, more] of Object.entries(what.hours ?? {})) {
      const n = Math.round((Date.parse(day) - Date.parse(board.today)) / 86_400_000)
      if (n >= 0 && n < minutes.length) minutes[n] = Math.max(0, (minutes[n] ?? 0) + more)
    }
    const left = tasks
      .filter((t) => !what.off?.includes(t.episode))
      .map((t) => {
        const handed = what.handed?.includes(t.id) ?? false
        const minutesOf = what.without?.includes(t.id) || handed ? 0 : (what.minutes?.[t.id] ?? t.minutes)
        const day = what.moved?.[t.episode]
        return {
          ...t,
          minutes: minutesOf,
          ...(day !== undefined && t.release !== undefined ? { release: day } : {}),
        }
      })
    const order = inPlanOrder(left, board.load)
    // Waits count from today; what is handed over now, too.
    const more = new Map([...waits, ...(what.handed ?? []).map((id): [Id, number] => [id, 4])])
    for (const id of what.without ?? []) more.delete(id)
    return {
      tasks: order,
      waits: more,
      first: board.today,
      minutes,
      paces: paces.value,
      lost: lost.value.share,
      setup: library.settings.setup,
      draws: 2000,
      seed: 'lamp-reel',
    }
  }

  watch([() => library.world, () => library.state], () => {
    if (wanted.value && library.state === 'open') learn()
  })

  const outlooks = shallowRef<ReadonlyMap<Id, Outlook>>(new Map())
  const busy = ref(false)
  let turn = 0
  async function refresh(): Promise<void> {
    const mine = ++turn
    if (work.value.tasks.length === 0) {
      outlooks.value = new Map()
      desk.outlooks = outlooks.value
      return
    }
    busy.value = true
    const found = await at().forecast(forecastFor())
    if (mine !== turn) return
    outlooks.value = new Map(found.map((o) => [o.episode, o]))
    desk.outlooks = outlooks.value
    busy.value = false
  }
  /** What would be, for every release, beside what is. */
  async function whatIf(what: WhatIf): Promise<Map<Id, Outlook>> {
    return new Map((await at().forecast(forecastFor(what))).map((o) => [o.episode, o]))
  }
  let waits: ReturnType<typeof setTimeout> | undefined
  const wanted = ref(false)
  watch([work, () => board.load, () => library.settings, paces, wanted], () => {
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
  /** What the last releases took teaches the pace; in the other world, its own do. */
  function learn(): void {
    void library.stepsOf(board.released.slice(0, 60).map((e) => e.id)).then((steps) => {
      const by = new Map<Id, typeof steps>()
      for (const s of steps) (by.get(s.episode) ?? by.set(s.episode, []).get(s.episode))?.push(s)
      desk.past = by
    })
  }

  const proposal = shallowRef<{
    plan: Plan
    of: PlanFor
    before: Plan['score']
    share: number
    done: boolean
  }>()
  /** Plans the open work for a few seconds; what it finds stands in `proposal` at once and gets better until it is done or stopped. */
  async function propose(until: Day | undefined, ms = 2500): Promise<void> {
    const { tasks } = work.value
    const mine =
      until === undefined
        ? tasks
        : withNeeds(
            tasks.filter((t) => (t.due ?? '9999') <= addDays(until, 7)).map((t) => t.id),
            tasks,
          )
    const of = planFor(
      mine.map((t) => ({ ...t, needs: t.needs.filter((n) => mine.some((m) => m.id === n)) })),
      pinned.value,
      { ...board.hours, setup: board.settings.setup, preferred: board.settings.preferred },
      board.today,
    )
    // The plan as it stands is measured the same way: with its own blocks where they are, the rest in order.
    const asIs = new Planner({
      ...of,
      pinned: board.load.blocks.filter((b) => mine.some((t) => t.id === b.id)),
    }).plan.score
    const first = new Planner(of).plan
    proposal.value = { plan: first, of, before: asIs, share: 0, done: false }
    const told = proxy((plan: Plan, share: number) => {
      if (proposal.value && proposal.value.of === of)
        proposal.value = { plan, of, before: asIs, share, done: false }
    })
    const plan = await at().plan(of, ms, told)
    if (proposal.value?.of === of) proposal.value = { plan, of, before: asIs, share: 1, done: true }
  }
  function withNeeds(ids: readonly Id[], tasks: typeof work.value.tasks) {
    const wantedIds = new Set(ids)
    const byId = new Map(tasks.map((t) => [t.id, t]))
    const visit = (id: Id) => {
      for (const n of byId.get(id)?.needs ?? [])
        if (!wantedIds.has(n)) {
          wantedIds.add(n)
          visit(n)
        }
    }
    for (const id of ids) visit(id)
    return tasks.filter((t) => wantedIds.has(t.id))
  }
  function stop(): void {
    void at().stop()
  }
  function forget(): void {
    stop()
    proposal.value = undefined
  }
  /** Why a proposed block stands where it does. */
  function reason(block: Block): string {
    const p = proposal.value
    return p
      ? explain(block, p.of, p.plan.blocks, {
          number: (id) => board.card(id)?.number ?? '',
          step: (id) => board.stepIn.get(id)?.state.step.name ?? '',
        })
      : ''
  }

  return {
    work,
    stored,
    pinned,
    paces,
    lost,
    outlooks,
    busy,
    refresh,
    whatIf,
    want,
    proposal,
    propose,
    stop,
    forget,
    reason,
  }
})
