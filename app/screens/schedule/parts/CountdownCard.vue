<script setup lang="ts">
import { computed } from 'vue'
import { sayState } from '@core/views/state-words'
import { sixLamps } from '@core/recipe/progress'
import { sayDay } from '@core/rhythm/days'
import { sayVerdict } from '@core/views/verdict'
import type { Put } from '@core/views/countdown'
import { useCards } from '@app/stores/cards'
import { useWorkload } from '@app/stores/workload'
import { useForms } from '@app/stores/forms'
import { useDesk } from '@app/stores/desk'
import FormSign from '@app/ui/FormSign.vue'
import Flag from '@app/ui/Flag.vue'
import LampMark from '@app/ui/LampMark.vue'
import type { CountdownSeen } from '../useCountdown'
import type { useCountdownMoves } from '../useCountdownMoves'

/** A release in the Countdown: its right edge is its release. */
const { put, seen, moves } = defineProps<{
  put: Put
  seen: CountdownSeen
  moves: ReturnType<typeof useCountdownMoves>
}>()
const cards = useCards()
const workload = useWorkload()
const desk = useDesk()
const card = computed(() => put.card)
const forms = useForms()
const form = computed(() => forms.of(put.card.episode))
const depth = computed(() => seen.depth(put.row))
const lamp = computed(() => sixLamps(put.card.standing)[put.row])
/** Said on a card only where it is not on track. */
const outlook = computed(() => desk.doubtOf(put.card.episode.id))
const verdict = computed(() => sayVerdict(workload.verdict(put.card)))
const says = computed(() => {
  const { number, title, standing } = put.card
  const why = verdict.value && (outlook.value || put.late) ? `, ${verdict.value}` : ''
  const next = standing.next
    ? `at ${standing.where?.stage.name ?? ''}, next: ${standing.next.step.name}`
    : sayState(standing)
  return `${number} ${title}, out ${sayDay(standing.release?.day ?? '')}, ${put.days} d, ${next}${form.value ? `, ${form.value}` : ''}${why}. Arrows move it, Enter says why`
})
</script>

<template>
  <button
    class="cd"
    :class="[
      card.show.kind,
      {
        behind: put.late,
        next: card === cards.coming[0],
        small: depth > 1,
        pin: put.lane === undefined,
      },
    ]"
    :style="seen.placeOf(put)"
    :data-card="card.episode.id"
    :aria-label="says"
    :title="card.title"
    @pointerdown="moves.grab($event, put)"
    @keydown="moves.keyed($event, put)"
  >
    <template v-if="put.lane !== undefined"
      ><span class="block truncate font-semibold leading-[18px]">{{ card.title }}</span
      ><span v-if="depth < 3" class="text-11 text-ink-2 block truncate leading-[15px]"
        >{{ card.number }} · {{ put.days }} d{{ ' ' }}<FormSign v-if="form" :name="form" /></span
      ><span v-if="depth === 1" class="flex items-center gap-1.5 text-12 truncate"
        ><LampMark v-if="lamp" :lamp="lamp" :size="13" hidden /><template v-if="put.late"
          ><Flag :size="9" /><span class="late">late {{ put.late }} d</span></template
        ><span v-else-if="outlook" class="truncate font-semibold">{{ outlook }}</span
        ><span v-else class="truncate">{{
          card.standing.scheduled
            ? sayState(card.standing)
            : (card.standing.next?.step.name ?? sayState(card.standing))
        }}</span></span
      ></template
    >
  </button>
</template>
