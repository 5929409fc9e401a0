<script setup lang="ts">
import type { Attachment, KeptImage, Source, StageKind } from '@core/records'
import ShelfLink from './ShelfLink.vue'
import { typedIn } from '@app/ui/fields/event'

/** One thing on the shelf: opened by one press, wanted in one stage, taken away. */
const { of } = defineProps<{ of: Source | Attachment | KeptImage }>()
const emit = defineEmits<{ stage: [kind: string]; remove: [] }>()
const name = () => ('name' in of ? of.name : of.text || of.url)
const stages: [kind: StageKind, name: string][] = [
  ['brief', 'brief'],
  ['script', 'script'],
  ['film', 'film'],
  ['edit', 'edit'],
  ['thumbnail', 'thumbnail'],
  ['release', 'release'],
  ['after', 'after release'],
]
</script>

<template>
  <li class="flex gap-2 items-center">
    <ShelfLink class="flex-1 min-w-0" :of="of" /><select
      class="bg-transparent text-12 text-ink-2"
      :value="of.stage ?? ''"
      :aria-label="`Stage for ${name()}`"
      @change="emit('stage', typedIn($event))"
    >
      <option value="">any stage</option>
      <option v-for="[kind, text] in stages" :key="kind" :value="kind">{{ text }}</option></select
    ><button class="text-ink-2 px-1" :aria-label="`Take ${name()} away`" @click="emit('remove')">×</button>
  </li>
</template>
