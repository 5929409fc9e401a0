<script setup lang="ts">
import { computed } from 'vue'
import { useRouter } from 'vue-router'
import { dayOf, sayDay } from '@core/rhythm/days'
import { sayVerdict } from '@core/views/verdict'
import { whyLate } from '@core/views/lateness'
import { useCards } from '@app/stores/cards'
import { useMoment } from '@app/stores/moment'
import { useWorkload } from '@app/stores/workload'
import { useDialogs } from '@app/stores/dialogs'
import { usePlan } from '@app/stores/plan'
import KeySign from '@app/ui/KeySign.vue'
import Sheet from '@app/ui/Sheet.vue'
import { stepGoal } from '../episode/steps'
import { shellKeys } from '../shell/keymap'
import { useNextLate } from '../shell/late'
import { inFigures, useChance } from './forecast/chance'
import OtherRemedies from './forecast/OtherRemedies.vue'
import Spread from './forecast/Spread.vue'
import { useRemedies, type Choice } from './forecast/useRemedies'
import WhatIfTable from './forecast/WhatIfTable.vue'
import WhyLate from './forecast/WhyLate.vue'

/** The forecast of one release: the spread of days on which it may be ready, what decides it, and what if. */
const { id } = defineProps<{ id: string }>()
const cards = useCards()
const moment = useMoment()
const workload = useWorkload()
const dialogs = useDialogs()
const plan = usePlan()
const router = useRouter()
const card = computed(() => cards.card(id))
const outlook = computed(() => plan.outlooks.get(id))
const verdict = computed(() => (card.value ? sayVerdict(workload.verdict(card.value)) : ''))
const step = computed(() => cards.stepIn.get(outlook.value?.last ?? '')?.state.step)
const chance = useChance()
const pace = computed(() => (step.value ? plan.paces.get(step.value.kind) : undefined))
/** Work of its kind takes clearly more or less than is planned for it. */
const paceTells = computed(
  () => (pace.value?.seen ?? 0) >= 4 && Math.abs(Math.log(pace.value?.median ?? 1)) >= Math.log(1.1),
)
const why = computed(() => (card.value ? whyLate(card.value, workload.load.ends, moment.today) : []))
const remedies = useRemedies(id, card, outlook, step)
async function take(choice: Choice) {
  await choice.act()
  dialogs.close()
}
function go(stepId: string) {
  const state = card.value?.standing.steps.find((x) => x.step.id === stepId)
  if (!card.value || !state) return
  dialogs.close()
  void router.push({
    name: 'episode',
    params: { code: card.value.episode.code, stage: stepGoal(card.value, state.step) },
  })
}
const nextLate = useNextLate()
</script>

<template>
  <Sheet :open="true" :title="card ? `${card.number} ${card.title}` : ''" wide @close="dialogs.close()">
    <p v-if="!outlook">Its forecast is being made.</p>
    <template v-else-if="card">
      <p class="text-16">
        <strong class="inline-block first-letter:uppercase">{{ verdict }}.</strong> Goes out
        {{ sayDay(outlook.release, moment.today)
        }}<template v-if="chance.say(outlook)">; {{ chance.say(outlook) }} on time</template>.
      </p>
      <p class="sub mb-3">
        In half of 2,000 simulations it is ready by
        {{ sayDay(dayOf(outlook.p50), moment.today) }}, in nine of ten by
        {{ sayDay(dayOf(outlook.p90), moment.today) }}.<template v-if="plan.lost.seen >= 20">
          You lost {{ plan.lost.lost }} of the last {{ plan.lost.seen }} days with work on them.</template
        ><template v-if="pace && step && paceTells">
          You plan {{ step.minutes }} min for it; work of this kind takes about
          {{ Math.round(step.minutes * pace.median) }}.</template
        ><template v-if="!chance.known.value && inFigures(outlook)">
          {{ inFigures(outlook) }} of them make it; the figure is young until eight releases are
          out.</template
        >
      </p>
      <Spread :outlook="outlook" />
      <WhyLate v-if="why.length > 0" :why="why" @go="go" />
      <h3 class="text-14 mb-1">{{ why.length > 0 ? 'What would help' : 'What if' }}</h3>
      <WhatIfTable :remedies="remedies" :outlook="outlook" @take="take" />
      <OtherRemedies :remedies="remedies" :step="step" />
      <p v-if="cards.late.length > 1 && why.length > 0" class="mt-3">
        <button class="btn btn-small" @click="nextLate">
          The next late one <KeySign :line="shellKeys.lines.late" />
        </button>
      </p>
    </template>
  </Sheet>
</template>
