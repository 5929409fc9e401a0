<script setup lang="ts">
import { sayTime } from '@core/script/timecode'

/** What the viewer takes away and the points made on the way, with how long the script gives to each. */
const { takeaway, points, seconds } = defineProps<{
  takeaway: string
  points: readonly string[]
  seconds: readonly number[]
}>()
</script>

<template>
  <div class="border-y border-faint py-2">
    <p class="font-title font-semibold">{{ takeaway || 'Nothing to take away yet' }}</p>
    <ol v-if="points.some((p) => p !== '')" class="flex flex-wrap gap-x-5 gap-y-0.5 sub">
      <template v-for="(point, i) in points" :key="i">
        <li v-if="point !== ''">
          <b class="text-ink">{{ i + 1 }}</b> {{ point }}
          <span class="num ml-0.5">{{ seconds[i] ? sayTime(seconds[i]) : 'not yet' }}</span>
        </li>
      </template>
    </ol>
  </div>
</template>
