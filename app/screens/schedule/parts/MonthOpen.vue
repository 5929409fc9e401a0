<script setup lang="ts">
import { computed } from 'vue'
import type { Show } from '@core/records'
import { sayDay } from '@core/rhythm/days'
import type { Slot } from '@core/rhythm/slots'
import { usePromises } from '@app/stores/promises'
import { useDialogs } from '@app/stores/dialogs'

/** An open slot on its day. */
const { show, vacant } = defineProps<{ show: Show; vacant: Slot }>()
const promises = usePromises()
const dialogs = useDialogs()
const kept = computed(() => promises.keptFor(show.id, vacant.original)?.reservation)
const says = computed(() => {
  const what = vacant.skipped ? 'skipped' : `open${kept.value ? `, kept for ${kept.value.name}` : ''}`
  return `${show.title}, ${sayDay(vacant.day)}, ${what}. Choose an idea`
})
</script>

<template>
  <button
    class="rel open"
    :class="show.kind"
    :aria-label="says"
    @click="dialogs.show({ kind: 'fill', slot: vacant })"
  >
    <span class="truncate">{{ vacant.skipped ? 'skipped' : kept ? `for ${kept.name}` : 'open' }}</span>
  </button>
</template>
