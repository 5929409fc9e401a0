<script setup lang="ts">
import { computed } from 'vue'
import { tickItem } from '@core/commands/work'
import type { Card } from '@core/views/card'
import { useLibrary } from '@app/stores/library'
import { tickedIn } from '@app/ui/fields/event'

/** What is gone through in a stage, or at its copy-edit, ticked for this episode. */
const { card, stage, copyEdit = false } = defineProps<{ card: Card; stage: string; copyEdit?: boolean }>()
const library = useLibrary()
const lists = computed(() =>
  (card.recipe.checklists ?? []).filter((c) => c.stage === stage && (c.copyEdit ?? false) === copyEdit),
)
function item(id: string, event: Event) {
  void library.perform(tickItem, { episode: card.episode.id, item: id, on: tickedIn(event) }, 'quietly')
}
</script>

<template>
  <fieldset v-for="list in lists" :key="list.id" class="border-t border-faint pt-2.5 mt-1 grid gap-1.5">
    <legend class="label flex gap-2">
      {{ list.name }}
      <span class="num"
        >{{ list.items.filter((i) => card.episode.ticked?.includes(i.id)).length }}/{{
          list.items.length
        }}</span
      >
    </legend>
    <label v-for="i in list.items" :key="i.id" class="flex items-center gap-2.5"
      ><input
        type="checkbox"
        class="tick"
        :checked="card.episode.ticked?.includes(i.id) ?? false"
        @change="item(i.id, $event)"
      />{{ i.text
      }}<span v-if="i.required && !card.episode.ticked?.includes(i.id)" class="sub ml-auto"
        >required</span
      ></label
    >
  </fieldset>
</template>
