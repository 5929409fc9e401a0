<script setup lang="ts">
import { saying } from './carry'

/** What something that is being carried would do, at the foot of the window. */
</script>

<template>
  <p
    v-if="saying.says"
    class="panel border-ring bg-raised px-3 py-1.5 fixed left-1/2 -translate-x-1/2 bottom-4 z-30 max-w-[92vw] pointer-events-none"
    role="status"
  >
    {{ saying.says }}<template v-if="saying.outlook">; {{ saying.outlook }}</template>
  </p>
</template>
