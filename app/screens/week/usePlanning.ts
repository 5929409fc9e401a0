import { computed, ref, type Ref } from 'vue'
import { takePlan } from '@core/commands/week'
import { gains, turnOf } from '@core/plan/work'
import type { Day } from '@core/records'
import { addDays } from '@core/rhythm/days'
import type { DayBlock } from '@core/views/week'
import { useCards } from '@app/stores/cards'
import { useLibrary } from '@app/stores/library'
import { usePlan } from '@app/stores/plan'

const rank = { worse: 0, better: 1, same: 2 }

/** A plan that is proposed: how far it looks, why it has what where, and which blocks of it are taken. */
export function usePlanning(monday: Ref<Day>) {
  const library = useLibrary()
  const cards = useCards()
  const plan = usePlan()
  const scope = ref<'week' | 'all'>('all')
  const chosen = ref(new Set<string>())
  function propose() {
    chosen.value = new Set()
    return plan.propose(scope.value === 'week' ? addDays(monday.value, 6) : undefined)
  }
  /** Why the block that is pointed at stands where the proposal has it. */
  const reason = ref('')
  function explain(b: DayBlock) {
    const found = cards.stepIn.get(b.step)
    reason.value =
      plan.proposal && b.kind === 'would' && found
        ? `${found.state.step.name}, ${found.card.number}: ${plan.reason({ id: b.step, day: b.day, minutes: b.minutes })}`
        : ''
  }
  const won = computed(() =>
    plan.proposal
      ? gains(plan.proposal.before, plan.proposal.plan.score)
          .map((x, i) => (i === 0 ? x : x.charAt(0).toLowerCase() + x.slice(1)))
          .join(', ')
      : '',
  )
  async function take(only: boolean) {
    const p = plan.proposal
    if (!p) return
    const mine = p.plan.blocks.filter((b) => !b.fixed && (!only || chosen.value.has(`${b.id} ${b.day}`)))
    const done = await library.perform(takePlan, { blocks: mine })
    if (done.ok) plan.forget()
  }
  function choose(key: string) {
    const next = new Set(chosen.value)
    if (next.has(key)) next.delete(key)
    else next.add(key)
    chosen.value = next
  }

  /** How each release would stand with it, what gets worse first; the soonest first among them. */
  const releases = computed(() =>
    (plan.proposal?.shifts ?? [])
      .map((shift) => ({ ...shift, turn: turnOf(shift), number: cards.card(shift.episode)?.number ?? '' }))
      .sort((a, b) => rank[a.turn] - rank[b.turn]),
  )
  function planFor(far: 'week' | 'all') {
    scope.value = far
  }
  return { scope, planFor, chosen, propose, reason, explain, won, releases, take, choose }
}

export type Planning = ReturnType<typeof usePlanning>
