<script setup lang="ts">
import { computed } from 'vue'
import { scaleLinear } from 'd3-scale'
import type { Outlook } from '@core/plan/outlook'
import { dayOf, sayDay } from '@core/rhythm/days'

/** The draws of a forecast by the day on which they are ready, the release as a line. */
const { outlook } = defineProps<{ outlook: Outlook }>()
const box = { width: 460, height: 120 }
const bars = computed(() => {
  const spread = outlook.spread
  const offs = [...spread.keys()]
  const from = Math.min(-7, ...offs)
  const to = Math.max(4, ...offs)
  const x = scaleLinear()
    .domain([from, to + 1])
    .range([0, box.width])
  const y = scaleLinear()
    .domain([0, Math.max(1, ...spread.values())])
    .range([0, box.height - 24])
  return {
    from,
    to,
    x,
    list: [...spread].map(([off, n]) => ({ off, n, x: x(off), w: Math.max(2, x(1) - x(0) - 2), h: y(n) })),
  }
})
</script>

<template>
  <svg
    :viewBox="`0 0 ${box.width} ${box.height}`"
    class="w-full h-[120px] mb-3"
    role="img"
    :aria-label="`Draws ready by day: half by ${sayDay(dayOf(outlook.p50))}, nine in ten by ${sayDay(dayOf(outlook.p90))}, release ${sayDay(outlook.release)}`"
  >
    <rect
      v-for="b in bars.list"
      :key="b.off"
      :x="b.x"
      :y="box.height - 22 - b.h"
      :width="b.w"
      :height="b.h"
      rx="1"
      :fill="b.off > 0 ? 'transparent' : 'var(--ink-3)'"
      :stroke="b.off > 0 ? 'var(--rose)' : 'none'"
    />
    <line
      :x1="bars.x(1)"
      :x2="bars.x(1)"
      y1="0"
      :y2="box.height - 20"
      stroke="var(--lamp-line)"
      stroke-width="2"
    />
    <text :x="bars.x(1) - 4" :y="box.height - 6" text-anchor="end" class="tick-text">release</text>
    <text x="0" :y="box.height - 6" class="tick-text">
      {{ bars.from <= -28 ? '4 weeks or more before' : `${-bars.from} d before` }}
    </text>
    <text :x="box.width" :y="box.height - 6" text-anchor="end" class="tick-text">
      {{ bars.to >= 28 ? 'not in 4 weeks' : `${bars.to} d after` }}
    </text>
  </svg>
</template>

<style scoped>
.tick-text {
  font: 11px var(--font-sans);
  fill: var(--ink-2);
}
</style>
