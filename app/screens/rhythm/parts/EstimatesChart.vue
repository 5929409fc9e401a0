<script setup lang="ts">
import { computed, useTemplateRef } from 'vue'
import { scaleLinear } from 'd3-scale'
import { sum } from 'd3-array'
import type { KindTimes } from '@core/learnt/findings'
import { sayMinutes } from '@core/script/timecode'
import { workNames } from '@core/views/rhythm-findings'
import { useWidth } from '@app/ui/width'

/** Planned against taken by kind of work: the bar is the plan, what goes beyond it hatched; each stroke is one episode. */
const { times } = defineProps<{ times: readonly KindTimes[] }>()
const room = useTemplateRef<HTMLElement>('room')
const width = useWidth(room, 'rhythm-estimates', 560)
const row = 34
const left = 110
const wide = computed(() => Math.max(340, width.value))
const right = computed(() => wide.value - 190)
const x = computed(() =>
  scaleLinear()
    .domain([0, Math.max(30, ...times.flatMap((t) => [t.planned, t.taken, ...t.mine]))])
    .range([left, right.value]),
)
const rows = computed(() =>
  times.map((t, i) => ({
    ...t,
    y: 20 + i * row,
    plan: x.value(Math.min(t.planned, t.taken)) - left,
    over: Math.max(0, x.value(t.taken) - x.value(t.planned)),
    spare: Math.max(0, x.value(t.planned) - x.value(t.taken)),
  })),
)
const height = computed(() => 20 + times.length * row + 28)
</script>

<template>
  <div ref="room" class="min-w-0">
    <svg
      :width="wide"
      :height="height"
      role="img"
      class="block"
      aria-label="Minutes planned and taken, by kind of work"
    >
      <defs>
        <pattern
          id="beyond-plan"
          width="5"
          height="5"
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(45)"
        >
          <line x1="0" y1="0" x2="0" y2="5" class="hatch" />
        </pattern>
      </defs>
      <text :x="wide - 118" y="12" text-anchor="end">planned</text>
      <text :x="wide - 46" y="12" text-anchor="end">taken</text>
      <g v-for="r in rows" :key="r.kind" :class="r.isOther ? 'other' : ''">
        <title>
          {{ workNames[r.kind] }}: {{ r.cases }} episodes, middle half {{ r.spread[0].toFixed(1) }} to
          {{ r.spread[1].toFixed(1) }} times
        </title>
        <text x="0" :y="r.y + 13" class="name">{{ workNames[r.kind] }}</text>
        <rect :x="left" :y="r.y + 3" :width="r.plan" height="12" rx="2" class="plan" />
        <rect v-if="r.over > 1" :x="x(r.planned)" :y="r.y + 3" :width="r.over" height="12" class="over" />
        <rect v-if="r.spare > 1" :x="x(r.taken)" :y="r.y + 3" :width="r.spare" height="12" class="spare" />
        <line
          v-for="(m, i) in r.mine"
          :key="i"
          :x1="x(m)"
          :x2="x(m)"
          :y1="r.y + 18"
          :y2="r.y + 25"
          class="stroke"
        />
        <text :x="wide - 118" :y="r.y + 13" text-anchor="end" class="num">{{ sayMinutes(r.planned) }}</text>
        <text :x="wide - 46" :y="r.y + 13" text-anchor="end" class="num name">{{ sayMinutes(r.taken) }}</text>
        <text :x="wide" :y="r.y + 13" text-anchor="end" class="num">{{ r.times.toFixed(1) }}×</text>
      </g>
      <line x1="0" :x2="wide" :y1="height - 26" :y2="height - 26" class="axis" />
      <text x="0" :y="height - 8" class="name">All together</text>
      <text :x="wide - 118" :y="height - 8" text-anchor="end" class="num">
        {{ sayMinutes(sum(times, (t) => t.planned)) }}
      </text>
      <text :x="wide - 46" :y="height - 8" text-anchor="end" class="num name">
        {{ sayMinutes(sum(times, (t) => t.taken)) }}
      </text>
    </svg>
  </div>
</template>

<style scoped>
text {
  font-family: var(--font-sans);
  font-size: 12.5px;
  fill: var(--ink-2);
}
.name {
  fill: var(--ink);
}
.other .name {
  font-weight: 700;
}
.num {
  font-family: var(--font-mono);
  font-size: 12px;
}
.plan {
  fill: var(--ink-2);
}
.over {
  fill: url(#beyond-plan);
  stroke: var(--ink-2);
}
.spare {
  fill: none;
  stroke: var(--ring);
}
.hatch {
  stroke: var(--ink-2);
  stroke-width: 2;
}
.stroke {
  stroke: var(--ink-3);
}
.axis {
  stroke: var(--ring);
}
</style>
