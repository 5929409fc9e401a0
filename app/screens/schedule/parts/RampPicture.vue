<script setup lang="ts">
import { lampKinds } from '@core/views/slots'
import { rowHeight, type CountdownSeen } from '../useCountdown'

/** The ground of the Countdown: stages as rows, the ramp, what lies behind it, today. */
const { seen } = defineProps<{ seen: CountdownSeen }>()
</script>

<template>
  <svg class="absolute inset-0 w-full h-full" aria-hidden="true">
    <defs>
      <pattern id="behind" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <line x1="0" y1="0" x2="0" y2="7" stroke="var(--rose)" stroke-opacity="0.38" stroke-width="1.5" />
      </pattern>
    </defs>
    <path :d="seen.behind.value" fill="url(#behind)" />
    <path
      v-for="o in seen.otherPaths.value"
      :key="o.id"
      :d="o.d"
      fill="none"
      stroke="var(--ring)"
      stroke-width="1.5"
      stroke-dasharray="5 4"
    />
    <path :d="seen.path.value" fill="none" stroke="var(--ink)" stroke-width="2" />
    <line
      v-for="i in lampKinds.length"
      :key="i"
      x1="0"
      x2="100%"
      :y1="i * rowHeight"
      :y2="i * rowHeight"
      stroke="var(--faint)"
    />
    <line
      v-for="p in seen.puts.value"
      :key="p.card.episode.id"
      :x1="p.right"
      :x2="p.right"
      :y1="(p.row + 1) * rowHeight"
      :y2="lampKinds.length * rowHeight + 52"
      stroke="var(--ring)"
      stroke-dasharray="1 4"
    />
    <line
      :x1="seen.x.value(0)"
      :x2="seen.x.value(0)"
      y1="0"
      :y2="lampKinds.length * rowHeight + 52"
      stroke="var(--lamp-line)"
      stroke-width="2"
    />
  </svg>
</template>
