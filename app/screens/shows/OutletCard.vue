<script setup lang="ts">
import { computed } from 'vue'
import { editOutlet } from '@core/commands/shows'
import { useLibrary } from '@app/stores/library'

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
const number = (event: Event) => (event.target instanceof HTMLInputElement ? Number(event.target.value) : 0)
const text = (event: Event) => (event.target instanceof HTMLInputElement ? event.target.value : '')
</script>

<template>
  <section v-if="outlet" class="panel p-5" :aria-labelledby="`outlet-${id}`">
    <h2 :id="`outlet-${id}`" class="mb-3">
      Outlet <span class="sub font-sans font-normal ml-1">where it is released, and what that asks for</span>
    </h2>
    <div class="grid gap-3 grid-cols-2 sm:grid-cols-4 lg:grid-cols-7">
      <label class="col-span-2 lg:col-span-1"
        ><span class="label">Name</span
        ><input class="field" :value="outlet.name" @change="write({ name: text($event) })"
      /></label>
      <label
        ><span class="label">Title, characters</span
        ><input
          class="field"
          type="number"
          min="1"
          :value="outlet.titleLimit"
          @change="write({ titleLimit: number($event) })"
      /></label>
      <label
        ><span class="label">Description</span
        ><input
          class="field"
          type="number"
          min="1"
          :value="outlet.descriptionLimit"
          @change="write({ descriptionLimit: number($event) })"
      /></label>
      <label
        ><span class="label">Seen unfolded</span
        ><input
          class="field"
          type="number"
          min="0"
          :value="outlet.fold"
          @change="write({ fold: number($event) })"
      /></label>
      <label
        ><span class="label">Tags together</span
        ><input
          class="field"
          type="number"
          min="0"
          :value="outlet.tagLimit"
          @change="write({ tagLimit: number($event) })"
      /></label>
      <label
        ><span class="label">Fewest chapters</span
        ><input
          class="field"
          type="number"
          min="0"
          :value="outlet.chapters.least"
          @change="write({ chapters: { ...outlet.chapters, least: number($event) } })"
      /></label>
      <label
        ><span class="label">Picture, kB</span
        ><input
          class="field"
          type="number"
          min="1"
          :value="Math.round(outlet.pictureBytes / 1000)"
          @change="write({ pictureBytes: number($event) * 1000 })"
      /></label>
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
