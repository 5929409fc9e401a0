<script setup lang="ts">
import { computed } from 'vue'
import type { Day, Id, SessionKind } from '@core/records'
import { sayDay } from '@core/rhythm/days'
import { sayMinutes } from '@core/script/timecode'
import { sessionKinds } from '@core/session/kinds'
import type { Together } from '@core/session/together'
import { useMoment } from '@app/stores/moment'

/** Another batch that could be done in one go, in a line. */
const { of } = defineProps<{ of: Together }>()
const emit = defineEmits<{ lay: [of: { kind: SessionKind; day: Day; steps: Id[] }] }>()
const moment = useMoment()
const steps = computed(() => of.candidates.flatMap((c) => c.steps.map((s) => s.state.step.id)))
const names = computed(() => of.candidates.map((c) => c.card.number).join(', '))
</script>

<template>
  <li class="flex flex-wrap items-center gap-x-3 gap-y-1 px-4 py-2">
    <span class="font-medium w-[110px]">{{ sessionKinds[of.kind].name }}</span><span class="num flex-1">{{
      names
    }}</span
    ><span v-if="of.saves > 0" class="sub">saves {{ sayMinutes(of.saves) }}</span
    ><span class="num">{{ sayMinutes(of.minutes + of.setup) }}</span
    ><button class="btn btn-small" @click="emit('lay', { kind: of.kind, day: of.day, steps })">
      Lay it on {{ sayDay(of.day, moment.today) }}
    </button>
  </li>
</template>
