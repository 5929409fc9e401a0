<script setup lang="ts">
import { computed, ref } from 'vue'
import { scaleLog } from 'd3-scale'
import { symbol, symbolCircle, symbolDiamond, symbolSquare } from 'd3-shape'
import { sayOpportunity, type Cover } from '@core/ideas/opportunity'
import { decades, logDomain } from '@core/ideas/plot'
import { keysOn } from '@app/ui/keymap'
import { plotKeys } from './keymap'

/**
 * Demand against competition: to the upper left is what many search and few answer. Covered, planned and
 * open ones differ in shape.
 */
const { covers, here = '' } = defineProps<{ covers: Cover[]; here?: string | undefined }>()
const emit = defineEmits<{ here: [string]; choose: [string] }>()
const box = { width: 470, height: 430, left: 46, right: 16, top: 34, bottom: 40 }
const shown = computed(() =>
  covers.filter((c) => c.keyword.searches !== undefined && c.keyword.competing !== undefined),
)
const x = computed(() =>
  scaleLog()
    .domain(logDomain(shown.value.map((c) => c.keyword.competing ?? 1)))
    .range([box.left, box.width - box.right]),
)
const y = computed(() =>
  scaleLog()
    .domain(logDomain(shown.value.map((c) => c.keyword.searches ?? 1)))
    .range([box.height - box.bottom, box.top]),
)
const decadesOf = (scale: { domain: () => number[] }) => {
  const [from = 1, to = 10] = scale.domain()
  return decades([from, to])
}
const figures = new Intl.NumberFormat('en', { notation: 'compact', maximumFractionDigits: 1 })
const shapes = { covered: symbolSquare, planned: symbolDiamond, open: symbolCircle }
const path = (is: Cover['is']) => symbol(shapes[is], is === 'open' ? 78 : 84)() ?? ''
const dots = computed(() =>
  shown.value
    .map((c) => ({
      c,
      x: x.value(Math.max(1, c.keyword.competing ?? 1)),
      y: y.value(Math.max(1, c.keyword.searches ?? 1)),
    }))
    .sort((a, b) => a.x - b.x),
)
/** Near the right edge a name stands left of its dot. */
const nameLeft = (at: number) => at > box.width - 130
/** Names are written where none stands in another's way, the best first. */
const named = computed(() => {
  const taken: { x: number; y: number; w: number }[] = []
  return new Set(
    [...dots.value]
      .sort((a, b) => (b.c.opportunity?.value ?? 0) - (a.c.opportunity?.value ?? 0))
      .flatMap((d) => {
        const w = d.c.keyword.words.length * 6.2 + 14
        const from = nameLeft(d.x) ? d.x - w : d.x
        if (
          from < box.left ||
          from + w > box.width ||
          taken.some((t) => Math.abs(t.y - d.y) < 14 && from < t.x + t.w && t.x < from + w) ||
          dots.value.some((o) => o !== d && Math.abs(o.y - d.y) < 11 && o.x > from - 6 && o.x < from + w + 6)
        )
          return []
        taken.push({ x: from, y: d.y, w })
        return [d.c.keyword.id]
      }),
  )
})
const current = computed(() => dots.value.find((d) => d.c.keyword.id === here))
const plot = ref<SVGElement>()
function goTo(i: number): boolean {
  const to = dots.value[i]
  if (!to) return false
  emit('here', to.c.keyword.id)
  plot.value?.querySelectorAll<SVGElement>('[data-dot]')[i]?.focus()
  return true
}
const keyed = keysOn<keyof (typeof plotKeys)['lines'], [number]>(plotKeys, {
  back: (_, i) => goTo(i - 1),
  on: (_, i) => goTo(i + 1),
  choose: (_, i) => {
    const d = dots.value[i]
    if (d) emit('choose', d.c.keyword.id)
  },
})
</script>

<template>
  <figure class="panel p-3 m-0" aria-label="Demand against competition">
    <svg
      ref="plot"
      :viewBox="`0 0 ${box.width} ${box.height}`"
      class="w-full h-auto block"
      role="group"
      aria-label="Keywords by competing results and searches a month"
    >
      <g class="grid-lines">
        <line
          v-for="v in decadesOf(x)"
          :key="`x${v}`"
          :x1="x(v)"
          :x2="x(v)"
          :y1="box.top"
          :y2="box.height - box.bottom"
        />
        <line
          v-for="v in decadesOf(y)"
          :key="`y${v}`"
          :y1="y(v)"
          :y2="y(v)"
          :x1="box.left"
          :x2="box.width - box.right"
        />
      </g>
      <g class="axis">
        <text v-for="v in decadesOf(x)" :key="`x${v}`" :x="x(v)" :y="box.height - 24" text-anchor="middle">
          {{ figures.format(v) }}
        </text>
        <text v-for="v in decadesOf(y)" :key="`y${v}`" :x="box.left - 7" :y="y(v) + 4" text-anchor="end">
          {{ figures.format(v) }}
        </text>
        <text :x="box.width - box.right" :y="box.height - 6" text-anchor="end">competing results →</text>
        <text :x="box.left - 38" :y="12">↑ searches a month</text>
      </g>
      <g
        v-for="(d, i) in dots"
        :key="d.c.keyword.id"
        :transform="`translate(${d.x},${d.y})`"
        class="dot"
        :class="[d.c.is, { here: d.c.keyword.id === here }]"
        data-dot
        role="button"
        :tabindex="d.c.keyword.id === here || (!current && i === 0) ? 0 : -1"
        :aria-label="`${d.c.keyword.words}: ${figures.format(d.c.keyword.searches ?? 0)} searches, ${figures.format(d.c.keyword.competing ?? 0)} results, ${d.c.opportunity ? sayOpportunity(d.c.opportunity) : ''}, ${d.c.is}`"
        @mouseenter="emit('here', d.c.keyword.id)"
        @focus="emit('here', d.c.keyword.id)"
        @click="emit('choose', d.c.keyword.id)"
        @keydown="keyed($event, i)"
      >
        <circle r="13" fill="transparent" />
        <path :d="path(d.c.is)" />
        <text
          v-if="named.has(d.c.keyword.id) || d.c.keyword.id === here"
          :x="nameLeft(d.x) ? -10 : 10"
          y="4"
          :text-anchor="nameLeft(d.x) ? 'end' : 'start'"
        >
          {{ d.c.keyword.words }}
        </text>
      </g>
    </svg>
    <figcaption class="flex flex-wrap gap-x-5 gap-y-1 sub px-1 min-h-[40px]">
      <span
        v-for="is in ['covered', 'planned', 'open'] as const"
        :key="is"
        class="inline-flex items-center gap-1.5"
        ><svg width="14" height="14" viewBox="-7 -7 14 14" aria-hidden="true" class="dot" :class="is">
          <path :d="path(is)" /></svg
        >{{ is }}</span
      ><span v-if="current" class="w-full text-ink"
        >{{ current.c.keyword.words }}: {{ figures.format(current.c.keyword.searches ?? 0) }} searches,
        {{ figures.format(current.c.keyword.competing ?? 0) }} results,
        {{ current.c.opportunity ? sayOpportunity(current.c.opportunity) : ''
        }}<template v-if="current.c.old">, an old figure</template></span
      >
    </figcaption>
  </figure>
</template>

<style scoped>
.grid-lines line {
  stroke: var(--faint);
}
.axis text {
  font: 11px var(--font-mono);
  fill: var(--ink-2);
}
.dot {
  cursor: pointer;
}
.dot path {
  stroke: var(--ink-2);
  stroke-width: 1.5;
  fill: none;
}
.dot.covered path {
  fill: var(--ink-3);
  stroke: var(--ink-3);
}
.dot.planned path {
  fill: color-mix(in oklab, var(--ink-2) 35%, transparent);
}
.dot text {
  font: 12px var(--font-sans);
  fill: var(--ink-2);
  paint-order: stroke;
  stroke: var(--panel);
  stroke-width: 4px;
}
.dot.here path {
  stroke: var(--ink);
  stroke-width: 2.5;
}
.dot.here text {
  fill: var(--ink);
  font-weight: 600;
}
.dot:focus {
  outline: none;
}
.dot:focus-visible circle {
  stroke: var(--lamp-line);
  stroke-width: 2;
}
</style>
