<script setup lang="ts">
import type { RecipeFields } from '@core/commands/recipes/written'
import type { Recipe } from '@core/records'
import { patternWords } from '@core/release/description'
import { valueOf } from './words'

/** How descriptions are made up, and what every one ends with. */
const { recipe } = defineProps<{ recipe: Recipe }>()
const emit = defineEmits<{ write: [RecipeFields] }>()
const braced = (word: string) => `{${word}}`
</script>

<template>
  <section class="panel p-4 grid gap-3" aria-labelledby="pattern">
    <h2 id="pattern">Description</h2>
    <div class="grid gap-3 sm:grid-cols-2">
      <label
        ><span class="label">Pattern</span
        ><textarea
          class="field font-mono text-12 min-h-[130px]"
          :value="recipe.pattern"
          @change="emit('write', { pattern: valueOf($event) })"
        /></label
      ><label
        ><span class="label">Closing lines, {call}</span
        ><textarea
          class="field min-h-[130px]"
          :value="recipe.call"
          @change="emit('write', { call: valueOf($event) })"
        />
      </label>
    </div>
    <p class="sub">
      Words in braces are filled in:
      <template v-for="(what, word, i) in patternWords" :key="word"
        ><template v-if="i">, </template><span class="num" v-text="braced(word)" /> {{ what }}</template
      >. A line whose words are empty is left out.
    </p>
  </section>
</template>
