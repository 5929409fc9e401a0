<script setup lang="ts">
import { ArrowUp, Plus, X } from '@lucide/vue'
import type { RecipeFields } from '@core/commands/recipes/written'
import type { Recipe } from '@core/records'
import { useLibrary } from '@app/stores/library'
import { typedIn } from '@app/ui/fields/event'

/** The sections that a script begins with, each with what to say in it. */
const { recipe } = defineProps<{ recipe: Recipe }>()
const emit = defineEmits<{ write: [RecipeFields] }>()
const library = useLibrary()
type Section = Recipe['outline'][number]
function put(id: string, fields: Partial<Section>) {
  emit('write', { outline: recipe.outline.map((s) => (s.id === id ? { ...s, ...fields } : s)) })
}
function earlier(i: number) {
  const row = [...recipe.outline]
  const [one] = row.splice(i, 1)
  if (one) row.splice(i - 1, 0, one)
  emit('write', { outline: row })
}
</script>

<template>
  <section class="panel p-4" aria-labelledby="outline">
    <div class="flex items-center mb-2">
      <h2 id="outline" class="flex-1">Outline of the script</h2>
      <button
        class="btn btn-small"
        @click="
          emit('write', {
            outline: [...recipe.outline, { id: library.newId(), title: 'New section', guidance: '' }],
          })
        "
      >
        <Plus :size="14" aria-hidden="true" /> Section
      </button>
    </div>
    <ol class="grid gap-1">
      <li
        v-for="(s, i) in recipe.outline"
        :key="s.id"
        class="grid grid-cols-[150px_1fr_auto] gap-2 items-center"
      >
        <input
          class="quiet-field mx-0 font-medium"
          :value="s.title"
          :aria-label="`Title of section ${i + 1}`"
          @change="put(s.id, { title: typedIn($event) })"
        /><input
          class="quiet-field mx-0 text-ink-2"
          :value="s.guidance"
          :aria-label="`What to say in ${s.title}`"
          placeholder="What to say in it"
          @change="put(s.id, { guidance: typedIn($event) })"
        /><span
          ><button
            class="btn btn-bare btn-small px-1"
            :aria-label="`${s.title} earlier`"
            :disabled="i === 0"
            @click="earlier(i)"
          >
            <ArrowUp :size="14" /></button
          ><button
            class="btn btn-bare btn-small px-1"
            :aria-label="`Remove ${s.title}`"
            @click="emit('write', { outline: recipe.outline.filter((o) => o.id !== s.id) })"
          >
            <X :size="14" /></button
        ></span>
      </li>
    </ol>
    <p class="sub mt-2">Scripts begun from now on start with these.</p>
  </section>
</template>
