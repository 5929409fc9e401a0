import { computed, ref } from 'vue'
import { occurrencesOf } from '@core/plan/standing'
import type { Day, Id, PlannedBlock } from '@core/records'
import { addDays, weekday } from '@core/rhythm/days'
import { weekRows, weekTotals, type WeekStep } from '@core/views/week'
import { useCards } from '@app/stores/cards'
import { useMoment } from '@app/stores/moment'
import { useWorkload } from '@app/stores/workload'
import { useLibrary } from '@app/stores/library'
import { usePlan } from '@app/stores/plan'

/** The week that is looked at: its days as rows, as the plan stands or as a proposed one would have it. */
export function useWeek() {
  const library = useLibrary()
  const cards = useCards()
  const moment = useMoment()
  const workload = useWorkload()
  const plan = usePlan()
  const offset = ref(0)
  const monday = computed(() => addDays(moment.today, -weekday(moment.today) + offset.value * 7))
  const days = computed(() => Array.from({ length: 7 }, (_, i) => addDays(monday.value, i)))
  const stored = computed(
    () =>
      new Map<string, PlannedBlock>(
        cards.withWork.flatMap((c) =>
          c.steps.flatMap((s) => s.blocks.map((b) => [`${s.id} ${b.day}`, b] as const)),
        ),
      ),
  )
  const storedKeys = computed(() => new Set(stored.value.keys()))
  const inPlan = computed(() => new Set(plan.proposal?.of.tasks.map((t) => t.id)))
  const weekSteps = computed(
    () =>
      new Map<Id, WeekStep>(
        [...cards.stepIn].map(([id, { state }]) => [id, { step: state.step, needs: state.needs }]),
      ),
  )
  /** The plan as it stands; a proposed one takes the place of what it is about. */
  const blocks = computed(() =>
    plan.proposal
      ? [...workload.load.blocks.filter((b) => !inPlan.value.has(b.id)), ...plan.proposal.plan.blocks]
      : workload.load.blocks,
  )
  const rowsOf = (of: readonly Day[]) =>
    weekRows({
      days: of,
      today: moment.today,
      zone: moment.zone,
      hours: workload.hours,
      blocks: blocks.value,
      steps: weekSteps.value,
      tasks: workload.open.tasks,
      occurrences: occurrencesOf(
        library.tables.standing.values(),
        of[0] ?? moment.today,
        of.at(-1) ?? moment.today,
      ),
      busy: [...library.tables.busy.values()].sort((a, b) => ((a.at ?? '') < (b.at ?? '') ? -1 : 1)),
      sessions: [...library.tables.sessions.values()],
      running: library.settings.running?.step,
    })
  const rows = computed(() => rowsOf(days.value))
  /** Pixels a minute: the longest day fits. */
  const scale = computed(() => 560 / Math.max(240, ...rows.value.map((r) => Math.max(r.room, r.used))))
  const totals = computed(() => weekTotals(rows.value, (day) => workload.figuresOf(day).left))
  /** So many weeks on, or with none back to this one. */
  function turn(by?: number) {
    offset.value = by === undefined ? 0 : offset.value + by
  }
  return { offset, turn, monday, days, stored: storedKeys, inPlan, rows, scale, totals }
}

export type WeekSeen = ReturnType<typeof useWeek>
