<script setup lang="ts">
import { computed, ref } from 'vue'
import { sum } from 'd3-array'
import { wholeShares } from '@core/ideas/balance'
import NumberField from '@app/ui/fields/NumberField.vue'
import Sheet from '@app/ui/Sheet.vue'

/** How much of the show each topic should have: all typed at once, kept so that they make a hundred. */
const { topics } = defineProps<{ topics: { name: string; share: number }[] }>()
const emit = defineEmits<{ take: [topics: { name: string; share: number }[]]; close: [] }>()
const percents = ref(topics.map((t) => Math.round(t.share * 100)))
const whole = computed(() => sum(percents.value))
const kept = computed(() => wholeShares(percents.value))
function take() {
  emit(
    'take',
    topics.map((t, i) => ({ ...t, share: (kept.value[i] ?? 0) / 100 })),
  )
}
</script>

<template>
  <Sheet :open="true" title="What the show should be about" @close="emit('close')">
    <form class="grid gap-3" @submit.prevent="take">
      <ul class="grid gap-1.5">
        <li v-for="(t, i) in topics" :key="t.name" class="flex items-center gap-3">
          <span class="flex-1">{{ t.name }}</span><NumberField
            :model-value="percents[i] ?? 0"
            field="field num w-[72px] text-right"
            :label="`Wished share of ${t.name} in percent`"
            hidden
            :min="0"
            :max="1000"
            @update:model-value="percents = percents.map((p, n) => (n === i ? $event : p))"
          /><span class="num w-[64px] text-right">{{ kept[i] }} %</span>
        </li>
      </ul>
      <p class="sub">
        {{
          whole === 100
            ? 'They make 100 % together.'
            : whole === 0
              ? 'With nothing typed, nothing is wished.'
              : `They make ${whole} together; kept is each one’s part of 100.`
        }}
      </p>
      <button class="btn btn-main justify-self-end">Keep them</button>
    </form>
  </Sheet>
</template>
