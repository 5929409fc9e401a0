<script setup lang="ts">
import { computed } from 'vue'
import type { Lamp } from '@core/recipe/progress'
import { sayLamp } from './lamp-words'

/** One stage's lamp: states differ in shape, not by colour alone; a late one carries a flag. */
const {
  lamp,
  size = 24,
  name = '',
  hidden = false,
} = defineProps<{ lamp: Lamp; size?: number; name?: string; hidden?: boolean }>()
const label = computed(() => [name, sayLamp(lamp)].filter(Boolean).join(': '))
const around = 2 * Math.PI * 8
</script>

<template>
  <svg
    :width="size"
    :height="size"
    viewBox="0 0 24 24"
    fill="none"
    class="lamp-mark"
    :class="lamp.state"
    :role="hidden ? undefined : 'img'"
    :aria-hidden="hidden"
    :aria-label="hidden ? undefined : label"
  >
    <circle v-if="lamp.state === 'dark'" cx="12" cy="12" r="3" fill="var(--ring)" />
    <circle v-else-if="lamp.state === 'open'" cx="12" cy="12" r="8" stroke="var(--ink-2)" stroke-width="2" />
    <template v-else-if="lamp.state === 'working'">
      <circle cx="12" cy="12" r="8" stroke="var(--ring)" stroke-width="2.6" />
      <circle
        cx="12"
        cy="12"
        r="8"
        stroke="var(--lamp-line)"
        stroke-width="2.6"
        :stroke-dasharray="`${around * Math.max(0.08, lamp.share)} ${around}`"
        transform="rotate(-90 12 12)"
      />
      <circle cx="12" cy="12" r="3" fill="var(--lamp)" />
    </template>
    <template v-else-if="lamp.state === 'waiting'">
      <circle cx="12" cy="12" r="8" stroke="var(--sea)" stroke-width="2" stroke-dasharray="3.4 2.88" />
      <path d="M10 8.8v6.4M14 8.8v6.4" stroke="var(--sea)" stroke-width="2" />
    </template>
    <circle v-else cx="12" cy="12" r="8.5" fill="var(--lamp)" stroke="var(--lamp-line)" />
    <path
      v-if="lamp.late"
      d="M17.5 9V2M17.5 2h5.5l-1.6 2 1.6 2h-5.5z"
      fill="var(--rose)"
      stroke="var(--rose)"
      stroke-width="1.4"
    />
  </svg>
</template>

<style scoped>
.lamp-mark {
  flex: none;
  overflow: visible;
}
.lit {
  filter: drop-shadow(0 0 4px var(--glow));
}
</style>
