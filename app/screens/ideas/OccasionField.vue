<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { writeIdea } from '@core/commands/ideas'
import { Occasion, type Episode } from '@core/records'
import { useLibrary } from '@app/stores/library'
import DateField from '@app/ui/fields/DateField.vue'
import NumberField from '@app/ui/fields/NumberField.vue'

/** What an idea is tied to: a launch, a season or a date, and how many days before it may go out. */
const { episode } = defineProps<{ episode: Episode }>()
const library = useLibrary()
const draft = ref({ kind: 'date', name: '', day: '', lead: 14 })
watch(
  () => episode.idea.occasion,
  (o) => {
    if (o) draft.value = { ...o }
  },
  { immediate: true },
)
const parsed = computed(() => Occasion.safeParse(draft.value))
function keep() {
  if (parsed.value.success)
    void library.perform(
      writeIdea,
      {
        episode: episode.id,
        typed: { occasion: parsed.value.data },
        what: 'the occasion',
      },
      'quietly',
    )
}
function drop() {
  draft.value = { kind: 'date', name: '', day: '', lead: 14 }
  void library.perform(
    writeIdea,
    {
      episode: episode.id,
      typed: { occasion: undefined },
      what: 'the occasion',
    },
    'quietly',
  )
}
</script>

<template>
  <fieldset class="grid grid-cols-[96px_1fr] gap-2">
    <legend class="label">Occasion</legend>
    <select v-model="draft.kind" class="field" aria-label="Kind of occasion" @change="keep">
      <option value="launch">a launch</option>
      <option value="season">a season</option>
      <option value="date">a date</option>
    </select>
    <input
      v-model="draft.name"
      class="field"
      placeholder="The spring regatta"
      aria-label="Name of the occasion"
      @change="keep"
    />
    <NumberField
      v-model="draft.lead"
      label="Days before it"
      hidden
      :min="0"
      :max="365"
      title="Days before it"
      @update:model-value="keep()"
    />
    <span class="flex gap-2 items-center"
      ><span class="sub whitespace-nowrap">days before</span
      ><DateField
        v-model="draft.day"
        label="Date of the occasion"
        hidden
        @update:model-value="keep()"
      /><button
        v-if="episode.idea.occasion"
        type="button"
        class="text-ink-2 px-1"
        aria-label="Take the occasion away"
        @click="drop"
      >
        ×
      </button></span
    >
  </fieldset>
</template>
