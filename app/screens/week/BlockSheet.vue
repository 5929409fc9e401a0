<script setup lang="ts">
import { computed, ref } from 'vue'
import { correctLog } from '@core/commands/work'
import { timeBlock } from '@core/commands/week'
import { sayDay } from '@core/rhythm/days'
import { sayMinutes } from '@core/script/timecode'
import { useCards } from '@app/stores/cards'
import { useMoment } from '@app/stores/moment'
import { useLibrary } from '@app/stores/library'
import Sheet from '@app/ui/Sheet.vue'
import type { DayBlock } from '@core/views/week'
import KeySign from '@app/ui/KeySign.vue'
import { weekKeys } from './keymap'
import NumberField from '@app/ui/fields/NumberField.vue'
import TimeField from '@app/ui/fields/TimeField.vue'

/** All that can be done with one block of the week. */
const { block, running } = defineProps<{ block: DayBlock; running: boolean }>()
const emit = defineEmits<{ close: []; act: ['open' | 'pin' | 'split' | 'join' | 'off' | 'timer'] }>()
const library = useLibrary()
const cards = useCards()
const moment = useMoment()
const found = computed(() => cards.stepIn.get(block.step))
const at = ref(block.at ?? '')
const worked = ref(block.minutes)
async function correct() {
  const done = await library.perform(correctLog, { step: block.step, minutes: worked.value, day: block.day })
  if (done.ok) emit('close')
}
const pieces = computed(() => found.value?.state.step.blocks.filter((b) => b.day >= moment.today).length ?? 0)
async function time(value: string | undefined) {
  await library.perform(timeBlock, { step: block.step, day: block.day, minutes: block.minutes, at: value })
  emit('close')
}
</script>

<template>
  <Sheet :open="true" :title="found?.state.step.name ?? ''" @close="emit('close')">
    <p class="sub mb-3">
      <span class="num">{{ found?.card.number }}</span> {{ found?.card.title }}.
      {{ sayMinutes(block.minutes) }} on {{ sayDay(block.day)
      }}<template v-if="block.at">, {{ block.at }}</template
      >.
    </p>
    <form v-if="block.kind === 'done'" class="flex flex-wrap items-end gap-2" @submit.prevent="correct">
      <NumberField
        v-model="worked"
        field="field num w-[110px]"
        label="Minutes worked on that day"
        :min="0"
        :max="1440"
      /><button class="btn btn-main">Correct it</button
      ><button type="button" class="btn" @click="emit('act', 'open')">Go to it</button>
    </form>
    <p v-else class="flex flex-wrap gap-2">
      <button class="btn btn-main" @click="emit('act', 'open')">Go to it</button>
      <button class="btn" @click="emit('act', 'timer')">
        {{ running ? 'Stop it' : 'Start it' }} <KeySign :line="weekKeys.lines.timer" />
      </button>
      <button class="btn" @click="emit('act', 'pin')">
        {{ block.kind === 'pinned' ? 'Let planning move it' : 'Pin it here' }}
        <KeySign :line="weekKeys.lines.pin" />
      </button>
      <button v-if="block.minutes >= 60" class="btn" @click="emit('act', 'split')">
        Split it <KeySign :line="weekKeys.lines.split" />
      </button>
      <button v-if="pieces > 1" class="btn" @click="emit('act', 'join')">
        Join its {{ pieces }} pieces here <KeySign :line="weekKeys.lines.join" />
      </button>
      <button v-if="block.kind !== 'would'" class="btn" @click="emit('act', 'off')">
        Back to the plan <KeySign :line="weekKeys.lines.off" />
      </button>
    </p>
    <form
      v-if="block.kind !== 'done'"
      class="flex items-end gap-2 mt-4 border-t border-faint pt-3"
      @submit.prevent="time(at || undefined)"
    >
      <TimeField v-model="at" class="w-[130px]" label="At a clock time, as with a guest" /><button
        class="btn"
      >
        Set it</button
      ><button v-if="block.at" type="button" class="btn btn-bare" @click="time(undefined)">
        At no particular time
      </button>
    </form>
  </Sheet>
</template>
