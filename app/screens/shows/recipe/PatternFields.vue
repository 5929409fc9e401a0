<script setup lang="ts">
import { computed } from 'vue'
import type { RecipeFields } from '@core/commands/recipes/written'
import type { Recipe } from '@core/records'
import { patternWords } from '@core/release/description'
import { useLibrary } from '@app/stores/library'
import ChoiceField from '@app/ui/fields/ChoiceField.vue'
import TextField from '@app/ui/fields/TextField.vue'

/** How descriptions are made up, and what every one ends with. */
const { recipe } = defineProps<{ recipe: Recipe }>()
const emit = defineEmits<{ write: [RecipeFields] }>()
const library = useLibrary()
const offers = computed(() => [
  ['', 'what the show asks first'] as const,
  ...[...library.tables.offers.values()].map((o) => [o.id, o.name] as const),
])
const braced = (word: string) => `{${word}}`
</script>

<template>
  <section class="panel p-4 grid gap-3" aria-labelledby="pattern">
    <h2 id="pattern">Description</h2>
    <div class="grid gap-3 sm:grid-cols-2">
      <TextField
        :model-value="recipe.pattern"
        lazy
        field="field font-mono text-12 min-h-[130px]"
        label="Pattern"
        :rows="3"
        @update:model-value="emit('write', { pattern: $event })"
      /><TextField
        :model-value="recipe.call"
        lazy
        field="field min-h-[130px]"
        label="Closing lines, {call}"
        :rows="3"
        @update:model-value="emit('write', { call: $event })"
      />
    </div>
    <ChoiceField
      v-if="offers.length > 1"
      :model-value="recipe.offer ?? ''"
      label="What the audience is asked first"
      :of="offers"
      @update:model-value="emit('write', { offer: $event || undefined })"
    />
    <p class="sub">
      Words in braces are filled in:
      <template v-for="(what, word, i) in patternWords" :key="word"
        ><template v-if="i">, </template><span class="num" v-text="braced(word)" /> {{ what }}</template
      >. A line whose words are empty is left out.
    </p>
  </section>
</template>
