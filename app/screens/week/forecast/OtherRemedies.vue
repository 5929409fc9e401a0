<script setup lang="ts">
import type { Step } from '@core/records'
import { sayDay } from '@core/rhythm/days'
import { typedIn } from '@app/ui/fields/event'
import NumberField from '@app/ui/fields/NumberField.vue'
import type { Remedies } from './useRemedies'

/** More hours on days of one's own choosing, or another step than the one that decides. */
const { remedies, step } = defineProps<{ remedies: Remedies; step: Step | undefined }>()
</script>

<template>
  <details class="sub mt-2">
    <summary class="py-1">Other days, another step</summary>
    <label class="flex items-center gap-2 mb-2"
      >Shorten, hand on or leave out
      <select
        :value="remedies.other.value"
        class="field w-auto min-h-[28px] py-0.5"
        aria-label="Which step"
        @change="remedies.setStep(typedIn($event))"
      >
        <option value="">{{ step?.name ?? 'the one that decides' }}</option>
        <option
          v-for="x in remedies.openSteps.value.filter((y) => y.id !== step?.id)"
          :key="x.id"
          :value="x.id"
        >
          {{ x.name }}
        </option>
      </select></label
    >
    <div class="flex flex-wrap gap-1.5 items-center">
      <label class="flex items-center gap-1.5"
        ><NumberField
          :model-value="remedies.more.value.hours"
          eager
          field="field num w-[64px] min-h-[28px] py-0"
          label="More hours"
          hidden
          :min="0.5"
          :max="12"
          :step="0.5"
          @update:model-value="remedies.setHours"
        />
        h on</label
      ><button
        v-for="d in remedies.nearDays.value"
        :key="d"
        class="btn btn-small min-h-[26px] px-1.5 text-11"
        :class="remedies.more.value.days.includes(d) ? 'border-ink bg-raised font-semibold' : ''"
        :aria-pressed="remedies.more.value.days.includes(d)"
        @click="remedies.chooseDay(d)"
      >
        {{ sayDay(d) }}
      </button>
    </div>
  </details>
</template>
