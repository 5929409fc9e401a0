<script setup lang="ts">
import { computed } from 'vue'
import type { Outlet, Part } from '@core/records'
import { takesPart } from '@core/release/at-outlet'
import { readTags } from '@core/release/tags'
import ChoiceField from '@app/ui/fields/ChoiceField.vue'
import NumberField from '@app/ui/fields/NumberField.vue'
import TextField from '@app/ui/fields/TextField.vue'

/** What an outlet has a place for, how it wants its tags, and what is written once for all that goes there. */
const { outlet } = defineProps<{ outlet: Outlet }>()
const emit = defineEmits<{ write: [fields: Partial<Outlet>] }>()
const parts = [
  ['title', 'Title'],
  ['description', 'Description'],
  ['chapters', 'Chapters'],
  ['tags', 'Tags'],
  ['thumbnail', 'Picture'],
  ['length', 'File'],
  ['links', 'Links'],
] as const
const standing = computed(() => outlet.standing ?? {})
const forms = [
  ['tags', 'in a field of their own'],
  ['hashtags', 'as hashtags below the words'],
] as const
function take(part: Part) {
  const now = parts.map(([p]) => p).filter((p) => takesPart(outlet, p))
  emit('write', { takes: takesPart(outlet, part) ? now.filter((p) => p !== part) : [...now, part] })
}
const write = (fields: NonNullable<Outlet['standing']>) => {
  emit('write', { standing: { ...standing.value, ...fields } })
}
</script>

<template>
  <details>
    <summary class="cursor-pointer sub">What it has a place for, and what is written once for it</summary>
    <fieldset class="mt-3">
      <legend class="label">It has a place for</legend>
      <div class="flex flex-wrap gap-x-5 gap-y-2">
        <label v-for="[part, name] in parts" :key="part" class="flex items-center gap-2"
          ><input
            type="checkbox"
            class="tick"
            :checked="takesPart(outlet, part)"
            :disabled="outlet.required.includes(part)"
            @change="take(part)"
          />{{ name }}</label
        >
      </div>
    </fieldset>
    <div class="grid gap-3 mt-3 sm:grid-cols-2 lg:grid-cols-4">
      <ChoiceField
        :model-value="outlet.tagForm ?? 'tags'"
        label="Tags stand"
        :of="forms"
        @update:model-value="emit('write', { tagForm: $event })"
      />
      <NumberField
        :model-value="outlet.tagMost ?? 500"
        label="Tags at most"
        :min="0"
        :max="500"
        @update:model-value="emit('write', { tagMost: $event })"
      />
      <TextField
        :model-value="(standing.hashtags ?? []).join(', ')"
        lazy
        label="Standing hashtags"
        @update:model-value="write({ hashtags: readTags($event) })"
      />
      <TextField
        :model-value="standing.playlist ?? ''"
        lazy
        label="Playlist"
        @update:model-value="write({ playlist: $event })"
      />
      <TextField
        :model-value="standing.closing ?? ''"
        lazy
        class="sm:col-span-2"
        label="Closing lines"
        @update:model-value="write({ closing: $event })"
      />
      <TextField
        :model-value="standing.comment ?? ''"
        lazy
        label="First comment"
        @update:model-value="write({ comment: $event })"
      />
      <TextField
        :model-value="standing.endScreen ?? ''"
        lazy
        label="End screen and cards"
        @update:model-value="write({ endScreen: $event })"
      />
    </div>
  </details>
</template>
