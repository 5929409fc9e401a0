<script setup lang="ts">
import { computed } from 'vue'
import { editOutlet } from '@core/commands/shows'
import { useLibrary } from '@app/stores/library'
import NumberField from '@app/ui/fields/NumberField.vue'
import TextField from '@app/ui/fields/TextField.vue'

/** An outlet's limits and the parts it requires. */
const { outlet: id } = defineProps<{ outlet: string }>()
const library = useLibrary()
const outlet = computed(() => library.records.outlets.get(id))
const parts = [
  ['title', 'Title'],
  ['description', 'Description'],
  ['chapters', 'Chapters'],
  ['tags', 'Tags'],
  ['thumbnail', 'Picture'],
  ['length', 'Length'],
  ['links', 'Links'],
] as const
type Fields = Parameters<typeof editOutlet>[1]['fields']
const write = (fields: Fields) => {
  void library.perform(editOutlet, { outlet: id, fields }, 'quietly')
}
</script>

<template>
  <section v-if="outlet" class="panel p-5" :aria-labelledby="`outlet-${id}`">
    <h2 :id="`outlet-${id}`" class="mb-3">
      Outlet <span class="sub font-sans font-normal ml-1">where it is released, and what that asks for</span>
    </h2>
    <div class="grid gap-3 grid-cols-2 sm:grid-cols-4 lg:grid-cols-7">
      <TextField
        :model-value="outlet.name"
        lazy
        class="col-span-2 lg:col-span-1"
        label="Name"
        @update:model-value="write({ name: $event })"
      />
      <NumberField
        :model-value="outlet.titleLimit"
        label="Title, characters"
        :min="1"
        @update:model-value="write({ titleLimit: $event })"
      />
      <NumberField
        :model-value="outlet.descriptionLimit"
        label="Description"
        :min="1"
        @update:model-value="write({ descriptionLimit: $event })"
      />
      <NumberField
        :model-value="outlet.fold"
        label="Shown before it folds"
        :min="0"
        @update:model-value="write({ fold: $event })"
      />
      <NumberField
        :model-value="outlet.tagLimit"
        label="Tags together"
        :min="0"
        @update:model-value="write({ tagLimit: $event })"
      />
      <NumberField
        :model-value="outlet.chapters.least"
        label="Fewest chapters"
        :min="0"
        @update:model-value="write({ chapters: { ...outlet.chapters, least: $event } })"
      />
      <NumberField
        :model-value="Math.round(outlet.pictureBytes / 1000)"
        label="Picture, kB"
        :min="1"
        @update:model-value="write({ pictureBytes: $event * 1000 })"
      />
    </div>
    <fieldset class="mt-4">
      <legend class="label">A release needs</legend>
      <div class="flex flex-wrap gap-x-5 gap-y-2">
        <label v-for="[part, name] in parts" :key="part" class="flex items-center gap-2"
          ><input
            type="checkbox"
            class="tick"
            :checked="outlet.required.includes(part)"
            @change="
              write({
                required: outlet.required.includes(part)
                  ? outlet.required.filter((p) => p !== part)
                  : [...outlet.required, part],
              })
            "
          />{{ name }}</label
        >
      </div>
    </fieldset>
  </section>
</template>
