<script setup lang="ts">
import { useMoment } from '@app/stores/moment'
import { typedIn } from '@app/ui/fields/event'
import ScheduleTabs from '../ScheduleTabs.vue'
import type { CountdownSeen } from '../useCountdown'

/** As a picture or in rows; whose ramp is drawn, how many weeks are in sight, and how to read it. */
const { seen } = defineProps<{ seen: CountdownSeen }>()
const shape = defineModel<'picture' | 'rows'>('shape', { required: true })
const shapes = [
  ['picture', 'Against days'],
  ['rows', 'In rows'],
] as const
const moment = useMoment()
</script>

<template>
  <header class="flex flex-wrap items-center gap-x-3 gap-y-2 mb-3">
    <h1>Schedule</h1>
    <ScheduleTabs />
    <div
      class="flex border border-line rounded-control overflow-hidden"
      role="group"
      aria-label="As a picture or in rows"
    >
      <button
        v-for="[key, says] in shapes"
        :key="key"
        class="px-3 py-1"
        :class="key === shape ? 'bg-raised font-medium' : 'text-ink-2'"
        :aria-pressed="key === shape"
        @click="shape = key"
      >
        {{ says }}
      </button>
    </div>
    <slot v-if="shape === 'rows'" name="rows" />
    <div
      v-if="shape === 'picture' && moment.shows.length > 1"
      class="flex border border-line rounded-control overflow-hidden"
      role="group"
      aria-label="Which show"
    >
      <button
        v-for="s in moment.shows"
        :key="s.id"
        class="px-3 py-1"
        :class="s.id === seen.show.value?.id ? 'bg-raised font-medium' : 'text-ink-2'"
        :aria-pressed="s.id === seen.show.value?.id"
        @click="seen.choose(s.id)"
      >
        {{ s.title }}
      </button>
    </div>
    <label v-if="shape === 'picture'" class="sub flex items-center gap-2 ml-auto"
      >2 weeks
      <input
        type="range"
        min="2"
        max="26"
        class="accent-ink w-[130px]"
        :value="seen.weeks.value"
        aria-label="Weeks in sight"
        @input="seen.zoom(Number(typedIn($event)))"
      />
      {{ seen.weeks.value }} weeks in sight</label
    >
    <p v-if="shape === 'picture'" class="sub flex gap-3">
      <span class="inline-flex items-center gap-1.5"
        ><i class="inline-block w-[16px] h-[12px] border border-line border-r-[3px] border-r-ink" />right
        edge: release</span
      ><span class="inline-flex items-center gap-1.5"
        ><i class="inline-block w-[14px] h-[12px] border-t-2 border-r-2 border-ink" />ramp of
        {{ seen.show.value?.title }}</span
      ><span v-if="seen.otherPaths.value.length > 0" class="inline-flex items-center gap-1.5"
        ><i class="inline-block w-[16px] border-t-2 border-dashed border-ring" />other ramps</span
      >
    </p>
  </header>
</template>
