<script setup lang="ts">
import { computed } from 'vue'
import type { Lamp } from '@core/recipe/progress'
import { sayLamp } from './lamp-words'

/** The mark of an episode: six holes, one per stage clockwise from the top, lit as lamps are. */
const {
  lamps,
  size = 28,
  open = false,
  name = '',
} = defineProps<{ lamps?: (Lamp | undefined)[]; size?: number; open?: boolean; name?: string }>()

const stages = ['Brief', 'Script', 'Film', 'Edit', 'Thumbnail', 'Release']
const holes = computed(() =>
  stages.map((_, i) => {
    const angle = (i * Math.PI) / 3
    return { x: 16 + 8.6 * Math.sin(angle), y: 16 - 8.6 * Math.cos(angle), lamp: lamps?.[i] }
  }),
)
const all = computed(
  () => !open && lamps !== undefined && lamps.every((l) => l === undefined || l.state === 'lit'),
)
const label = computed(
  () =>
    `${name ? `${name}: ` : ''}${
      open
        ? 'open slot'
        : all.value
          ? 'all lamps lit'
          : stages
              .flatMap((s, i) => {
                const l = lamps?.[i]
                return l ? [`${s} ${sayLamp(l)}`] : []
              })
              .join(', ')
    }`,
)
</script>

<template>
  <svg :width="size" :height="size" viewBox="0 0 32 32" fill="none" role="img" :aria-label="label">
    <circle
      cx="16"
      cy="16"
      r="14"
      :stroke="all ? 'var(--lamp-line)' : 'var(--ring)'"
      stroke-width="2"
      :stroke-dasharray="open ? '2.6 2.4' : undefined"
    />
    <template v-if="!open">
      <g v-for="(hole, i) in holes" :key="i">
        <circle
          v-if="!hole.lamp || hole.lamp.state === 'dark'"
          :cx="hole.x"
          :cy="hole.y"
          r="1.5"
          fill="var(--ring)"
        />
        <circle
          v-else-if="hole.lamp.state === 'lit'"
          :cx="hole.x"
          :cy="hole.y"
          r="3"
          fill="var(--lamp)"
          stroke="var(--lamp-line)"
          stroke-width=".8"
        />
        <path
          v-else-if="hole.lamp.state === 'waiting'"
          :d="`M${hole.x - 1.5} ${hole.y - 2.4}v4.8M${hole.x + 1.5} ${hole.y - 2.4}v4.8`"
          stroke="var(--sea)"
          stroke-width="1.4"
        />
        <circle
          v-else
          :cx="hole.x"
          :cy="hole.y"
          r="2.3"
          :stroke="hole.lamp.state === 'working' ? 'var(--lamp-line)' : 'var(--ink-2)'"
          stroke-width="1.5"
        />
      </g>
      <circle
        v-if="all"
        cx="16"
        cy="16"
        r="3.4"
        fill="var(--lamp)"
        stroke="var(--lamp-line)"
        stroke-width=".8"
      />
    </template>
  </svg>
</template>
