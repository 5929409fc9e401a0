<script setup lang="ts">
import type { Proposal } from '@app/stores/plan'
import { useCards } from '@app/stores/cards'
import { usePlan } from '@app/stores/plan'
import Flag from '@app/ui/Flag.vue'
import OutlookShift from '../forecast/OutlookShift.vue'
import type { Planning } from '../usePlanning'

/** What a proposed plan would win and lose; it is taken whole, in part, or not. */
const { proposal, planning } = defineProps<{ proposal: Proposal; planning: Planning }>()
const cards = useCards()
const plan = usePlan()
const sayInHand = ([had, has]: readonly [number | undefined, number | undefined]) =>
  `${had ?? 'no'} → ${has ?? 'no'} days to spare`
</script>

<template>
  <section
    class="panel border-ring p-3 mb-3 flex flex-wrap items-center gap-3"
    aria-label="The proposed plan"
  >
    <p class="flex-1 min-w-[240px]" role="status">
      <strong>{{ proposal.done ? 'Planned.' : 'Planning…' }}</strong>
      {{
        planning.won.value !== ''
          ? `${planning.won.value}.`
          : proposal.better
            ? 'Work ends earlier.'
            : 'As good as the plan that stands.'
      }}<template v-if="proposal.plan.missed.length > 0">
        <Flag />{{ proposal.plan.missed.map((id) => cards.card(id)?.number).join(', ') }} cannot be made with
        these hours.</template
      >
    </p>
    <span
      v-if="!proposal.done"
      class="w-[110px] h-[5px] rounded-full bg-faint overflow-hidden"
      aria-hidden="true"
      ><span class="block h-full bg-ink-2" :style="{ width: `${proposal.share * 100}%` }"
    /></span>
    <button v-if="!proposal.done" class="btn btn-small" @click="plan.stop()">Stop here</button>
    <p class="sub w-full order-last" aria-live="polite">
      {{
        planning.reason.value ||
        'Point at a dashed block, or go to it with the keys, and it says why it stands there. Click those you want to take.'
      }}
    </p>
    <ul
      v-if="planning.releases.value.length > 0"
      class="w-full order-last flex flex-wrap gap-x-5 gap-y-1 text-12"
      aria-label="The releases before and after it"
    >
      <li
        v-for="r in planning.releases.value"
        :key="r.episode"
        class="whitespace-nowrap"
        :class="{ 'text-ink-2': r.turn === 'same' }"
      >
        <Flag v-if="r.turn === 'worse'" /><span class="num">{{ r.number }}</span
        >{{ ' ' }}<template v-if="r.turn === 'same'">{{ r.outlook[1].is }}, as it is</template
        ><template v-else
          ><OutlookShift :before="r.outlook[0]" :after="r.outlook[1]" /><template
            v-if="r.inHand[0] !== r.inHand[1]"
            >, {{ sayInHand(r.inHand) }}</template
          ></template
        >
      </li>
    </ul>
    <button v-if="planning.chosen.value.size > 0" class="btn btn-small" @click="planning.take(true)">
      Take the {{ planning.chosen.value.size }} chosen
    </button>
    <button class="btn btn-small btn-main" @click="planning.take(false)">Take all</button>
    <button class="btn btn-small" @click="plan.forget()">Take none</button>
  </section>
</template>
