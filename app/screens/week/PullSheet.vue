<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Day, Id } from '@core/records'
import { sayAway, sayDay } from '@core/rhythm/days'
import { sayMinutes } from '@core/script/timecode'
import { useCards } from '@app/stores/cards'
import { useMoment } from '@app/stores/moment'
import Sheet from '@app/ui/Sheet.vue'
import type { WorkBlock } from '@core/plan/task'
import NumberField from '@app/ui/fields/NumberField.vue'

/**
 * What fits into some free minutes of a day: later work that needs nothing unfinished, the most urgent
 * first.
 */
const { day, free, blocks } = defineProps<{ day: Day; free: number; blocks: readonly WorkBlock[] }>()
const emit = defineEmits<{ close: []; pull: [{ step: Id; from: Day; minutes: number }] }>()
const cards = useCards()
const moment = useMoment()
const minutes = ref(free)
const fits = computed(() =>
  blocks
    .filter((b) => b.day > day && b.minutes <= minutes.value)
    .flatMap((block) => {
      const found = cards.stepIn.get(block.id)
      const pinned = found?.state.step.blocks.some((x) => x.day === block.day && x.pinned)
      return found?.state.free &&
        !pinned &&
        (found.state.earliest === undefined || found.state.earliest <= day)
        ? [{ block, ...found }]
        : []
    })
    .sort((a, b) => ((a.state.due ?? '9') < (b.state.due ?? '9') ? -1 : 1))
    .slice(0, 8),
)
</script>

<template>
  <Sheet :open="true" :title="`Pull something forward to ${sayDay(day)}`" @close="emit('close')">
    <label class="flex items-center gap-2 mb-3"
      >I have
      <NumberField
        v-model="minutes"
        eager
        field="field num w-[84px]"
        label="Free minutes"
        hidden
        :min="5"
        :max="720"
        :step="5"
      />
      minutes</label
    >
    <ul class="grid gap-1" aria-label="What fits">
      <li v-for="f in fits" :key="`${f.block.id} ${f.block.day}`">
        <button
          class="flex w-full items-baseline gap-3 px-2 py-1.5 text-left rounded-control hover:bg-raised"
          @click="emit('pull', { step: f.block.id, from: f.block.day, minutes: f.block.minutes })"
        >
          <span class="num w-[56px]">{{ sayMinutes(f.block.minutes) }}</span><span class="flex-1"
            ><strong class="font-semibold">{{ f.state.step.name }}</strong
            >, <span class="num">{{ f.card.number }}</span> {{ f.card.title }}</span
          ><span class="sub whitespace-nowrap">{{
            f.state.due ? `due ${sayAway(f.state.due, moment.today)}` : ''
          }}</span>
        </button>
      </li>
    </ul>
    <p v-if="fits.length === 0" class="sub">Nothing that can be begun fits into {{ minutes }} minutes.</p>
  </Sheet>
</template>
