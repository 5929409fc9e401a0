<script setup lang="ts">
import type { Day } from '@core/records'
import { sayDayLong } from '@core/rhythm/days'

/** The day's name, what is to be done below it, and the next release beside it. */
defineProps<{ day: Day }>()
</script>

<template>
  <div
    class="mx-auto max-w-[1360px] px-5 py-4 grid grid-cols-1 gap-6 lg:grid-cols-[minmax(0,1fr)_416px] max-sm:px-3"
  >
    <div class="grid grid-cols-1 gap-4 content-start min-w-0">
      <header class="flex flex-wrap items-end gap-x-6 gap-y-2">
        <h1 class="flex-1 whitespace-nowrap">{{ sayDayLong(day) }}</h1>
        <slot name="bar" />
      </header>
      <slot />
    </div>
    <slot name="aside" />
  </div>
</template>
