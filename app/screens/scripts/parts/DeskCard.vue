<script setup lang="ts">
import { computed } from 'vue'
import { sayAway, sayDay } from '@core/rhythm/days'
import { sayTime } from '@core/script/timecode'
import type { DeskScript } from '@core/views/script-desk'
import { useMoment } from '@app/stores/moment'
import Flag from '@app/ui/Flag.vue'
import { stageWith } from '../../episode/mend'

/** One script: its length against the aim, drawn; what it lacks, and when it is due. */
const { of } = defineProps<{ of: DeskScript }>()
const moment = useMoment()
const aim = computed(() => of.card.show.aim)
/** Shares of twice the longest aim, so that what is too long can be seen. */
const scale = computed(() => Math.max(of.figures.seconds, aim.value.to * 60 * 1.25, 1))
const share = (seconds: number) => `${(seconds / scale.value) * 100}%`
</script>

<template>
  <RouterLink
    :to="{ name: 'episode', params: { code: of.card.episode.code, stage: stageWith(of.card, 'script') } }"
    class="card block px-3.5 py-2.5 no-underline hover:bg-raised"
  >
    <span class="flex gap-2 items-baseline"
      ><span class="flex-1 font-semibold">{{ of.card.title }}</span
      ><span class="num">{{ of.card.number }}</span></span
    ><span class="relative block h-1.5 my-2 rounded-full bg-raised" aria-hidden="true"
      ><span
        class="absolute inset-y-0 border-x border-ink-3 bg-line"
        :style="{ left: share(aim.from * 60), width: share((aim.to - aim.from) * 60) }" /><span
        class="absolute inset-y-0 left-0 rounded-full bg-ink-2"
        :style="{ width: share(of.figures.seconds) }" /></span
    ><span class="flex gap-2 sub"
      ><span class="num text-ink">{{ sayTime(of.figures.seconds) }}</span
      ><span>of {{ aim.from }} to {{ aim.to }} min</span><span class="flex-1" /><span>{{
        of.lacks
      }}</span></span
    ><span v-if="of.due" class="block sub"
      ><Flag v-if="of.late > 0" />due {{ sayDay(of.due, moment.today) }},
      {{ sayAway(of.due, moment.today) }}</span
    >
  </RouterLink>
</template>
