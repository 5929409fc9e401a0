<script setup lang="ts">
import { computed, useTemplateRef } from 'vue'
import { scaleLinear } from 'd3-scale'
import { sum } from 'd3-array'
import type { PathStage } from '@core/learnt/findings'
import { useWidth } from '@app/ui/width'

/** The path of a usual episode to its release: solid where there is work, hollow where it lies still. */
const { path } = defineProps<{ path: readonly PathStage[] }>()
const room = useTemplateRef<HTMLElement>('room')
const width = useWidth(room, 'rhythm-path', 560)
const row = 26
const left = 176
const wide = computed(() => Math.max(320, width.value))
const longest = computed(() => Math.max(7, ...path.map((p) => p.from + 1)))
const x = computed(() =>
  scaleLinear()
    .domain([longest.value, 0])
    .range([left, wide.value - 8]),
)
const height = computed(() => (path.length + 2) * row + 4)
const most = computed(() => Math.max(0, ...path.map((p) => p.still)))
const rows = computed(() =>
  path.map((p, i) => {
    const [from, to] = [x.value(p.from + 1), x.value(p.to)]
    return {
      ...p,
      y: (i + 1) * row,
      x: from,
      w: Math.max(4, to - from),
      stillTo: Math.min(wide.value - 8, x.value(Math.max(0, p.to - p.still))),
      end: to,
      isMost: p.still === most.value && p.still >= 1,
    }
  }),
)
const ticks = computed(() => x.value.ticks(4).filter((t) => t > 0))
</script>

<template>
  <div ref="room" class="min-w-0">
    <svg
      :width="wide"
      :height="height"
      role="img"
      class="block"
      aria-label="Days with work and days without, by stage"
    >
      <text :x="112" y="14" text-anchor="end">worked</text>
      <text :x="160" y="14" text-anchor="end">still</text>
      <g v-for="r in rows" :key="r.kind" :class="r.isMost ? 'most' : ''">
        <text x="0" :y="r.y + 14" class="name">{{ r.name }}</text>
        <text x="112" :y="r.y + 14" text-anchor="end" class="num">{{ r.worked.toFixed(1) }}</text>
        <text x="160" :y="r.y + 14" text-anchor="end" class="num">{{ r.still.toFixed(1) }}</text>
        <rect :x="r.x" :y="r.y + 2" :width="r.w" height="15" rx="2" class="worked" />
        <rect
          v-if="r.stillTo > r.end + 3"
          :x="r.end + 2"
          :y="r.y + 6"
          :width="r.stillTo - r.end - 2"
          height="7"
          rx="3"
          class="still"
        />
      </g>
      <line x1="0" :x2="left - 10" :y1="(path.length + 1) * row" :y2="(path.length + 1) * row" class="axis" />
      <text x="0" :y="(path.length + 1) * row + 16" class="name">Days, together</text>
      <text x="112" :y="(path.length + 1) * row + 16" text-anchor="end" class="num">
        {{ sum(path, (p) => p.worked).toFixed(1) }}
      </text>
      <text x="160" :y="(path.length + 1) * row + 16" text-anchor="end" class="num">
        {{ sum(path, (p) => p.still).toFixed(1) }}
      </text>
      <g v-for="t in ticks" :key="t">
        <line :x1="x(t)" :x2="x(t)" y1="22" :y2="(path.length + 1) * row" class="tick-line" />
        <text :x="x(t)" :y="(path.length + 1) * row + 16" text-anchor="middle">{{ t }} d before</text>
      </g>
      <line :x1="x(0)" :x2="x(0)" y1="18" :y2="(path.length + 1) * row" class="out" />
      <text :x="x(0)" :y="(path.length + 1) * row + 16" text-anchor="end">out</text>
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
.num {
  font-family: var(--font-mono);
  font-size: 12px;
}
.most .name,
.most .num {
  font-weight: 700;
  fill: var(--ink);
}
.worked {
  fill: var(--ink-2);
}
.still {
  fill: none;
  stroke: var(--ring);
}
.most .still {
  stroke: var(--ink);
  stroke-width: 2;
}
.axis {
  stroke: var(--ring);
}
.tick-line {
  stroke: var(--line);
  stroke-dasharray: 1 4;
}
.out {
  stroke: var(--ink);
  stroke-width: 2;
}
</style>
