<script setup lang="ts">
import { computed } from 'vue'
import type { Session } from '@core/records'
import { sayDay } from '@core/rhythm/days'
import { sayMinutes } from '@core/script/timecode'
import { endOf, sessionKinds } from '@core/session/kinds'

/** A session that was held: what was got, and how long it took. */
const { session } = defineProps<{ session: Session }>()
const run = computed(() => (session.run.kind === 'struck' ? session.run : undefined))
</script>

<template>
  <li v-if="run" class="flex flex-wrap items-center gap-x-4 px-4 py-2">
    <RouterLink
      :to="{ name: 'session', params: { session: session.id } }"
      class="flex-1 no-underline hover:underline"
      ><span class="font-medium">{{ sessionKinds[session.kind].name }}</span
      >, {{ sayDay(session.day) }}</RouterLink
    >
    <p v-if="run.setup > 0" class="sub">set up in {{ sayMinutes(run.setup) }}</p>
    <p class="num">{{ run.got }} of {{ run.of }} {{ endOf(session.kind).got }}</p>
    <p class="num w-[70px] text-right">{{ sayMinutes(run.minutes) }}</p>
  </li>
</template>
