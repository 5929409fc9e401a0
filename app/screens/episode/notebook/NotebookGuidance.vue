<script setup lang="ts">
import { computed } from 'vue'
import { editShow } from '@core/commands/shows'
import type { StageState } from '@core/recipe/progress'
import type { Card } from '@core/views/card'
import { useLibrary } from '@app/stores/library'
import TextField from '@app/ui/fields/TextField.vue'

/** What to keep in mind: the show's own notes on voice and look, and what its recipe says of this stage. */
const { card, here } = defineProps<{ card: Card; here: StageState }>()
const library = useLibrary()
const lines = computed(() =>
  card.recipe.lines.filter(
    (l) => l.stage === here.stage.id && ((l.guidance ?? '') !== '' || (l.references ?? []).length > 0),
  ),
)
const outline = computed(() =>
  here.stage.kind === 'script' ? card.recipe.outline.filter((o) => o.guidance.trim() !== '') : [],
)
function write(notes: string) {
  void library.perform(editShow, { show: card.show.id, fields: { notes } }, 'quietly')
}
</script>

<template>
  <section class="grid gap-3 border-t border-faint mt-5 pt-4" aria-labelledby="guidance">
    <h2 id="guidance">To keep in mind</h2>
    <ul v-if="lines.length + outline.length > 0" class="grid gap-2">
      <li v-for="o in outline" :key="o.id" class="text-12">
        <strong class="font-medium text-14 block">{{ o.title }}</strong>{{ o.guidance }}
      </li>
      <li v-for="l in lines" :key="l.id" class="text-12">
        <strong class="font-medium text-14 block">{{ l.name }}</strong><span class="whitespace-pre-line">{{
          l.guidance
        }}</span
        ><a
          v-for="r in l.references ?? []"
          :key="r.url"
          :href="r.url"
          target="_blank"
          rel="noreferrer noopener"
          class="block"
          >{{ r.label || r.url }}</a
        >
      </li>
    </ul>
    <TextField
      :model-value="card.show.notes"
      :label="`${card.show.title}: voice, look, what never to do`"
      :rows="4"
      lazy
      @update:model-value="write"
    />
  </section>
</template>
