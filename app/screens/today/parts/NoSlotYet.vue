<script setup lang="ts">
import { sayMinutes } from '@core/script/timecode'
import type { TodayStep } from '@core/views/today'
import { useDialogs } from '@app/stores/dialogs'

/** Started, and on no slot. */
const { steps } = defineProps<{ steps: readonly TodayStep[] }>()
const dialogs = useDialogs()
</script>

<template>
  <section aria-labelledby="undated">
    <h2 id="undated" class="mb-2">Started, no slot yet</h2>
    <ul class="panel divide-y divide-faint">
      <li v-for="u in steps" :key="u.card.episode.id" class="flex items-center gap-3 px-4 py-2">
        <div class="flex-1 min-w-0">
          <p class="font-semibold truncate">{{ u.card.title }}</p>
          <p class="sub truncate">next: {{ u.state.step.name }}, {{ sayMinutes(u.minutes) }}</p>
        </div>
        <button class="btn btn-small" @click="dialogs.show({ kind: 'place', episode: u.card.episode.id })">
          Place
        </button>
      </li>
    </ul>
  </section>
</template>
