<script setup lang="ts">
import { computed } from 'vue'
import { dropOutlet, editOutlet } from '@core/commands/shows'
import type { Show } from '@core/records'
import { sayWhen } from '@core/release/when'
import { useLibrary } from '@app/stores/library'
import NumberField from '@app/ui/fields/NumberField.vue'
import TextField from '@app/ui/fields/TextField.vue'
import OutletMoments from './OutletMoments.vue'
import OwnFeed from './OwnFeed.vue'
import OutletStanding from './OutletStanding.vue'

/** An outlet's limits and the parts it requires. */
const { outlet: id, show } = defineProps<{ outlet: string; show: Show }>()
const library = useLibrary()
const isFirst = computed(() => show.outlets[0] === id)
const others = computed(() =>
  [...library.tables.shows.values()]
    .filter((s) => s.id !== show.id && s.outlets.includes(id))
    .map((s) => s.title),
)
const outlet = computed(() => library.tables.outlets.get(id))
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
  <section v-if="outlet" class="panel" :aria-labelledby="`outlet-${id}`">
    <details :open="isFirst">
      <summary class="cursor-pointer p-5">
        <h2 :id="`outlet-${id}`" class="inline">
          {{ outlet.name }}
          <span class="sub font-sans font-normal ml-1"
            >{{
              isFirst
                ? 'where it is released first, and what that asks for'
                : sayWhen(outlet.when ?? { kind: 'with' })
            }}<template v-if="others.length > 0">; {{ others.join(', ') }} too</template></span
          >
        </h2>
      </summary>
      <div class="px-5 pb-5">
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
        <OwnFeed v-if="isFirst && show.kind === 'audio'" :show="show" :outlet="id" class="mt-3" />
        <OutletMoments v-if="!isFirst" :outlet="outlet" class="mt-4" @write="write" />
        <OutletStanding :outlet="outlet" class="mt-3" @write="write" />
        <button
          v-if="!isFirst"
          class="btn btn-bare btn-small mt-3"
          @click="library.perform(dropOutlet, { show: show.id, outlet: id })"
        >
          {{ show.title }} goes out here no more
        </button>
      </div>
    </details>
  </section>
</template>
