<script setup lang="ts">
import type { Said } from './carrying'

/** What an episode that is being carried would do, at the foot of the window. */
const { said } = defineProps<{ said: Said }>()
</script>

<template>
  <p
    v-if="said.says"
    class="panel border-ring bg-raised px-3 py-1.5 fixed left-1/2 -translate-x-1/2 bottom-4 z-30 max-w-[92vw] pointer-events-none"
    role="status"
  >
    {{ said.says }}<template v-if="said.outlook">; {{ said.outlook }}</template>
  </p>
</template>
