<script setup lang="ts">
import { computed } from 'vue'
import { sayMinutes } from '@core/script/timecode'
import type { TodayStep } from '@core/views/today'
import { useMoment } from '@app/stores/moment'
import { useWorkload } from '@app/stores/workload'

/** The hours of the day as a bar: what is done, setting up, and each step; what is free can be filled. */
const { blocks } = defineProps<{ blocks: readonly TodayStep[] }>()
const emit = defineEmits<{ pull: [] }>()
const moment = useMoment()
const workload = useWorkload()
const figures = computed(() => workload.figuresOf(moment.today))
const setup = computed(() => workload.load.setup.get(moment.today) ?? 0)
/** A share of the day's hours, in per cent. */
const share = (minutes: number) => {
  const { whole, taken, worked, planned } = figures.value
  return (minutes / Math.max(1, whole - taken, worked + planned)) * 100
}
</script>

<template>
  <div class="w-[306px] max-sm:w-full">
    <div
      class="h-[15px] flex gap-[2px] border border-dashed border-ring rounded-[4px] p-[1px] overflow-hidden"
      role="img"
      :aria-label="`${figures.worked > 0 ? `${sayMinutes(figures.worked)} done, ` : ''}${sayMinutes(figures.planned)} planned of ${sayMinutes(figures.left)}`"
    >
      <span
        v-if="figures.worked > 0"
        class="h-full rounded-[2px] bg-ink-2"
        :style="{ width: `${share(figures.worked)}%` }"
        title="Done today"
      />
      <span
        v-if="figures.left > 0 && setup > 0"
        class="h-full rounded-[2px] border border-line bg-[repeating-linear-gradient(135deg,var(--line)_0_2px,transparent_2px_5px)]"
        :style="{ width: `${share(setup)}%` }"
        title="Setting up"
      />
      <span
        v-for="(b, i) in blocks"
        :key="b.state.step.id"
        class="h-full rounded-[2px] border"
        :class="i === 0 ? 'bg-lamp border-lamp-line' : 'bg-raised border-line'"
        :style="{ width: `${share(b.minutes)}%` }"
      />
    </div>
    <p class="flex justify-between text-12 text-ink-2 mt-1">
      <span
        ><template v-if="figures.worked > 0">{{ sayMinutes(figures.worked) }} done, </template
        ><strong class="text-ink font-semibold">{{ sayMinutes(figures.planned) }}</strong> planned of
        {{ sayMinutes(figures.left) }}{{ figures.worked > 0 ? ' left' : '' }}</span
      ><button v-if="figures.free >= 20" class="underline underline-offset-2" @click="emit('pull')">
        {{ sayMinutes(figures.free) }} free, pull something forward</button
      ><span v-else>{{
        figures.over > 0
          ? `${sayMinutes(figures.over)} over`
          : figures.free > 0
            ? `${sayMinutes(figures.free)} free`
            : figures.whole === 0
              ? moment.settings.lostOn?.[moment.today]
                ? 'this day is lost'
                : 'a day off'
              : 'full'
      }}</span>
    </p>
  </div>
</template>
